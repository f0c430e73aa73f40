import { z } from 'zod'
import { CoreError, refusalOf } from './errors'

describe('a refusal for anything that was thrown', () => {
  it('is the one that was meant, where it is one of ours', () => {
    const refusal = { code: 'taken', field: 'label', problem: 'S-1 is taken.', remedy: 'Choose another.' }
    expect(refusalOf(new CoreError(refusal), 'saving')).toBe(refusal)
  })

  it('says in words what a schema refuses, and never as JSON', () => {
    const Sheet = z.strictObject({
      title: z.string().min(1).max(200),
      exposureSeconds: z.number().gt(0),
      tool: z.enum(['brush', 'rod']),
    })
    const said = (value: unknown) => refusalOf(Sheet.safeParse(value).error, 'saving').problem
    const sound = { title: 'Gauge', exposureSeconds: 480, tool: 'brush' }
    expect(said({ ...sound, title: 'x'.repeat(201) })).toBe(
      'This cannot be saved: title is longer than 200 characters.',
    )
    expect(said({ ...sound, exposureSeconds: 0 })).toBe(
      'This cannot be saved: exposure seconds is not more than 0.',
    )
    expect(said({ ...sound, tool: 'roller' })).toBe('This cannot be saved: tool must be one of brush, rod.')
    expect(said({ ...sound, script: 1 })).toBe('This cannot be saved: script is not known.')
    expect(said('Gauge')).toBe('This cannot be saved: saving has the wrong type.')
  })

  it('names what was being done for all else', () => {
    expect(refusalOf(new Error('no such device'), 'the balance')).toMatchObject({
      field: 'the balance',
      problem: 'This did not work: no such device.',
    })
  })
})
