import type { Passport } from '@core/judge/passport'
import { readPdf } from '../../kit/readPdf.fixture'
import { backLabelPdf, passportPdf } from './passportPdf'

const passport: Passport = {
  title: 'Озеро «Λίμνη»', line: 'Sheet 7', process: 'Kallitype', madeAt: Date.UTC(2026, 2, 8), materials: [['Paper', 'Żubr 300 g/m²']],
  results: [], care: ['Keep it dry.'], steps: [{ at: Date.UTC(2026, 2, 8), what: 'coated', detail: 'ΔE 2 → 1' }],
} as unknown as Passport // prettier-ignore

describe('the papers of a print', () => {
  it('have the letters of its title, in words that can be searched, and in the title of the file', async () => {
    const { pages, title } = await readPdf(await passportPdf(passport, null))
    for (const said of ['Озеро «Λίμνη»', 'Żubr 300 g/m²', 'ΔE 2 → 1']) expect(pages.join(' ')).toContain(said)
    expect(title).toBe(passport.title)
    expect(pages.join(' ')).not.toContain('□')
    const label = await readPdf(await backLabelPdf(passport))
    expect(label.pages[0]).toContain('Озеро «Λίμνη»')
  })

  it('say so where a letter is missing', async () => {
    const { pages } = await readPdf(await passportPdf({ ...passport, title: '湖 lake' }, null))
    expect(pages.join(' ')).toContain('□ lake')
    expect(pages.join(' ')).toContain('□: a letter that the font of this page does not have.')
  })

  it('hold only the letters that are used: small files', async () => {
    expect((await passportPdf(passport, null)).size).toBeLessThan(400_000)
  })
})
