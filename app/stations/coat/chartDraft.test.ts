import { uuid } from '@core/fixtures/logs'
import type { DraftRoom } from './sheet.draft'
import { chartDraft } from './chartDraft'

const room = {
  papers: [{ id: uuid(1), name: 'Heron rag', gramsPerM2: 300 }],
  lights: [{ id: uuid(2), name: 'the attic box' }],
} as unknown as Pick<DraftRoom, 'papers' | 'lights'>

describe('a sheet for a chart', () => {
  it('has the size, paper, light and exposure of its calibration', () =>
    expect(
      chartDraft(
        { chart: 'Chart: rag', width: '152.4', height: '127', paper: uuid(1), light: uuid(2), seconds: '360' },
        room,
        'in',
      ),
    ).toMatchObject({
      title: 'Chart: rag', size: expect.stringMatching(/^6.×.5.in$/), paperName: 'Heron rag', paperWeight: '300', light: uuid(2), exposure: expect.stringMatching(/^6\smin$/),
    })) // prettier-ignore

  it('leaves out what is not known here, and is nothing without a chart', () => {
    const draft = chartDraft({ chart: 'x', width: '100', height: '80', paper: uuid(9), light: uuid(9) }, room, 'mm') // prettier-ignore
    expect(Object.keys(draft).sort()).toEqual(['pieceId', 'sheets', 'size', 'subject', 'title'])
    expect(chartDraft({ width: '100', height: '80' }, room, 'mm')).toEqual({})
    expect(chartDraft({ chart: 'x', width: 'wide', height: '80' }, room, 'mm')).toEqual({})
  })
})
