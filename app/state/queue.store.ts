import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { v4 as uuid } from 'uuid'
import type { Refusal } from '@core/errors'
import type { MadeNegative } from '@core/schema/light'
import { addNegative } from './actions/negative.actions'
import { useNotice } from './notice.store'
import { saveFile } from './saveFile'
import type { NegativeQuestion } from '../workers/negative.worker'
import { refusalOfWork, workOn } from '../workers/negativeWork'

type MakeQuestion = Extract<NegativeQuestion, { act: 'make' }>

/** One film to be made, and what is recorded of it when it is. */
export interface NegativeJob {
  id: string
  /** What a person calls it. */
  name: string
  fileName: string
  question: MakeQuestion
  record: Omit<MadeNegative, 'id' | 'at' | 'fileName' | 'note'>
  state: 'waiting' | 'working' | 'refused'
  share: number
  refusal: Refusal | null
}

/** Films that are made one after the other, wherever the printer goes meanwhile. */
export const useNegativeQueue = defineStore('negativeQueue', () => {
  const notice = useNotice()
  const jobs = ref<NegativeJob[]>([])
  const waiting = computed(() => jobs.value.filter((job) => job.state !== 'refused'))
  let work: AbortController | null = null

  function add(of: Pick<NegativeJob, 'name' | 'fileName' | 'question' | 'record'>[]): void {
    jobs.value.push(
      ...of.map((job) => ({ ...job, id: uuid(), state: 'waiting' as const, share: 0, refusal: null })),
    )
    void next()
  }

  async function next(): Promise<void> {
    if (work) return
    const job = jobs.value.find((one) => one.state === 'waiting')
    if (!job) return
    job.state = 'working'
    const own = new AbortController()
    work = own
    try {
      const { file, width, height } = await workOn(plain(job.question), {
        signal: own.signal,
        heard: (share) => (job.share = share),
      })
      saveFile(file, job.fileName)
      await remember(job)
      notice.say(
        `${job.name} is ready: ${width} × ${height} pixels, 16 bit. Print at ${job.record.pixelsPerInch} ppi without scaling.`,
      )
      drop(job.id)
    } catch (error) {
      const refusal = refusalOfWork(error)
      if (refusal) Object.assign(job, { state: 'refused', refusal })
      else drop(job.id)
    } finally {
      if (work === own) work = null
      void next()
    }
  }

  async function remember(job: NegativeJob): Promise<void> {
    try {
      const made = { ...plain(job.record), id: uuid(), at: Date.now(), fileName: job.fileName, note: '' }
      await addNegative(made)
    } catch (error) {
      notice.refuse(error, 'saving the negative')
    }
  }

  function drop(id: string): void {
    jobs.value = jobs.value.filter((one) => one.id !== id)
  }
  /** Stops one film, or takes it out of the row. */
  function stop(id: string): void {
    const job = jobs.value.find((one) => one.id === id)
    if (job?.state === 'working') work?.abort()
    else drop(id)
  }
  return { jobs, waiting, add, stop }
})

/** A worker and a store of the browser take plain data, not what Vue watches. */
function plain<Value extends object>(value: Value): Value {
  const { file, ...rest } = value as Value & { file?: Blob }
  return { ...(JSON.parse(JSON.stringify(rest)) as Value), ...(file && { file }) }
}
