<script setup lang="ts">
import { texts } from '../words'
import { writtenNumber } from '@core/quantity/number'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import { ref } from 'vue'
import { CoreError } from '@core/errors'
import type { Sheet } from '@core/schema/records'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { useNotice } from '../../../state/notice.store'
import { changeIdentity } from '../../../state/actions/print.actions'
import { editionSaid } from '../../../words/printWords'

/** What a print is called, which portfolio it belongs to, and its place in an edition. */
const props = defineProps<{ sheet: Sheet }>()
const emit = defineEmits<{ close: [] }>()
const [workroom, notice] = [useWorkroom(), useNotice()]
const title = ref(props.sheet.title)
const portfolio = ref(props.sheet.portfolio)
const subject = ref(props.sheet.subject)
const edition = ref(props.sheet.edition ? editionSaid(props.sheet.edition) : '')
const { faults, attempt } = useAttempt()

/** `3/7`, `3 of 7`, `3`, `proof 2`; empty for none. */
function readEdition(text: string): Sheet['edition'] {
  if (!text.trim()) return undefined
  const match = /^(proof\s+|a\.?p\.?\s+)?(\d{1,4})(?:\s*(?:\/|of)\s*(\d{1,4}))?$/i.exec(text.trim())
  const [number, of] = [
    writtenNumber(match?.[2]),
    match?.[3] === undefined ? undefined : writtenNumber(match[3]),
  ]
  if (!match || number < 1 || (of !== undefined && of < number))
    throw new CoreError({
      code: 'unreadable',
      field: 'edition',
      problem: `“${text}” is not an edition number.`,
      remedy: texts.enterEditionNumber,
    })
  return { number, ...(of !== undefined && { of }), ...(match[1] && { isProof: true }) }
}
async function write(): Promise<void> {
  const isTitled = await attempt('title', () => {
    if (!title.value.trim() || title.value.length > 200)
      throw new CoreError({
        code: 'unreadable',
        field: 'title',
        problem: title.value.trim() ? 'This text is longer than 200 characters.' : 'The print has no title.',
        remedy: texts.enterTitleSoThatYou,
      })
  })
  let place: Sheet['edition']
  const isPlaced = await attempt('edition', () => {
    place = readEdition(edition.value)
    const twin = place && workroom.sheets.find(
      (one) =>
        one.sheet.id !== props.sheet.id &&
        one.sheet.title === title.value.trim() &&
        one.sheet.edition?.number === place?.number &&
        (one.sheet.edition?.isProof ?? false) === (place?.isProof ?? false),
    ) // prettier-ignore
    if (twin)
      throw new CoreError({
        code: 'twice',
        field: 'edition',
        problem: `Sheet ${twin.sheet.number} already has this edition number.`,
        remedy: 'Choose another number.',
      })
  })
  if (!isTitled || !isPlaced) return
  try {
    const back = await changeIdentity(props.sheet.id, {
      title: title.value.trim(),
      portfolio: portfolio.value.trim(),
      subject: subject.value.trim(),
      edition: place,
    })
    notice.say('Saved.', back)
    emit('close')
  } catch (error) {
    notice.refuse(error, 'the title')
  }
}
</script>

<template>
  <form class="PrintIdentity" @submit.prevent="write" @keydown.escape.stop="emit('close')">
    <h2>Title and edition</h2>
    <TextField v-model="title" autofocus label="Title" :fault="faults.title" />
    <TextField v-model="portfolio" label="Portfolio" :options="workroom.portfolios" />
    <TextField v-model="subject" label="Printed from" />
    <TextField
      v-model="edition"
      label="Edition"
      placeholder="3/7"
      :fault="faults.edition"
      hint="3/7, 3, or proof 2"
    />
    <div class="PrintIdentity-acts">
      <BigTarget label="Save" hint="enter" @press="write" />
      <BigTarget quiet label="Cancel" hint="escape" @press="emit('close')" />
    </div>
    <EnterSubmits>Save</EnterSubmits>
  </form>
</template>

<style scoped>
.PrintIdentity {
  display: grid;
  gap: var(--es-space-2);
}

.PrintIdentity-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
