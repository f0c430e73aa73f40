import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { effectScope, ref } from 'vue'
import { useLiveQuery } from './useLiveQuery'

/** Waits until something is so, however slow the machine is. */
async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 5))
}

describe('a query that follows a source', () => {
  it('shows nothing of the sheet before while the next one is being read', async () => {
    setActivePinia(createPinia())
    const scope = effectScope()
    const sheet = ref('first')
    const answers: Record<string, (log: string[]) => void> = {}
    const log = scope.run(() =>
      useLiveQuery(() => new Promise<string[]>((resolve) => (answers[sheet.value] = resolve)), [], [sheet]),
    )!
    await until(() => 'first' in answers)
    answers.first!(['an event of the first'])
    await until(() => log.value.length > 0)
    expect(log.value).toEqual(['an event of the first'])
    sheet.value = 'second'
    expect(log.value).toEqual([])
    await until(() => 'second' in answers)
    answers.second!(['an event of the second'])
    await until(() => log.value.length > 0)
    expect(log.value).toEqual(['an event of the second'])
    scope.stop()
  })
})
