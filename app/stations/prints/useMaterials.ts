import { computed } from 'vue'
import { digits, formatSize } from '@core/quantity/format'
import type { MadeNegative } from '@core/schema/light'
import { useNegativesOf } from '../../state/queries'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { momentSaid } from '../../words/moments'
import { usePreferences } from '../../state/preferences.store'

/** What a print was made with: name and value of each, for the margin. */
export function useMaterials(one: () => SheetInRoom | undefined, id: () => string) {
  const [workroom, now, preferences] = [useWorkroom(), useNow(), usePreferences()]
  /** Films that were made for this sheet. */
  const films = useNegativesOf(id)
  const filmLine = (film: MadeNegative) =>
    [film.fileName, film.layer, film.curve, `${film.pixelsPerInch} ppi`, momentSaid(film.at, now.now)]
      .filter(Boolean)
      .join(', ')

  const materials = computed(() => {
    const found = one()
    if (!found) return []
    const { sheet, definition } = found
    const paper = workroom.papers.find((each) => each.id === sheet.paperId)
    const light = workroom.lights.find((each) => each.id === sheet.lightId)
    // What was really drawn on, where a mix was counted; before that, the bottles that were chosen.
    const drawn = found.state.steps.flatMap((step) => step.drawn.map((draw) => draw.bottleId))
    const bottleIds = new Set(drawn.length ? drawn : Object.values(sheet.bottles))
    const bottles = workroom.bottles.filter((each) => bottleIds.has(each.id))
    const chosen = definition.choices.flatMap((choice) => {
      const option = choice.options.find((one) => one.id === sheet.choices[choice.id])
      return option ? [[choice.name, option.name]] : []
    })
    return [
      [
        'Size',
        `${formatSize(sheet, { length: preferences.chosen.length, temperature: 'degC' })}, ${sheet.coats === 1 ? 'one coat' : `${sheet.coats} coats`}`,
      ],
      ['Process', definition.name],
      ['Paper', paper ? `${paper.name}${paper.gramsPerM2 ? `, ${paper.gramsPerM2} g/m²` : ''}` : ''],
      [
        'Bottles',
        bottles
          .map(
            (bottle) =>
              `${bottle.label}, ${bottle.contents.map((held) => `${digits(held.percent)} %`).join(' + ')}`,
          )
          .join('; '),
      ],
      [sheet.choices.subject === 'photogram' ? 'Printed from' : 'Negative', sheet.subject],
      ...films.value.map((film) => ['Film', filmLine(film)]),
      ['Light', light?.name ?? ''],
      ...chosen,
    ].filter(([, value]) => value)
  })
  return materials
}
