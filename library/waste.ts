import type { WasteClass } from '@core/record/substance'

/** What each waste jar is called, and what to ask of the local licensed service. Local rules come first. */
export const wasteClasses: Readonly<Record<WasteClass, { name: string; ask: string }>> = {
  acid: { name: 'Acids', ask: 'Do you take dilute acid, and may I neutralise it first?' },
  aldehyde: { name: 'Aldehydes', ask: 'Do you take formaldehyde or glyoxal solution, and in which container?' },
  base: { name: 'Alkalis and bleach', ask: 'Do you take alkaline solutions and hypochlorite, apart from acids?' },
  chromium: { name: 'Chromium', ask: 'Do you take chromium(VI) solution and rinse water? It is toxic and may cause cancer.' },
  cyanoferrate: { name: 'Ferricyanide', ask: 'Do you take potassium ferricyanide solution, kept apart from every acid?' },
  iron: { name: 'Iron and oxalate', ask: 'Do you take iron salts with oxalate or EDTA?' },
  noble: { name: 'Noble metals', ask: 'Do you take gold, platinum and palladium rinses, or know a refiner who does?' },
  oxidiser: { name: 'Oxidisers', ask: 'Do you take chlorate or peroxide, apart from anything that burns?' },
  plain: { name: 'Of no great concern', ask: 'May dilute salts like this go down the drain where I live?' },
  selenium: { name: 'Selenium', ask: 'Do you take selenium toner, spent and fresh?' },
  silver: { name: 'Silver and fixer', ask: 'Do you take silver nitrate rinses and spent fixer, or recover the silver? No ammonia is in it.' },
  solvent: { name: 'Solvents', ask: 'Do you take collodion, ether and alcohol, in which container, and how full?' },
} // prettier-ignore
