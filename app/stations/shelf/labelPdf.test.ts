import { labelOf } from '@core/shelf/label'
import { bottle } from '@core/fixtures/substances'
import { hazardStatements, substances } from '@library/index'
import type { Bottle } from '@core/schema/records'
import { readPdf } from '../../kit/readPdf.fixture'
import { LABEL, labelPdf } from './labelPdf'

const labelled = (contents: Bottle['contents'], more: Partial<Bottle> = {}) =>
  labelOf(
    bottle(1, { contents, ...more }),
    substances,
    hazardStatements,
    'http://localhost/shelf/1',
    () => '24 Nov 2026',
  )
const silver = [
  { substanceId: 'silver-nitrate', percent: 12 },
  { substanceId: 'citric-acid', percent: 6 },
]

/** The PDF as text: page size and the operators of its one page, as jsPDF writes them without compression. */
const textOf = async (pdf: Blob) => Buffer.from(await pdf.arrayBuffer()).toString('latin1')

describe('labelPdf', () => {
  it('is one page of the label’s size; the code is drawn as squares, dark modules only', async () => {
    const pdf = await textOf(await labelPdf(labelled(silver)))
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1)
    const [, width, height] = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf)!
    // Points of 1/72 in.
    expect(Number(width)).toBeCloseTo((LABEL.width / 25.4) * 72, 1)
    expect(Number(height)).toBeCloseTo((LABEL.height / 25.4) * 72, 1)
    expect((pdf.match(/ re$/gm) ?? []).length).toBeGreaterThan(150)
  })

  it.each([
    ['a mild salt', [{ substanceId: 'sodium-chloride', percent: 2 }], null],
    ['silver', silver, 'DANGER'],
    ['the worst of all', [{ substanceId: 'ammonium-dichromate', percent: 20 }], 'DANGER'],
  ])('keeps every line of %s on the label', async (_, contents, signal) => {
    const label = labelled(contents)
    expect(label.signal).toBe(signal)
    const blob = await labelPdf(label)
    const pdf = await textOf(blob)
    // Every text is placed at `x y Td` from the bottom: none may be below the edge of the label.
    const heights = [...pdf.matchAll(/([\d.-]+) ([\d.-]+) Td/g)].map((match) => Number(match[2]))
    expect(heights.length).toBeGreaterThan(1)
    expect(Math.min(...heights)).toBeGreaterThan(0)
    const [words] = (await readPdf(blob)).pages
    for (const statement of label.statements) expect(words).toContain(statement.slice(0, 4))
  })

  it('writes the letters that people have, and a box for those it has not', async () => {
    const title = 'Λίμνη − Озеро, Łódź\u2009½ 湖'
    const [words] = (await readPdf(await labelPdf({ ...labelled(silver), title }))).pages
    expect(words).toContain('Λίμνη − Озеро, Łódź')
    expect(words).toContain('□')
    expect(words).not.toContain('湖')
  })
})
