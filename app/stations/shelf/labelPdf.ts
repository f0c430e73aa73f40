import type { jsPDF } from 'jspdf'
import { create } from 'qrcode'
import type { BottleLabel } from '@core/shelf/label'
import { openPdf, writable } from '../../kit/pdfWriter'

/** Size of a label in millimetres: it goes round a 100 ml bottle and keeps every statement readable. */
export const LABEL = { width: 90, height: 50 } as const

const MARGIN = 3.5
const QR_SIDE = 17
const INK = '#000000'
const BLACK_RED = '#c00000'

/** The label as a one-page PDF of exactly its size, its words as text, its link as a QR code. */
export async function labelPdf(label: BottleLabel): Promise<Blob> {
  const pdf = await openPdf({ unit: 'mm', format: [LABEL.width, LABEL.height], orientation: 'landscape' })
  const right = LABEL.width - MARGIN - QR_SIDE
  let y = MARGIN + 4
  const write = (text: string, size: number, style: 'normal' | 'bold', width: number, colour = INK) => {
    pdf.setFont('page', style).setFontSize(size).setTextColor(colour)
    const lines = pdf.splitTextToSize(writable(pdf, text), width) as string[]
    pdf.text(lines, MARGIN, y)
    y += lines.length * size * 0.42
  }
  write(`${label.title}  ${label.label}`, 12, 'bold', right - MARGIN - 2)
  for (const line of label.contents) write(line, 9, 'normal', right - MARGIN - 2)
  write(label.dates.join(', '), 8, 'normal', right - MARGIN - 2)
  y = Math.max(y, MARGIN + QR_SIDE + 4)
  if (label.signal) {
    const what = label.pictograms.map((one) => PICTOGRAM[one]).join(', ')
    write(`${label.signal}: ${what}`, 9, 'bold', LABEL.width - 2 * MARGIN, BLACK_RED)
  }
  const size = statementSize(label.statements.length)
  write(label.statements.join('. '), size, 'normal', LABEL.width - 2 * MARGIN)
  drawQr(pdf, label.link, right, MARGIN)
  return pdf.output('blob')
}

/** Statements shrink so that all of them are on the label; 5 points is the least that reads. */
const statementSize = (count: number) => (count <= 4 ? 7.5 : count <= 8 ? 6 : 5)

function drawQr(pdf: jsPDF, link: string, x: number, y: number): void {
  const { modules } = create(link, { errorCorrectionLevel: 'M' })
  const side = QR_SIDE / modules.size
  pdf.setFillColor(INK)
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column)) pdf.rect(x + column * side, y + row * side, side * 1.02, side * 1.02, 'F')
}

/** The pictograms of the GHS in words: an empty square would be wrong, and five millimetres of drawing would not read. */
const PICTOGRAM = {
  flame: 'flammable',
  flameOverCircle: 'oxidising',
  corrosion: 'corrosive',
  skull: 'acutely toxic',
  exclamation: 'irritant',
  healthHazard: 'health hazard',
  environment: 'harmful to the environment',
} as const
