import type { ProcessDefinition } from '@core/schema/definition'

type Caution = ProcessDefinition['cautions'][number]

const EYES = 'Eyes: rinse with running water for 15 minutes, then see a doctor.'
const SKIN_AND_EYES = 'Skin: rinse for 15 minutes. Eyes: rinse for 15 minutes, then see a doctor.'
const SWALLOWED =
  'Swallowed: call a poison centre at once, and do not make the person vomit. Eyes: rinse for 15 minutes, then see a doctor.'

/**
 * Cautions shown where the hand is, by id. Each says the hazard, what to wear or do, what never to mix, and first aid
 * where it burns or poisons. The screen adds once that the maker's safety data sheet and local rules come first.
 */
export const cautions = {
  acid: { id: 'acid', title: 'Weak acid', text: 'Irritates the eyes: wear goggles. Wash the print between hypo or sulfite and this acid; together they give off sulfur dioxide.', firstAid: EYES },
  acidEyes: { id: 'acidEyes', title: 'Acid that damages the eyes', text: 'Causes serious eye damage: wear goggles and gloves. Never mix with hypo, sulfite or hypochlorite.', firstAid: EYES },
  alcohol: { id: 'alcohol', title: 'Alcohol', text: 'Highly flammable, and its vapour irritates the eyes. No flame, spark or hot plate in the room; moving air. Never mix with nitric acid or other oxidisers.', firstAid: EYES },
  ammonia: { id: 'ammonia', title: 'Ammonia', text: 'Burns eyes, skin and lungs: open it under extraction, with goggles and gloves. Never mix with hypochlorite; never leave it standing with silver or gold, which form explosives.', firstAid: `Breathed in: fresh air. ${SKIN_AND_EYES}` },
  collodion: { id: 'collodion', title: 'Collodion', text: 'Its ether and alcohol catch fire from a spark across the room, and dried collodion burns in a flash. No flame or hot plate, extraction at floor level; wipe up spills wet and keep rags in a closed metal can. Never mix with oxidisers.', firstAid: `Dizzy: fresh air. ${EYES}` },
  dichromate: { id: 'dichromate', title: 'Dichromate', text: 'Toxic, burns, may cause cancer and genetic defects, and makes skin and lungs allergic for life. Wear gloves and goggles, raise no dust. Never mix with hydrochloric acid or alcohol. Collect the first wash water: never down the drain.', firstAid: SWALLOWED },
  ether: { id: 'ether', title: 'Ether', text: 'Extremely flammable: its vapour creeps along the floor to a flame far away. Old or opened ether forms explosive peroxides: date the bottle, keep it dark, have it collected after six months, never open one with crystals. No flame or spark in the room.', firstAid: `Dizzy: fresh air. ${EYES}` },
  eyeDamage: { id: 'eyeDamage', title: 'Serious eye damage', text: 'Causes serious eye damage: wear goggles and gloves, and raise no dust.', firstAid: EYES },
  ferricyanide: { id: 'ferricyanide', title: 'Potassium ferricyanide', text: 'Low hazard alone. Wear gloves, no food near. Never mix with strong acid or hypochlorite and never heat it dry: it can give off hydrogen cyanide or other poisonous gas.' },
  formaldehyde: { id: 'formaldehyde', title: 'Formaldehyde', text: 'Toxic, burns, may cause cancer, makes skin allergic. Use it only under fume extraction, with gloves and goggles. Never mix with hydrochloric acid or oxidisers. Glyoxal or a chrome-free hardener is the other school, with cautions of its own.', firstAid: `Breathed in: fresh air. ${SWALLOWED}` },
  glyoxal: { id: 'glyoxal', title: 'Glyoxal', text: 'Irritates eyes and skin, makes skin allergic, suspected of causing genetic defects. Wear gloves and goggles; fresh air.', firstAid: EYES },
  harmful: { id: 'harmful', title: 'Harmful dust', text: 'Harmful if breathed in, and over time to the airways. Raise no dust; wear a dust mask when you weigh it.' },
  hydrochloric: { id: 'hydrochloric', title: 'Strong acid', text: 'Burns skin, eyes and lungs: goggles, gloves and moving air. Pour acid into water, never water into acid. Never mix with ferricyanide, sulfite, hypo, hypochlorite, chlorate, dichromate or formaldehyde.', firstAid: SKIN_AND_EYES },
  hypochlorite: { id: 'hypochlorite', title: 'Hypochlorite', text: 'Burns skin and eyes: goggles and gloves. Never mix with acid, ammonia, ammonium salts, hypo, ferricyanide or alcohol: poisonous gas.', firstAid: `Breathed in: fresh air. ${SKIN_AND_EYES}` },
  iron: { id: 'iron', title: 'Ferric ammonium citrate', text: 'Stains skin, cloth and benches, and may irritate the eyes. Wear gloves; kitchen ware that touched it stays out of the kitchen.' },
  irritant: { id: 'irritant', title: 'Irritant', text: 'Irritates eyes and skin: wear goggles, and raise no dust.', firstAid: EYES },
  metabisulfite: { id: 'metabisulfite', title: 'Metabisulfite', text: 'Causes serious eye damage; harmful if swallowed. Wear goggles and gloves. With acid it gives off sulfur dioxide, which people with asthma feel first.', firstAid: EYES },
  nitric: { id: 'nitric', title: 'Nitric acid', text: 'Burns skin, eyes and lungs, feeds a fire; its vapour is toxic. Goggles, gloves, extraction; acid into water. Never mix with alcohol, acetic or hydrochloric acid, or anything that burns; with silver and alcohol it forms an explosive.', firstAid: `Breathed in: fresh air and a doctor, even without complaints. ${SKIN_AND_EYES}` },
  noble: { id: 'noble', title: 'Gold and palladium salts', text: 'Burn skin and eyes; can make skin allergic for life. Wear gloves and goggles, raise no dust, let nothing metal touch them. Never mix with ammonia. Keep every rinse for the metal jar.', firstAid: SKIN_AND_EYES },
  oxalate: { id: 'oxalate', title: 'Oxalates and oxalic acid', text: 'Poisonous by mouth and through the skin, and harms the kidneys; the acid causes serious eye damage. Wear gloves and goggles, raise no dust, no food near.', firstAid: SWALLOWED },
  oxidiser: { id: 'oxidiser', title: 'Chlorate', text: 'Can set fire to what burns; harmful if swallowed. Never grind or heat it. Never mix with acid, ammonium salts, sulfur, hypo or anything organic; wash splashes out of cloth before they dry.', firstAid: SWALLOWED },
  peroxide: { id: 'peroxide', title: 'Hydrogen peroxide', text: 'Above 8 % it causes serious eye damage and burns skin: goggles and gloves, and keep the bath weak. Never mix with iron, hypo or sulfite, and never close a used bath tightly: it gives off oxygen.', firstAid: EYES },
  platinum: { id: 'platinum', title: 'Platinum salts', text: 'Toxic if swallowed, cause serious eye damage, and make skin and lungs allergic for life, asthma included. Wear gloves and goggles, never raise dust or spray, let nothing metal touch them. Keep every rinse for the metal jar.', firstAid: SWALLOWED },
  reproductive: { id: 'reproductive', title: 'Harm to the unborn child', text: 'May harm fertility or the unborn child, or is suspected of causing cancer. Wear gloves, raise no dust, and do not use it while pregnant.' },
  selenium: { id: 'selenium', title: 'Selenium toner', text: 'Toxic if swallowed or breathed in. Ventilate, wear gloves, keep skin out of the bath. Never mix with acid. Spent toner goes to the licensed service.', firstAid: SWALLOWED },
  silverOxide: { id: 'silverOxide', title: 'Silver oxide and silver sulfamate', text: 'Causes serious eye damage, stains what it touches, feeds a fire. Goggles and gloves before the cap comes off. Never leave it standing with ammonia: explosives form. Rinses go into the silver jar.', firstAid: SKIN_AND_EYES },
  silver: { id: 'silver', title: 'Silver nitrate', text: 'Burns skin and eyes, stains what it touches, feeds a fire. Goggles and gloves before the cap comes off; a stain on skin shows only a day later. Never leave it standing with ammonia, never mix it with alcohol and nitric acid: explosives form. Rinses go into the silver jar.', firstAid: SKIN_AND_EYES },
  solvent: { id: 'solvent', title: 'Flammable vapours', text: 'Catches fire easily: no flame, spark or hot plate in the room; open it under extraction. Never mix with oxidisers.', firstAid: `Swallowed: do not make the person vomit; call a poison centre. ${EYES}` },
  sulfide: { id: 'sulfide', title: 'Sulfide', text: 'Burns skin and eyes; toxic on the skin. Never near an acid, a fixer or a toner: it gives off hydrogen sulfide, a poisonous gas. Away from photographic paper; moving air; goggles and gloves. Make 10 ml, for the day.', firstAid: `Breathed in: fresh air and a doctor. ${SKIN_AND_EYES}` },
  sulfite: { id: 'sulfite', title: 'Sulfite', text: 'With acid it gives off sulfur dioxide, which people with asthma feel first: wash the print between the two.' },
  thiocyanate: { id: 'thiocyanate', title: 'Thiocyanate', text: 'Harmful if swallowed, breathed in or on the skin: gloves, and raise no dust. Never mix with acid or hypochlorite: poisonous gas.', firstAid: SWALLOWED },
  thiosulfate: { id: 'thiosulfate', title: 'Plain hypo', text: 'With acid it gives off sulfur dioxide: wash the print between the two. Never mix with hypochlorite or peroxide. Spent fixer holds silver and goes to the fixer jar.' },
  uv: { id: 'uv', title: 'Ultraviolet light', text: 'Burns the eyes within minutes and the skin: do not look at the source. Close the cover before the lamp goes on; wear glasses that stop ultraviolet. The sun counts too.' },
  wax: { id: 'wax', title: 'Wax and its solvent', text: 'Flammable vapours: no flame, moving air, lids closed. Rags soaked with it can ignite without a flame: spread them out to dry outdoors.' },
  warmth: { id: 'warmth', title: 'Warm size', text: 'Hot water and hot starch scald: warm gelatin in a water bath, not on the flame. Kitchen ware never goes back to the kitchen.' },
} as const satisfies Readonly<Record<string, Caution>> // prettier-ignore

/** The caution of that id, or `undefined` where the library has none. */
export const cautionOf = (id: string | undefined): Caution | undefined =>
  (cautions as Readonly<Record<string, Caution>>)[id ?? '']
