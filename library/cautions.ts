import type { ProcessDefinition } from '@core/record/definition'

type Caution = ProcessDefinition['cautions'][number]

const LAST = 'Read the maker’s safety data sheet; local rules come first.'

/** Cautions shown where the hand is, by id: of substances, of acts and of light. */
export const cautions = {
  acid: { id: 'acid', title: 'A weak acid', text: `Irritates the eye. Never after sulfite or hypo without a wash between. Goggles. ${LAST}` },
  ammonia: { id: 'ammonia', title: 'Ammonia', text: `Burns eyes and lungs: open it under extraction. Never near hypochlorite, never left standing with silver. ${LAST}` },
  dichromate: { id: 'dichromate', title: 'Dichromate', text: `Oxidiser, toxic; may cause cancer and genetic defects, and makes skin allergic. Gloves always. Collect the first wash water: never down the drain. ${LAST}` },
  ferricyanide: { id: 'ferricyanide', title: 'Potassium ferricyanide', text: `Never with strong acid, never heated: it can give off hydrogen cyanide. Gloves, no food near. ${LAST}` },
  formaldehyde: { id: 'formaldehyde', title: 'Formaldehyde', text: `Toxic; may cause cancer. Fume extraction, gloves, goggles. Glyoxal or a chrome-free hardener is the other school, with cautions of its own. ${LAST}` },
  glyoxal: { id: 'glyoxal', title: 'Glyoxal', text: `Irritates and makes skin allergic; suspected of causing genetic defects. Gloves, fresh air. ${LAST}` },
  hydrochloric: { id: 'hydrochloric', title: 'Strong acid', text: `Acid into water, never water into acid. Goggles and gloves; its fumes burn. Never near ferricyanide, sulfite, hypo or hypochlorite. ${LAST}` },
  hypochlorite: { id: 'hypochlorite', title: 'Hypochlorite', text: `Never with acid or ammonia: poisonous gas. Goggles and gloves. ${LAST}` },
  iron: { id: 'iron', title: 'Ferric ammonium citrate', text: `Stains skin, cloth and benches; may irritate the eye. Gloves, and kitchen ware stays out of the kitchen. ${LAST}` },
  irritant: { id: 'irritant', title: 'An irritant', text: `Irritates eyes and skin. Goggles, and do not raise dust. ${LAST}` },
  noble: { id: 'noble', title: 'Noble metal salts', text: `Corrosive; makes skin and lungs allergic for good. Gloves and goggles, no dust. Nothing metal touches it. Keep every rinse for the metal jar. ${LAST}` },
  oxalate: { id: 'oxalate', title: 'Oxalates and oxalic acid', text: `Poisonous by mouth and through skin; harms the kidneys. Gloves, no dust, no food near. ${LAST}` },
  oxidiser: { id: 'oxidiser', title: 'A strong oxidiser', text: `Can set fire to what burns. Never ground or heated, never with acid, sulfur or anything organic. ${LAST}` },
  peroxide: { id: 'peroxide', title: 'Hydrogen peroxide', text: `Above 8 % it burns skin and eyes; keep the bath weak. Gloves and goggles. ${LAST}` },
  reproductive: { id: 'reproductive', title: 'Harm to the unborn', text: `May harm fertility, the unborn child or cause cancer. Gloves, no dust, not while pregnant. ${LAST}` },
  selenium: { id: 'selenium', title: 'Selenium toner', text: `Toxic if swallowed or breathed. Ventilate, gloves, no skin in the bath. Spent toner goes to the licensed service. ${LAST}` },
  silver: { id: 'silver', title: 'Silver nitrate', text: `Goggles and gloves before the cap comes off: it burns the eye, stains skin, feeds a fire. Rinses into the silver jar, never with ammonia left standing. ${LAST}` },
  solvent: { id: 'solvent', title: 'Flammable vapours', text: `No flame, spark or hot plate in the room; open it under extraction. ${LAST}` },
  sulfite: { id: 'sulfite', title: 'Sulfite', text: `Gives sulfur dioxide with acid, which asthmatics feel first: wash between. ${LAST}` },
  thiosulfate: { id: 'thiosulfate', title: 'Plain hypo', text: `Gives sulfur dioxide with acid: wash between. Spent fixer holds silver and goes to the silver jar. ${LAST}` },
  uv: { id: 'uv', title: 'Ultraviolet light', text: 'Do not look at the source. Close the cover before the lamp goes on; wear glasses that stop ultraviolet. The sun counts too.' },
  wax: { id: 'wax', title: 'Wax and its solvent', text: `Flammable vapours: no flame, moving air, lids closed. Rags soaked with it can catch fire by themselves: spread them out to dry outdoors. ${LAST}` },
  warmth: { id: 'warmth', title: 'Warm gelatin', text: `Hot water scalds: warm it in a bath, not on the flame. Kitchen ware never goes back to the kitchen. ${LAST}` },
} as const satisfies Readonly<Record<string, Caution>> // prettier-ignore
