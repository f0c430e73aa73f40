import { MARGIN, NO_LETTER, openPdf, PdfWriter, writable } from '../../kit/pdfWriter'
import type { Passport } from '@core/judge/passport'
import { resultName, resultSaid } from './compareWords'
import { texts } from './words'

/** Label for the back of a print; it fits a strip of archival paper. */
export const BACK_LABEL = { width: 100, height: 50 } as const

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })
const moment = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
})

/** The picture as a JPEG or PNG that a PDF can hold, with its size in pixels. */
export interface PassportPicture {
  data: Uint8Array
  kind: 'JPEG' | 'PNG'
  width: number
  height: number
}

/** The passport of a print on A4: picture, materials, process, what it measured, how to keep it; its words as text. */
export async function passportPdf(passport: Passport, picture: PassportPicture | null): Promise<Blob> {
  const pdf = await openPdf({ unit: 'mm', format: 'a4' })
  pdf.setProperties({ title: passport.title, subject: `${passport.process}, ${passport.line}` })
  const page = new PdfWriter(pdf)
  page.write(passport.line, 10, 'italic')
  page.write(passport.title, 22, 'bold')
  page.write([passport.process, passport.madeAt === null ? '' : day.format(passport.madeAt)].filter(Boolean).join(', '), 11) // prettier-ignore
  page.y += 4
  if (picture) {
    const scale = Math.min(110 / picture.width, 92 / picture.height)
    const [width, height] = [picture.width * scale, picture.height * scale]
    pdf.addImage(picture.data, picture.kind, MARGIN, page.y, width, height)
    page.y += height + 3
  }
  page.heading('Materials')
  for (const [name, value] of passport.materials) page.row(name, value)
  if (passport.results.length) {
    page.heading('Results')
    for (const row of passport.results) page.row(resultName(row), resultSaid(row.said[0] ?? null))
  }
  page.heading('Care')
  for (const line of passport.care) page.write(line, 9.5)
  page.heading('How this print was made')
  for (const line of passport.steps)
    page.row(moment.format(line.at), [line.what, line.detail].filter(Boolean).join(': '))
  if (page.hasMissing) page.write(texts.letterNotInFont({ box: NO_LETTER }), 8.5, 'italic')
  return pdf.output('blob')
}

/** A label for the back of the print: what it is, and how it wants to be kept. */
export async function backLabelPdf(passport: Passport): Promise<Blob> {
  const pdf = await openPdf({
    unit: 'mm',
    format: [BACK_LABEL.width, BACK_LABEL.height],
    orientation: 'landscape',
  })
  let y = 9
  const write = (text: string, size: number, style: 'normal' | 'bold' | 'italic') => {
    pdf.setFont('page', style).setFontSize(size)
    const lines = (pdf.splitTextToSize(writable(pdf, text), BACK_LABEL.width - 10) as string[]).slice(0, 3)
    pdf.text(lines, 5, y)
    y += lines.length * size * 0.42 + 0.8
  }
  write(passport.title, 13, 'bold')
  write(passport.line, 9, 'normal')
  write([passport.process, passport.madeAt === null ? '' : day.format(passport.madeAt)].filter(Boolean).join(', '), 9, 'normal') // prettier-ignore
  const paper = passport.materials.find(([name]) => name === 'Paper')?.[1]
  if (paper) write(paper, 8, 'normal')
  if (passport.care[0]) write(passport.care[0], 7, 'italic')
  return pdf.output('blob')
}
