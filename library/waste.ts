import type { WasteClass } from '@core/schema/substance'

interface WasteWords {
  name: string
  /** What to ask of the local licensed service. Local rules come first. */
  ask: string
  /** `vented` where gas may form: a tight cap would let the jar burst. */
  cap: 'closed' | 'vented'
  /** What must never go in. */
  never: string
}

const NOTHING_ELSE = 'Nothing else goes in, and no other waste.'

/** The waste jars: what each is called, its cap, what must never go in, and the question for the licensed service. */
export const wasteClasses: Readonly<Record<WasteClass, WasteWords>> = {
  acid: { name: 'Acids', cap: 'vented', never: 'No hypo, sulfite, carbonate, hypochlorite, chlorate or ferricyanide.', ask: 'Do you take dilute acid, and may I neutralise it first?' },
  aldehyde: { name: 'Aldehydes', cap: 'closed', never: 'No hydrochloric acid, no oxidisers.', ask: 'Do you take formaldehyde or glyoxal solution, and in which container?' },
  ammonia: { name: 'Ammonia', cap: 'vented', never: 'No silver, gold or hypochlorite.', ask: 'Do you take ammonia solution, apart from silver and from bleach?' },
  base: { name: 'Alkalis', cap: 'closed', never: 'No acids, no ammonia.', ask: 'Do you take carbonate and borax solution, apart from acids?' },
  chlorate: { name: 'Chlorate', cap: 'vented', never: 'No acid, ammonium salt, hypo or anything that burns. Never let it dry out.', ask: 'Do you take iron oxalate solution with a little chlorate, apart from acids?' },
  chromium: { name: 'Chromium', cap: 'closed', never: 'No hydrochloric acid, no alcohol.', ask: 'Do you take chromium(VI) solution and rinse water? It is toxic and may cause cancer.' },
  cyanoferrate: { name: 'Ferricyanide', cap: 'closed', never: 'No acid of any kind, no hypochlorite.', ask: 'Do you take potassium ferricyanide solution, kept apart from every acid?' },
  fixer: { name: 'Fixer', cap: 'vented', never: 'No acid, hypochlorite, peroxide or chlorate.', ask: 'Do you take spent fixer, or recover its silver?' },
  hypochlorite: { name: 'Hypochlorite', cap: 'vented', never: NOTHING_ELSE, ask: 'Do you take hypochlorite solution, apart from everything else?' },
  iron: { name: 'Iron and oxalate', cap: 'closed', never: 'No peroxide, no chlorate.', ask: 'Do you take iron salts with oxalate or EDTA?' },
  noble: { name: 'Noble metals', cap: 'closed', never: 'No ammonia, hypo or sulfite.', ask: 'Do you take gold, platinum and palladium rinses, or know a refiner who does?' },
  oxidiser: { name: 'Oxidisers, from before', cap: 'vented', never: 'Nothing more goes in: peroxide and chlorate have jars of their own now.', ask: 'Do you take chlorate or peroxide, apart from anything that burns?' },
  oxidisingAcid: { name: 'Nitric acid', cap: 'vented', never: 'No other acid, no alcohol, nothing that burns.', ask: 'Do you take nitric acid, apart from other acids?' },
  peroxide: { name: 'Peroxide', cap: 'vented', never: 'No iron, hypo, sulfite or anything that burns.', ask: 'Do you take dilute hydrogen peroxide, and in which container?' },
  plain: { name: 'Of little concern', cap: 'closed', never: 'No acids.', ask: 'May dilute salts like this go down the drain where I live?' },
  selenium: { name: 'Selenium', cap: 'closed', never: 'No acid.', ask: 'Do you take selenium toner, spent and fresh?' },
  silver: { name: 'Silver rinses', cap: 'closed', never: 'No ammonia, no alcohol with nitric acid, no fixer.', ask: 'Do you take silver nitrate rinses, or recover the silver? They hold no ammonia.' },
  solvent: { name: 'Solvents and collodion', cap: 'closed', never: 'No water-based waste, no oxidisers. Fill the jar to four fifths at most.', ask: 'Do you take collodion, ether and alcohol, in which container, and how full?' },
} // prettier-ignore
