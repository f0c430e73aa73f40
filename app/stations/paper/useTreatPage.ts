import { texts } from './words'
import { parseNumber } from '@core/quantity/number'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { acidCapacity, hardenerDrops, trayVolume } from '@core/paper/amounts'
import { BRUSH_COVERAGE, coatVolume } from '@core/coating/coatVolume'
import { CoreError, type Refusal } from '@core/errors'
import { schoolStocks, startingChoices, stepsFor } from '@core/process/plan'
import type { Figure } from '@core/quantity/figure'
import { digits, formatOnRule } from '@core/quantity/format'
import { parseSize } from '@core/quantity/size'
import { substances, treatments } from '@library/index'
import { useWorkroom } from '../../state/workroom.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { cautionNotes } from '../../words/stepNotes'
import { beginTreatment } from '../../state/actions/paper.actions'

/** A treatment being planned: which pieces or sheets, how much of each chemical, and its start. */
export function useTreatPage() {
  const route = useRoute()
  const [router, workroom, notice, preferences] = [useRouter(), useWorkroom(), useNotice(), usePreferences()]

  const treatmentId = ref('acid-bath')
  const definition = computed(() => workroom.definitionOf(treatmentId.value))
  const choices = ref(startingChoices(definition.value))
  watch(definition, (chosen) => {
    choices.value = startingChoices(chosen)
  })
  const length = computed(() => preferences.chosen.length)
  const rule = (millimetres: number) => formatOnRule(millimetres, length.value)
  const size = ref('')
  const count = ref('')
  const chosenPieces = ref<string[]>([])
  const halfPieceId = ref('')
  const DEPTH = 15

  const pieces = computed(() => {
    const taken = new Set(
      workroom.sheets.filter((one) => one.state.begunAt !== null).map((one) => one.sheet.pieceId),
    )
    return workroom.pieces
      .filter((one) => !one.goneAt && !taken.has(one.id))
      .sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))
  })
  const picked = computed(() => pieces.value.filter((one) => chosenPieces.value.includes(one.id)))
  /** All pieces at once, or none of them. */
  function toggleAll(): void {
    const isAll = picked.value.length === pieces.value.length
    chosenPieces.value = isAll ? [] : pieces.value.map(({ id }) => id)
  }
  const paper = computed(() => workroom.papers.find((one) => one.id === picked.value[0]?.paperId))
  const asked = computed(
    (): {
      sheet: { widthMillimetres: number; heightMillimetres: number } | null
      sheets: number
      faults: Record<string, Refusal>
    } => {
      const faults: Record<string, Refusal> = {}
      const largest = [...picked.value].sort(
        (a, b) => b.widthMillimetres * b.heightMillimetres - a.widthMillimetres * a.heightMillimetres,
      )[0]
      if (largest) return { sheet: largest, sheets: picked.value.length, faults }
      try {
        const sheets = count.value.trim()
          ? parseNumber(count.value, { field: 'sheets', isWhole: true, min: 1, example: '6' })
          : 4
        return {
          sheet: parseSize(size.value.trim() || '11 x 10 in', { field: 'size', bareUnit: length.value }),
          sheets,
          faults,
        }
      } catch (error) {
        if (!(error instanceof CoreError)) throw error
        faults[error.refusal.field] = error.refusal
        return { sheet: null, sheets: 0, faults }
      }
    },
  )
  const grams = computed(() => paper.value?.gramsPerM2)
  const stock = computed(() => {
    const tray = stepsFor(definition.value, choices.value).find((step) => step.tray)?.tray
    const component = definition.value.components.find((one) => one.id === tray)
    return component
      ? {
          name: component.name,
          solutes: schoolStocks(definition.value, choices.value)[component.id] ?? [],
          making: component.stock.making,
        }
      : null
  })
  /** Moles of chalk that a mole of each acid turns: oxalic acid gives two protons, citric three. */
  const CHALK_PER_MOLE: Readonly<Record<string, number>> = {
    'oxalic-acid': 1,
    'citric-acid': 1.5,
    'sulfamic-acid': 0.5,
  }

  const figures = computed((): { label: string; figure: Figure; text?: string }[] => {
    const { sheet, sheets } = asked.value
    const solute = stock.value?.solutes[0]
    if (!sheet || !stock.value || !solute) return []
    const area = (sheet.widthMillimetres * sheet.heightMillimetres * sheets) / 1e6
    if (treatmentId.value === 'gelatin-size') {
      const own = definition.value.coverage
      const volume = coatVolume({
        ...sheet,
        coverageMillilitresPerM2: own?.millilitresPerM2 ?? BRUSH_COVERAGE,
        coverageStanding: own?.standing,
        coverageSource: own?.source,
        coats: 1,
        sheets,
      })
      const hardener =
        choices.value.hardener === 'none'
          ? []
          : [{ label: 'hardener, added last', figure: hardenerDrops(volume.value) }]
      return [
        { label: `size for ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`, figure: volume },
        { label: 'gelatin', figure: weighed(volume, solute.percentWv) },
        ...hardener,
      ]
    }
    const tray = trayVolume(sheet, DEPTH)
    const formula = substances[solute.substanceId]?.forms[0]?.formula
    const per = CHALK_PER_MOLE[solute.substanceId]
    const capacity =
      formula && per
        ? acidCapacity(
            { percentWv: solute.percentWv, formula, chalkPerMole: per, millilitres: tray.value },
            grams.value ?? 300,
          )
        : null
    return [
      { label: 'solution in the tray', figure: tray },
      {
        label: `${substances[solute.substanceId]?.name ?? ''} for it`,
        figure: weighed(tray, solute.percentWv),
      },
      ...(capacity
        ? [
            {
              label: texts.areaThatCanBeTreated({ area: digits(area) }),
              figure: capacity,
              text: `${digits(capacity.value)} m²`,
            },
          ]
        : []),
    ]
  })
  const weighed = (volume: Figure, percentWv: number): Figure => ({
    value: (volume.value * percentWv) / 100,
    unit: 'g',
    working: {
      words: 'volume × strength',
      formula: 'm = V·c / 100',
      inputs: [
        { name: 'volume', symbol: 'V', value: volume.value, unit: 'ml' },
        { name: 'strength', symbol: 'c', value: percentWv, unit: '% w/v', standing: 'practice' },
      ],
      standing: 'practice',
      source: texts.definitionPercentWeightPerVolume,
    },
  })
  const isOverCapacity = computed(() => {
    const { sheet, sheets } = asked.value
    const capacity = figures.value[2]?.figure
    return Boolean(
      sheet &&
      capacity?.unit === 'm²' &&
      (sheet.widthMillimetres * sheet.heightMillimetres * sheets) / 1e6 > capacity.value,
    )
  })
  const whoNeeds = computed(() => {
    if (treatmentId.value !== 'acid-bath') return []
    return workroom.papers.filter((one) => one.buffered === 'yes').map((one) => one.name)
  })
  const treatmentOptions = Object.values(treatments).map(({ id, name }) => ({ id, name }))
  const toggle = (id: string) => {
    chosenPieces.value = chosenPieces.value.includes(id)
      ? chosenPieces.value.filter((one) => one !== id)
      : [...chosenPieces.value, id]
    if (!chosenPieces.value.includes(halfPieceId.value)) halfPieceId.value = ''
  }
  const halfOptions = computed(() => [
    { id: '', name: 'No' },
    ...picked.value.map((one) => ({ id: one.id, name: `one half of ${one.label}` })),
  ])

  async function begin(): Promise<void> {
    const { sheet, sheets } = asked.value
    if (!sheet) return
    try {
      const id = await beginTreatment(
        definition.value,
        {
          choices: choices.value,
          pieceIds: picked.value.map((one) => one.id),
          ...(paper.value && { paperId: paper.value.id }),
          ...(halfPieceId.value && { halfPieceId: halfPieceId.value }),
          sheets,
          widthMillimetres: sheet.widthMillimetres,
          heightMillimetres: sheet.heightMillimetres,
          note: '',
        },
        grams.value,
      )
      await router.push({ name: 'treatment', params: { sheetId: id }, query: { back: route.query.back } })
    } catch (error) {
      notice.refuse(error, 'starting the treatment')
    }
  }
  useMarginNotes((): MarginNote[] => [
    { title: definition.value.name, lines: [definition.value.summary] },
    ...(whoNeeds.value.length
      ? [{ title: 'You need', lines: whoNeeds.value, tone: 'caution' as const }]
      : []),
    ...[
      ...(definition.value.components.find((one) => one.name === stock.value?.name)?.cautions ?? []),
      ...stepsFor(definition.value, choices.value).flatMap((step) => step.cautions),
    ]
      .filter((id, i, all) => all.indexOf(id) === i)
      .flatMap((id) => cautionNotes(definition.value, id)),
    ...(stock.value
      ? [{ title: `Making ${stock.value.name.toLowerCase()}`, lines: stock.value.making }]
      : []),
    {
      title: 'Half-treated test',
      lines: [texts.dipOnlyOneHalfPiece],
    },
  ])
  return {
    router,
    treatmentId,
    definition,
    choices,
    rule,
    size,
    count,
    chosenPieces,
    halfPieceId,
    pieces,
    picked,
    toggleAll,
    asked,
    stock,
    figures,
    isOverCapacity,
    treatmentOptions,
    toggle,
    halfOptions,
    begin,
  }
}
