import type { WorkCard } from '@core/process/workCard'
import { MARGIN, openPdf, PdfWriter, TEXT_WIDTH } from '../../kit/pdfWriter'
import { texts } from './words'

/** Where the time of a step stands, and how wide what is done is set beside it. */
const TIME_WIDTH = 34
const DOING_WIDTH = TEXT_WIDTH - TIME_WIDTH - 8
const NOTE_LINES = 4

/** A process on one or two pages of A4: glass, steps with times and cues, cautions, and lines for notes; its words as text. */
export async function workCardPdf(card: WorkCard): Promise<Blob> {
  const pdf = await openPdf({ unit: 'mm', format: 'a4' })
  pdf.setProperties({ title: `${card.title}, work card`, subject: card.line })
  const page = new PdfWriter(pdf)
  page.write(card.title, 22, 'bold')
  page.write(card.line, 11)
  page.write(card.isGentle ? texts.cardGentle : texts.cardNotGentle, 9.5, 'italic')
  for (const { name, rows } of card.mixes) {
    page.heading(name)
    for (const { solution, drops, millilitres } of rows)
      page.row(solution, `${drops} drops, or ${millilitres}`)
  }
  page.heading('Steps')
  for (const [i, step] of card.steps.entries()) writeStep(page, i + 1, step)
  page.heading('Safety')
  for (const { title, text, firstAid } of card.cautions) {
    page.write(title, 9.5, 'bold')
    page.write([text, firstAid].filter(Boolean).join(' '), 8.5)
    page.y += 1
  }
  page.write(texts.cardDefers, 8.5, 'italic')
  page.heading('Notes')
  for (let line = 0; line < NOTE_LINES; line++) {
    page.room(9)
    page.y += 8
    pdf.setDrawColor(150).line(MARGIN, page.y, MARGIN + TEXT_WIDTH, page.y)
  }
  return pdf.output('blob')
}

function writeStep(
  page: PdfWriter,
  number: number,
  { title, doing, time, cue }: WorkCard['steps'][number],
): void {
  // A step is read at once, so it stays on one page.
  page.room(20)
  const top = page.y
  page.write(`${number}`, 11, 'bold')
  page.y = top
  page.write(title, 11, 'bold', MARGIN + 8, DOING_WIDTH)
  page.write(doing, 9.5, 'normal', MARGIN + 8, DOING_WIDTH)
  if (cue) page.write(cue, 9.5, 'italic', MARGIN + 8, DOING_WIDTH)
  const bottom = page.y
  if (time) {
    page.y = top
    page.write(time, 12, 'bold', MARGIN + 8 + DOING_WIDTH + 4, TIME_WIDTH - 4)
  }
  page.y = Math.max(bottom, page.y) + 2
}
