import { lookup } from '@core/lookup'
import type { ProcessDefinition } from '@core/schema/definition'
import { classicCyanotype } from './processes/classicCyanotype'
import { cyanotypeOnCloth, cyanotypeOnGlass } from './processes/clothAndGlass'
import { gum } from './processes/gum'
import { gumOver } from './processes/gumOver'
import { ironSilver } from './processes/ironSilver'
import { newCyanotype } from './processes/newCyanotype'
import { kallitype } from './processes/kallitype'
import { translucentCyanotype } from './processes/translucentCyanotype'
import { twoLayerCyanotype } from './processes/twoLayerCyanotype'
import { platinumPalladium } from './processes/platinumPalladium'
import { goldPlatinum } from './processes/goldPlatinum'
import { palladiumPrintingOut } from './processes/palladiumPrintingOut'
import { saltedPaper } from './processes/saltedPaper'
import { albumen } from './processes/albumen'
import { collodionChloride } from './processes/collodionChloride'
import { vanDyke } from './processes/vanDyke'
import { withAir } from './processes/air'
import { withHandwork } from './processes/handwork'
import { preShrinking, starchSize } from './treatments/paperBefore'
import { acidBath } from './treatments/acidBath'
import { gelatinSize } from './treatments/gelatinSize'
import { saltingAhead } from './treatments/saltingAhead'

const byId = (list: readonly ProcessDefinition[]): Readonly<Record<string, ProcessDefinition>> =>
  lookup(list.map((definition) => [definition.id, definition] as const))

/** Every process this Ember Sheet knows, by id, the usual way in first. */
export const processes = byId(
  [
    classicCyanotype,
    newCyanotype,
    twoLayerCyanotype,
    translucentCyanotype,
    cyanotypeOnCloth,
    cyanotypeOnGlass,
    vanDyke,
    ironSilver,
    kallitype,
    saltedPaper,
    albumen,
    collodionChloride,
    platinumPalladium,
    palladiumPrintingOut,
    goldPlatinum,
    gum,
    gumOver,
  ].map((definition) => withAir(withHandwork(definition))),
)

/** Treatments that get paper ready, by id. */
export const treatments = byId([preShrinking, acidBath, gelatinSize, starchSize, saltingAhead])

export { cautionOf } from './cautions'
export { substances } from './substances'
export { incompatibilities } from './incompatibilities'
export { hazardStatements } from './hazardStatements'
export { tools } from './tools'
export { wasteClasses } from './waste'
export { places } from './places'
export { printColours } from './printColours'
export { usualDryDown } from './judging/usualDryDown'
export { care } from './care'
export { HANDWORK } from './processes/handwork'
