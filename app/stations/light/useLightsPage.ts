import { texts } from './words'
import { saveLight } from '../../state/actions/light.actions'
import { measuredAgainst } from '@core/light/ageing'
import { v4 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { litSince, healthOf } from '@core/light/lightLedger'
import { expectedLight } from '@core/light/lightNow'
import { blueLightLines } from '../../words/spectrumNotes'
import { eyeLimitSeconds } from '@core/light/eyeLimit'
import { digits, formatSpan } from '@core/quantity/format'
import type { LightKind } from '@core/schema/definition'
import { useNow } from '../../state/useNow'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { dayOf } from '../../words/moments'
import { useWayBack } from '../../state/useWayBack'
import { useNotice } from '../../state/notice.store'
import { useLights } from '../../state/lights.store'
import { irradianceText, KIND_WORDS } from './lightWords'

/** The lights of the workroom, each with its health, and adding one. */
export function useLightsPage() {
  const [route, router, lights, now, notice] = [
    useRoute(), useRouter(), useLights(), useNow(), useNotice(),
  ] // prettier-ignore

  const standing = computed(() =>
    [...lights.histories.values()].map((history) => {
      const isSun = history.light.kind === 'sun'
      const health = healthOf(history, now.now)
      const expected = expectedLight(history, now.now)
      return {
        history,
        light: history.light,
        health,
        isLit: isSun ? (expected?.value ?? 0) > 0.05 : litSince(history) !== null,
        strength: Math.min(1, (health.left?.value ?? 100) / 100),
        /** The line under its name. */
        says: isSun
          ? [
              history.light.place
                ? expected && expected.value > 0.005
                  ? `about ${irradianceText(expected.value)} now`
                  : 'the sun is down'
                : 'place not set',
            ]
          : [
              `${digits(Math.round(health.hours.value * 10) / 10)}\u00a0h`,
              ...(health.left
                ? [`${Math.round(health.left.value)}\u00a0% ${measuredAgainst(health.firstReadAtHours)}`]
                : []),
              ...(expected ? [irradianceText(expected.value)] : ['not measured yet']),
            ],
        isDue: !isSun && health.nextCheckHours < 0,
        milliwattsPerCm2: expected && expected.value > 0.05 ? expected.value : null,
      }
    }),
  )
  const chosen = computed(
    () => standing.value.find((one) => one.light.id === route.params.lightId) ?? standing.value[0] ?? null,
  )
  const choose = (id: string) => void router.replace({ name: 'lights', params: { lightId: id } })

  const name = ref('')
  const kind = ref<string | undefined>('uvBox')
  const kinds = (Object.keys(KIND_WORDS) as LightKind[]).map((id) => ({ id, name: KIND_WORDS[id] }))
  const { back, goOn } = useWayBack()
  const isAdding = ref(back.value !== null)
  async function add(): Promise<void> {
    try {
      const light = await saveLight({
        id: uuid(),
        name: name.value.trim() || `the ${KIND_WORDS[kind.value as LightKind]}`,
        kind: kind.value as LightKind,
        note: '',
      })
      isAdding.value = false
      name.value = ''
      if (back.value) await goOn({ name: 'lights' })
      else choose(light.id)
    } catch (error) {
      notice.refuse(error, 'the light')
    }
  }

  useMarginNotes(() => {
    const notes: MarginNote[] = standing.value
      .filter((one) => one.isDue)
      .map((one) => ({
        title: `Measure ${one.light.name}`,
        lines: [texts.itsOutputMayHaveChanged],
        tone: 'caution',
      }))
    const last = chosen.value?.history.entries.filter((one) => one.what.type === 'read').at(-1)
    if (last?.what.type === 'read')
      notes.push({
        title: 'Last reading',
        lines: [`${irradianceText(last.what.milliwattsPerCm2)}, ${dayOf(last.at)}`],
      })
    notes.push(
      {
        title: 'Eyes',
        tone: 'caution',
        lines: [
          ...(chosen.value?.milliwattsPerCm2
            ? [
                texts.eyeLimitUnderLight({
                  light: chosen.value.light.name,
                  limit: formatSpan(Math.round(eyeLimitSeconds(chosen.value.milliwattsPerCm2).value)),
                }),
                ...blueLightLines(chosen.value.milliwattsPerCm2, chosen.value.light.peakNanometres),
              ]
            : []),
          texts.closeCoverAndWearGlasses,
        ],
      },
      {
        title: 'Why measure a lamp',
        lines: [texts.lampsDimSlowlySoSame, texts.measureAtSamePlaceIn],
      },
    )
    return notes
  })
  return { standing, chosen, choose, name, kind, kinds, isAdding, add }
}
