import { texts } from './words'
import { parseNumber } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { CoreError, type Refusal } from '@core/errors'
import type { Tear } from '@core/paper/tearing'
import { formatOnRule, formatSize } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { parseSize } from '@core/quantity/size'
import { useWorkroom } from '../../state/workroom.store'
import type { TearingQuestion } from '../../workers/tearing.worker'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { writePieces } from '../../state/actions/paper.actions'
import { useTearing } from './useTearing'

interface Asked {
  question: TearingQuestion | null
  /** Large sheets torn at once. */
  sheets: number
  faults: Record<string, Refusal>
}

/** Which pieces are wanted of which sheet, the plan that makes them, and tearing by that plan. */
export function useTearingPage() {
  const [route, router, workroom, notice, preferences] = [
    useRoute(),
    useRouter(),
    useWorkroom(),
    useNotice(),
    usePreferences(),
  ]

  const unit = computed(() => preferences.chosen.length)
  const paperId = ref(
    typeof route.params.paperId === 'string' ? route.params.paperId : (workroom.papers[0]?.id ?? ''),
  )
  const paper = computed(() => workroom.papers.find((one) => one.id === paperId.value))
  const sheetText = ref('')
  const measured = computed(() =>
    paper.value?.widthMillimetres && paper.value.heightMillimetres
      ? formatSize(
          {
            widthMillimetres: paper.value.widthMillimetres,
            heightMillimetres: paper.value.heightMillimetres,
          },
          { length: unit.value, temperature: 'degC' },
        )
      : '',
  )
  const loss = ref('')
  const rows = ref([{ size: unit.value === 'in' ? '11 x 10 in' : '20 x 25 cm', count: '', turn: true }])
  const side = ref('')
  /** Large sheets that are torn at once, one on the other. */
  const stack = ref('1')
  const done = ref(1)
  const asked = computed((): Asked => {
    const faults: Record<string, Refusal> = {}
    const attempt = <Value>(field: string, read: () => Value): Value | null => {
      try {
        return read()
      } catch (error) {
        if (!(error instanceof CoreError)) throw error
        faults[field] = error.refusal
        return null
      }
    }
    const sheet = attempt('sheet', () =>
      parseSize(sheetText.value.trim() || measured.value, { field: 'sheet', bareUnit: unit.value }),
    )
    const edge = attempt('loss', () =>
      loss.value.trim() ? parseQuantity(loss.value, 'length', { field: 'torn edge', bareUnit: 'mm' }) : 0,
    )
    const sheets = attempt('stack', () =>
      parseNumber(stack.value, { field: 'sheets at once', isWhole: true, min: 1, max: 20, example: '1' }),
    )
    const wanted = rows.value.map((row, i) =>
      attempt(`row${i}`, () => {
        const size = parseSize(row.size, { field: 'piece', bareUnit: unit.value })
        const count = row.count.trim()
          ? parseNumber(row.count, { field: 'piece', isWhole: true, min: 1, example: '4' })
          : Infinity
        return { width: size.widthMillimetres, height: size.heightMillimetres, count, mayTurn: row.turn }
      }),
    )
    if (!sheet || !sheets || edge === null || wanted.includes(null) || !wanted.length)
      return { question: null, sheets: 1, faults }
    return {
      faults,
      sheets,
      question: {
        sheet: { width: sheet.widthMillimetres, height: sheet.heightMillimetres },
        wanted: wanted.filter((one) => one !== null),
        loss: edge,
      },
    }
  })
  const { plan, fault, isBusy } = useTearing(() => asked.value.question)
  const sizeNames = computed(() => rows.value.map((row) => row.size.replace(/\s*(in|cm|mm)$/, '')))
  const rule = (millimetres: number) => formatOnRule(millimetres, unit.value)
  const tearWords = ({ way, at }: Tear) =>
    way === 'down'
      ? `${rule(at)} from the left edge, tear down`
      : `${rule(at)} from the top edge, tear across`
  const inHand = ({ piece }: Tear) => `of the piece ${rule(piece.width)} × ${rule(piece.height)}`
  const leftOver = computed(() =>
    (plan.value?.leftOver ?? []).map((one) => `${rule(one.width)} × ${rule(one.height)}`),
  )

  const step = (by: number) => {
    done.value = Math.min(Math.max(1, done.value + by), plan.value?.tears.length ?? 1)
  }
  async function write(): Promise<void> {
    if (!plan.value || !paper.value) return
    const initials = paper.value.name
      .split(/\s+/)
      .map((word) => word[0]?.toUpperCase() ?? '')
      .join('')
    const first = workroom.pieces.filter((one) => one.label.startsWith(`${initials}-`)).length
    try {
      const { sheets } = asked.value
      const torn = Array.from({ length: sheets }, () => plan.value?.pieces ?? []).flat()
      const pieces = torn.map((one, i) => ({
        label: `${initials}-${first + i + 1}`,
        widthMillimetres: one.width,
        heightMillimetres: one.height,
        side: side.value.trim() || paper.value?.side || '',
      }))
      const back = await writePieces(paper.value.id, pieces, sheets)
      notice.say(
        `${pieces.length} pieces in the drawer, ${pieces[0]?.label} to ${pieces.at(-1)?.label}.`,
        back,
      )
      await router.push({ name: 'paper', params: { paperId: paper.value.id } })
    } catch (error) {
      notice.refuse(error, 'saving the pieces')
    }
  }
  useKeyRows('Tearing', () => [
    { key: ' ', name: 'Next tear', run: () => step(1) },
    { key: 'b', name: 'Previous tear', run: () => step(-1) },
  ])
  useMarginNotes(() => [
    {
      title: 'How to tear',
      lines: [texts.laySteelRuleOnMark, texts.beforeFirstTearMarkPrinting],
    },
    {
      title: 'How the plan is found',
      lines: [texts.planUsesAsMuchSheet],
    },
  ])
  return {
    workroom,
    paperId,
    paper,
    sheetText,
    measured,
    loss,
    rows,
    side,
    stack,
    done,
    asked,
    plan,
    fault,
    isBusy,
    sizeNames,
    tearWords,
    inHand,
    leftOver,
    step,
    write,
  }
}
