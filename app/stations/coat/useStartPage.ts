import { texts } from './words'
import { v4 as uuid } from 'uuid'
import { computed, ref, toRefs, watch } from 'vue'
import { useRouter } from 'vue-router'
import { expectedLight } from '@core/light/lightNow'
import { firstGuess } from '@core/light/sunGuess'
import { startingChoices, stepsFor } from '@core/process/plan'
import { leastTime } from '@core/process/stepTimes'
import { writtenNumber } from '@core/quantity/number'
import { formatSpan } from '@core/quantity/format'
import { holdsStock } from '@core/chemistry/lots'
import { freeLabel } from '@core/shelf/bottleLabel'
import { kitOf } from '@core/shelf/bought'
import { needsOf } from '@core/shelf/readiness'
import type { Bottle } from '@core/schema/records'
import type { LightKind } from '@core/schema/definition'
import { processes, substances } from '@library/index'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { writeSheets } from '../../state/actions/sheet.actions'
import { readDraft } from './sheet.draft'
import { paperNamed, paperNames } from './paperNames'
import { emptyDraft, ofProcess, type SheetDraft } from './newSheet'
import { useLights } from '../../state/lights.store'
import { useWorkroom } from '../../state/workroom.store'
import { useMarginNotes } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { useFormDraft } from '../../state/useFormDraft'
import { cautionNotes } from '../../words/stepNotes'

/** From an empty workroom to a first real print, in the fewest questions: which process, which light, what size. */
export function useStartPage() {
  const [router, workroom, lights, preferences, notice] = [
    useRouter(),
    useWorkroom(),
    useLights(),
    usePreferences(),
    useNotice(),
  ]

  /** Where most people begin, the gentlest first; all others are a word away. */
  const FIRST = [
    {
      id: 'classic-cyanotype',
      says: texts.blueTwoBottlesAndWater,
    },
    { id: 'van-dyke', says: texts.brownOneBottleWithSilver },
    { id: 'salted-paper', says: texts.redBrownVioletSaltAnd },
    { id: 'kallitype', says: texts.brownBlackDevelopedThenFour },
  ] as const
  const { draft: form, forget } = useFormDraft('start', () => ({
    processId: 'classic-cyanotype' as string,
    /** A light of the workroom by its id, or a kind of light. */
    light: 'sun' as string | undefined,
    subject: 'things' as string | undefined,
    /** Whether bottles of its solutions are at hand that the shelf does not know. */
    have: 'none' as string | undefined,
    title: '',
    size: emptyDraft(preferences.chosen.length).size,
    paperName: '',
    /** g/m² that stand for thin, medium or heavy; empty where it is not known. */
    weight: '',
  }))
  const { processId, light: lightChoice, subject, have, title, size, paperName, weight } = toRefs(form.value)
  const others = Object.values(processes).map((one) => ({ id: one.id, name: one.name }))
  const definition = computed(() => processes[processId.value] ?? classicCyanotype)
  const lightOptions = computed(() => {
    const kinds = definition.value.lights
    const known = workroom.lights.filter(({ kind }) => kinds.some((one) => one.kind === kind))
    return [
      ...known.map(({ id, name }) => ({ id, name })),
      ...kinds.map(({ kind, name }) => ({ id: kind as string, name })),
    ]
  })
  watch(lightOptions, (options) => {
    if (!options.some((one) => one.id === lightChoice.value)) lightChoice.value = options[0]?.id
  })
  const SUBJECTS = [
    { id: 'things', name: 'Leaves, lace, flat objects' },
    { id: 'negative', name: 'A negative' },
  ]
  const hasSubjects = computed(() => definition.value.choices.some(({ id }) => id === 'subject'))
  /** What the chosen process is like, in a sentence. */
  const says = computed(
    () => FIRST.find(({ id }) => id === processId.value)?.says ?? definition.value.summary,
  )
  /** Weight of the paper by hand, for those who do not know it in figures; g/m² that stand for each. */
  const WEIGHTS = [
    { id: '', name: 'Not known' },
    { id: '120', name: 'Thin, about 120 g/m²' },
    { id: '200', name: 'Medium, about 200 g/m²' },
    { id: '300', name: 'Heavy, about 300 g/m²' },
  ]
  const HAVE = [
    { id: 'none', name: texts.onShelfOrMade },
    { id: 'ready', name: 'A kit or bottles, ready to use' },
  ]
  /** Labels for bottles that are at hand and not on the shelf: each is put there, its strength assumed. */
  const newBottles = computed(() => {
    if (have.value !== 'ready') return {}
    const labels: Record<string, string> = {}
    for (const { id, name, solutes } of kitOf(definition.value)) {
      if (workroom.bottles.some((one) => !one.ended && holdsStock(one, solutes))) continue
      const taken = Object.values(labels).map((label) => ({ label }) as Bottle)
      labels[id] = freeLabel(name, [...workroom.bottles, ...taken])
    }
    return labels
  })
  const papers = computed(() => paperNames(workroom.papers))
  const knownPaper = computed(() => paperNamed(paperName.value, workroom.papers))
  const namedPaper = computed(() => {
    const said = WEIGHTS.find(({ id }) => id && id === weight.value)
    return paperName.value.trim() || (said ? `${said.name.split(',')[0]} paper` : '')
  })
  const gramsPerM2 = computed(
    () => knownPaper.value?.gramsPerM2 ?? (weight.value ? writtenNumber(weight.value) : undefined),
  )

  const choices = computed(() => {
    const starting = startingChoices(definition.value)
    const asked = definition.value.choices.find((one) => one.id === 'subject')
    const wanted = subject.value === 'things' ? 'photogram' : 'negative'
    return asked?.options.some((one) => one.id === wanted) ? { ...starting, subject: wanted } : starting
  })
  const draft = computed<SheetDraft>(() => ({
    ...emptyDraft(preferences.chosen.length),
    ...ofProcess(definition.value),
    choices: choices.value,
    title: title.value,
    size: size.value,
    light: lightChoice.value ?? 'sun',
    paperName: namedPaper.value,
    paperWeight: knownPaper.value?.gramsPerM2 ? '' : weight.value,
    bottles: newBottles.value,
  }))
  const guess = computed(() => {
    const known = workroom.lights.find(({ id }) => id === lightChoice.value)
    const history = known && lights.history(known.id)
    return firstGuess(
      definition.value,
      {
        kind: known?.kind ?? ((lightChoice.value ?? 'sun') as LightKind),
        choices: choices.value,
        usualSeconds: known?.usualSeconds,
      },
      history ? expectedLight(history, Date.now()) : null,
    )
  })
  const guessSaid = computed(() => {
    const { seconds, low, high } = guess.value
    return texts.guessed({
      time: formatSpan(seconds.value),
      between: low && high ? ` (${formatSpan(low)} to ${formatSpan(high)})` : '',
    })
  })
  /** The wash whose time depends on the paper's weight. */
  const wash = computed(() => {
    const step = stepsFor(definition.value, choices.value).find((one) => one.heavyPaper)
    return step ? leastTime(step, gramsPerM2.value) : null
  })
  const washSaid = computed(() =>
    wash.value
      ? texts.washOfPaper({ time: formatSpan(wash.value.value), isKnown: gramsPerM2.value !== undefined })
      : '',
  )
  const isTried = ref(false)
  const reading = computed(() =>
    readDraft(
      definition.value,
      { ...draft.value, title: draft.value.title.trim() || 'First print' },
      {
        papers: workroom.papers,
        bottles: workroom.bottles,
        lights: workroom.lights,
        lengthUnit: preferences.chosen.length,
        coverageMillilitresPerM2: definition.value.coverage?.millilitresPerM2 ?? 38.8,
        dropsPerMillilitre: preferences.chosen.dropsPerMillilitre,
        proposed: {
          seconds: Math.round(guess.value.seconds.value),
          ...(guess.value.millijoulesPerCm2 !== undefined && {
            millijoulesPerCm2: guess.value.millijoulesPerCm2,
          }),
        },
        now: Date.now(),
        newId: uuid,
      },
    ),
  )
  /** What it takes from the shelf, for this one sheet. */
  const needs = computed(() => {
    const { read } = reading.value
    return read
      ? needsOf(definition.value, {
          input: read.sheet,
          bottles: [...workroom.bottles, ...read.bottles],
          taken: workroom.taken,
          book: substances,
          now: Date.now(),
        })
      : []
  })
  async function begin(): Promise<void> {
    isTried.value = true
    const { read } = reading.value
    if (!read) return
    try {
      const id = await writeSheets(read)
      forget()
      await router.push({ name: 'coat', params: { sheetId: id } })
    } catch (error) {
      notice.refuse(error, 'saving the sheet')
    }
  }

  useMarginNotes(() => [
    ...(guess.value.seconds.working.leavesOut
      ? [
          {
            title: 'The first guess',
            lines: [texts.guessLeavesOut({ what: guess.value.seconds.working.leavesOut })],
          },
        ]
      : []),
    { title: definition.value.name, lines: [definition.value.summary] },
    ...definition.value.components
      .flatMap((one) => one.cautions)
      .slice(0, 3)
      .flatMap((id) => cautionNotes(definition.value, id)),
    {
      title: 'What happens next',
      lines: [texts.sheetPlannedWithUsualDrops, texts.youCanChangeEverythingUntil],
    },
  ])
  return {
    FIRST,
    processId,
    others,
    lightChoice,
    lightOptions,
    subject,
    SUBJECTS,
    hasSubjects,
    says,
    have,
    HAVE,
    title,
    size,
    paperName,
    papers,
    reading,
    guessSaid,
    weight,
    WEIGHTS,
    knownPaper,
    wash,
    washSaid,
    needs,
    begin,
  }
}
