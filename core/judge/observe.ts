import { digits } from '../quantity/format'
import { airFor } from '../run/air'
import type { Observed } from './diagnosis'
import { brushed, coat, dried, lots, paper, strengths } from './observeCoat'
import { film, layerBelow } from './observeFilm'
import { exposures, frame, lampFacts } from './observeLight'
import { bathsMet, fact, waited, wetSteps } from './observeWetSide'
import type { PrintRecord } from './printRecord'

/**
 * Everything the record of a print says of known faults: what was wrong, and what was in order. What it does not tell is
 * left out.
 */
export const observe = (record: PrintRecord): Observed[] =>
  [
    ...exposures(record),
    ...frame(record),
    ...lampFacts(record),
    ...paper(record),
    ...coat(record),
    ...brushed(record),
    ...dried(record),
    ...air(record),
    ...lots(record),
    ...strengths(record),
    ...wetSteps(record),
    ...bathsMet(record),
    ...waited(record),
    ...contrast(record),
    ...film(record),
    ...layerBelow(record),
  ].map((one) => ({ ...one, isRecorded: true }))

function air({ state }: PrintRecord): Observed[] {
  if (!state.room) return []
  const said = `room humidity was ${digits(state.room.relativeHumidity, 2)} %`
  return [
    fact('air-dry', airFor(state.room.relativeHumidity) === 'dry', said),
    fact('air-damp', airFor(state.room.relativeHumidity) === 'damp', said),
  ]
}

/** Whether a means of contrast was chosen for the coat or the developer. */
function contrast({ definition, sheet }: PrintRecord): Observed[] {
  const choice = definition.choices.find(({ id }) => id === 'contrast')
  const option = choice?.options.find(({ id }) => id === sheet.choices.contrast)
  // Where something is always chosen for contrast, as the dichromate of a gum, nothing is added.
  if (choice?.startsWith !== 'plain' || !option) return []
  return [fact('contrast-added', option.id !== choice.startsWith, `contrast: ${option.name.toLowerCase()}`)]
}
