import { writtenNumber } from '@core/quantity/number'
import { v4 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { baseFor, exposureFromBase } from '@core/light/bases'
import { firstGuess } from '@core/light/sunGuess'
import { expectedLight, exposureUnder } from '@core/light/lightNow'

import { formatSize, formatSpan } from '@core/quantity/format'
import type { LightKind } from '@core/schema/definition'
import { Strip } from '@core/schema/light'
import type { Sheet } from '@core/schema/records'
import { repeatOf } from '@core/judge/repeat'
import { faults as faultBook } from '@library/faults'
import { gumOver } from '@library/processes/gumOver'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { useWorkroom } from '../../state/workroom.store'
import { useLights } from '../../state/lights.store'
import { chartDraft } from './chartDraft'
import { texts } from './words'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { useFormDraft } from '../../state/useFormDraft'
import { writeSheets } from '../../state/actions/sheet.actions'
import { readDraft, timeOrNull, type DraftFaults } from './sheet.draft'
import { contrastPlan } from '@core/process/contrastPlan'
import { contrastMeans } from '@library/contrast'
import { draftOf, emptyDraft, ofProcess, type SheetDraft } from './newSheet'
import { useRoomRecords } from '../../state/useRoomRecords'
import { useCoverage, useDropper } from '../../state/useCoverage'

/** The form on which a sheet is planned: what is typed, what it reads as, and the writing down. */
export function useSheetForm() {
  const [route, router, workroom, preferences, notice] = [
    useRoute(),
    useRouter(),
    useWorkroom(),
    usePreferences(),
    useNotice(),
  ]
  const lights = useLights()
  /** The sheet whose plan is being changed. Saving is refused once its work has started. */
  const changing = computed(() => {
    const found = typeof route.query.sheet === 'string' ? workroom.find(route.query.sheet) : undefined
    return found?.sheet ?? null
  })
  /** The finished print over which a further layer is planned. */
  const under = computed(() => {
    const id = typeof route.query.over === 'string' ? route.query.over : changing.value?.over
    return (id && workroom.find(id)?.sheet) || null
  })
  /** The one thing that a diagnosis wants changed. */
  const tested = faultBook.tests.find((one) => one.id === route.query.test)
  /** The print that is to be made again, with what is different about it this time. */
  const { room, recordOf } = useRoomRecords()
  const again = computed(() => {
    const id = route.query.again
    const record = typeof id === 'string' ? recordOf(id) : null
    return record && repeatOf(record, room.value, workroom.taken, Date.now(), tested?.change)
  })
  const last = under.value ?? again.value?.sheet ?? workroom.sheets[0]?.sheet
  const asked = typeof route.query.process === 'string' ? route.query.process : undefined
  const processId = ref(
    asked ??
      changing.value?.process.id ??
      (under.value ? gumOver.id : last?.process.id) ??
      classicCyanotype.id,
  )
  const definition = computed(() => workroom.definitionOf(processId.value))

  // What is typed outlives a detour and a reload; every sheet that is changed or made again has a form of its own.
  const {
    draft: form,
    wasKept,
    forget,
    startOver,
  } = useFormDraft(`sheet ${JSON.stringify(route.query)}`, () => ({
    processId: processId.value,
    sheet: firstDraft(),
    /** The exposure as it came with the sheet this one starts from: what was typed since stays as it is. */
    exposureFromBefore: firstDraft().exposure,
  }))
  processId.value = form.value.processId
  const draft = computed(() => form.value.sheet)
  const coverage = useCoverage(
    () => definition.value,
    () => draft.value.tool,
  )
  const dropper = useDropper()
  const isTried = ref(false)

  const firstLight = () => definition.value.lights[0]?.kind ?? 'uvBox'
  /** The next sheet starts from the last one: same paper, bottles and light, another picture. */
  function firstDraft(): SheetDraft {
    const strip = stripOf(route.query.strip)
    const last = draftFromLast()
    const draft = {
      ...last,
      light: last.light || firstLight(),
      ...contrastAsked(),
      ...chartDraft(route.query, workroom, preferences.chosen.length),
    }
    return strip ? { ...draft, title: 'Test strip', strip, exposure: formatSpan(strip.lastSeconds) } : draft
  }
  /** What a comparison of paper and negative has found for the contrast of the coat. */
  function contrastAsked(): Partial<SheetDraft> {
    const means = contrastMeans.find(({ id }) => id === route.query.means)
    const plan = means && contrastPlan(definition.value, means, writtenNumber(String(route.query.amount)))
    if (!plan) return {}
    return { choices: plan.choices, ratios: plan.parts ? { [plan.mix]: plan.parts.join(' : ') } : {} }
  }
  function draftFromLast(): SheetDraft {
    const shown = (sheet: Pick<Sheet, 'widthMillimetres' | 'heightMillimetres'>) =>
      formatSize(sheet, { length: preferences.chosen.length, temperature: 'degC' })
    if (changing.value && changing.value.process.id === processId.value)
      return draftOf(changing.value, workroom, shown(changing.value))
    if (again.value && again.value.sheet.process.id === processId.value) {
      const { sheet } = again.value
      return {
        ...draftOf(sheet, workroom, shown(sheet)),
        sheets: '1',
        title: tested ? `${sheet.title}: ${tested.name.toLowerCase()}` : sheet.title,
        strip: undefined,
      }
    }
    const fresh = { ...emptyDraft(preferences.chosen.length), ...ofProcess(definition.value) }
    if (!last) return fresh
    const next = {
      ...draftOf(last, workroom, shown(last)),
      strip: undefined,
      title: under.value?.title ?? '',
      portfolio: last.portfolio,
      subject: '',
      exposure: '',
      sheets: '1',
      pieceId: '',
      coverage: '',
      dropper: '',
    }
    return last.process.id === processId.value ? next : { ...next, ...ofProcess(definition.value) }
  }
  watch(processId, (id) => {
    form.value.processId = id
    Object.assign(draft.value, ofProcess(definition.value))
    if (!definition.value.lights.some((one) => one.kind === lightKind.value)) draft.value.light = firstLight()
  })

  /** One's own base exposure for what is chosen, as its light burns now. */
  const fromBase = computed(() => {
    const history = lights.history(draft.value.light)
    const found = baseFor(lights.bases, {
      processId: processId.value,
      choices: draft.value.choices,
      paperId: workroom.papers.find((paper) => paper.name === draft.value.paperName.trim())?.id,
      lightId: draft.value.light,
    })
    return (
      found &&
      exposureFromBase(found, history && expectedLight(history, Date.now()), history?.light.schwarzschild)
    )
  })
  /** The exposure that is proposed: by one's own base exposure, else a first guess. */
  const proposed = computed(() => {
    if (fromBase.value) return fromBase.value
    const light = workroom.lights.find(({ id }) => id === draft.value.light)
    const kind = light?.kind ?? (draft.value.light as LightKind)
    if (!definition.value.lights.some((one) => one.kind === kind)) return null
    const input = { kind, choices: draft.value.choices, usualSeconds: light?.usualSeconds }
    const history = lights.history(draft.value.light)
    return firstGuess(definition.value, input, history && expectedLight(history, Date.now()))
  })
  /** What became of an exposure from before when the light was changed. */
  const exposureNote = ref('')
  const lightName = (id: string) => workroom.lights.find((one) => one.id === id)?.name
  const expectedOf = (id: string) => {
    const history = lights.history(id)
    return history ? expectedLight(history, Date.now()) : null
  }
  watch(
    () => draft.value.light,
    (to, from) => {
      const typed = draft.value.exposure.trim()
      exposureNote.value = ''
      if (!typed || typed !== form.value.exposureFromBefore || !from || draft.value.strip) return
      const was = timeOrNull(typed)
      const seconds = was && exposureUnder(was, expectedOf(from), expectedOf(to))
      draft.value.exposure = form.value.exposureFromBefore = seconds ? formatSpan(Math.round(seconds)) : ''
      exposureNote.value = seconds
        ? texts.exposureConverted({ was: typed, light: lightName(from) ?? '' })
        : texts.exposureCleared({ was: typed })
    },
  )
  const reading = (typed: SheetDraft) =>
    readDraft(definition.value, typed, {
      papers: workroom.papers,
      bottles: workroom.bottles,
      lights: workroom.lights,
      lengthUnit: preferences.chosen.length,
      coverageMillilitresPerM2: coverage.value.value,
      dropsPerMillilitre: dropper.value.dropsPerMillilitre,
      proposed: proposed.value && {
        seconds: Math.round(proposed.value.seconds.value),
        ...(proposed.value.millijoulesPerCm2 !== undefined && {
          millijoulesPerCm2: proposed.value.millijoulesPerCm2,
        }),
      },
      now: Date.now(),
      newId: uuid,
    })
  const result = computed(() => reading(draft.value))
  /** A missing title is no fault until one tries to go on without. */
  const faults = computed<DraftFaults>(() =>
    isTried.value ? result.value.faults : { ...result.value.faults, title: undefined },
  )
  // Without a title the figures are shown all the same: the draft is read once more under a stand-in.
  const figured = computed(() => {
    const { read } = reading({ ...draft.value, title: draft.value.title || 'untitled' })
    if (!read) return null
    return read.sheets > 1 ? { ...read.sheet, batch: { id: '', of: read.sheets, place: 1 } } : read.sheet
  })
  const light = computed(() => workroom.lights.find((one) => one.id === draft.value.light))
  const lightKind = computed<LightKind>(() => light.value?.kind ?? (draft.value.light as LightKind))
  const exposure = computed(() => proposed.value?.seconds ?? null)

  async function save(): Promise<void> {
    isTried.value = true
    const { read } = result.value
    if (!read) return
    try {
      const { diagnosis } = route.query
      const firstId = await writeSheets(read, {
        changing: changing.value,
        under: under.value,
        after: again.value?.sheet.after,
        test:
          tested && typeof diagnosis === 'string' ? { diagnosisId: diagnosis, testId: tested.id } : undefined,
      })
      const goesTo = GOES_TO[draft.value.cameIn || 'new']
      forget()
      await router.push({ name: goesTo, params: { sheetId: firstId } })
    } catch (error) {
      notice.refuse(error, 'saving the sheet')
    }
  }
  return {
    changing,
    under,
    again,
    tested,
    processId,
    definition,
    draft,
    faults,
    figured,
    coverage,
    dropper,
    light,
    exposure,
    exposureNote,
    fromBase,
    wasKept,
    startOver,
    save,
  }
}

/** Where a new sheet is worked on first. */
const GOES_TO = { new: 'coat', coated: 'light', exposed: 'wet', finished: 'print' } as const

/** A test strip as its page hands it over: first, last, marks, spacing and card. */
function stripOf(query: unknown): Sheet['strip'] {
  if (typeof query !== 'string') return undefined
  const [firstSeconds, lastSeconds, count, spacing, card] = query.split('-')
  const read = Strip.safeParse({
    firstSeconds: writtenNumber(firstSeconds),
    lastSeconds: writtenNumber(lastSeconds),
    count: writtenNumber(count),
    spacing,
    card,
  })
  return read.success ? read.data : undefined
}
