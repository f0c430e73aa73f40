import { ProcessDefinition } from '@core/schema/definition'
import { kallitype } from '@library/processes/kallitype'
import { draftOfProcess, readProcess, type ProcessDraft } from './process.draft'

const changed = (change: (draft: ProcessDraft) => void) => {
  const draft = draftOfProcess(kallitype)
  change(draft)
  return readProcess(kallitype, draft)
}

describe('a process on its page', () => {
  it('is the same process while nothing is changed', () => {
    const { read, faults } = changed(() => undefined)
    expect(faults).toEqual({})
    expect(read).toEqual(kallitype)
  })

  it('takes strengths, ratios, times and words, and marks them as one’s own', () => {
    const { read } = changed((draft) => {
      draft.strengths.silver!['silver-nitrate'] = '12,5'
      draft.parts.sensitizer![0] = '3'
      draft.steps.develop!.least = '90 s'
      draft.steps.dry!.doing = 'On the line.'
      draft.coverage = '30'
    })
    expect(ProcessDefinition.parse(read)).toEqual(read)
    expect(read?.components.find((one) => one.id === 'silver')?.stock).toMatchObject({
      solutes: [{ percentWv: 12.5 }],
      standing: 'yours',
    })
    expect(read?.components.find((one) => one.id === 'oxalate')?.stock.standing).toBe('memory')
    expect(read?.mixes[0]?.parts.map((part) => part.parts)).toEqual([3, 1])
    expect(read?.steps.find((one) => one.id === 'develop')?.time).toMatchObject({
      leastSeconds: 90,
      mostSeconds: 180,
      standing: 'yours',
    })
    expect(read?.coverage).toMatchObject({ millilitresPerM2: 30, standing: 'yours' })
  })

  it.each<[string, (draft: ProcessDraft) => void, string]>([
    ['no name', (draft) => (draft.name = ' '), 'name'],
    [
      'a strength of words',
      (draft) => (draft.strengths.silver!['silver-nitrate'] = 'strong'),
      'strength/silver/silver-nitrate',
    ],
    ['a part of nothing', (draft) => (draft.parts.sensitizer![1] = '0'), 'parts/sensitizer/1'],
    ['a time of words', (draft) => (draft.steps.develop!.least = 'a while'), 'step/develop/least'],
    ['a coverage of words', (draft) => (draft.coverage = 'thin'), 'coverage'],
  ])('is refused with %s, at its field', (_, change, field) => {
    const { read, faults } = changed(change)
    expect(read).toBeNull()
    expect(Object.keys(faults)).toEqual([field])
  })
})
