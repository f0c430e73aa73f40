import type { jsPDF } from 'jspdf'

/** A4, in millimetres. */
const PAGE = { width: 210, height: 297 } as const
/** Millimetres around what is written on a page. */
export const MARGIN = 18
/** Millimetres across which words are set. */
export const TEXT_WIDTH = PAGE.width - 2 * MARGIN
/** The built-in letters of a PDF know no minus sign and no thin spaces. */
export const plain = (text: string) =>
  text
    .replace(/−/g, '-')
    .replace(/→/g, '->')
    .replace(/[\u2009\u202f\u00a0]/g, ' ')
    .replace(/[’‘]/g, "'")
    .replace(/[“”]/g, '"')
    .replace(/₀/g, '0')
    .replace(/Δ/g, 'd')

/** Goes down a page, and on to the next one where there is no room left. */
export class PdfWriter {
  y = MARGIN
  constructor(readonly pdf: jsPDF) {}
  room(height: number): void {
    if (this.y + height <= PAGE.height - MARGIN) return
    this.pdf.addPage()
    this.y = MARGIN
  }
  write(
    text: string,
    size: number,
    style: 'normal' | 'bold' | 'italic' = 'normal',
    x = MARGIN,
    width = TEXT_WIDTH,
  ): void {
    this.pdf.setFont(style === 'italic' ? 'times' : 'helvetica', style).setFontSize(size)
    const lines = this.pdf.splitTextToSize(plain(text), width) as string[]
    for (const line of lines) {
      this.room(size * 0.42)
      this.pdf.text(line, x, this.y + size * 0.3)
      this.y += size * 0.42
    }
  }
  /** A name on the left, what belongs to it on the right. */
  row(name: string, value: string): void {
    const lines = this.pdf.setFont('helvetica', 'normal').setFontSize(9.5).splitTextToSize(plain(value), TEXT_WIDTH - 42) as string[] // prettier-ignore
    this.room(lines.length * 4.2)
    const from = this.y
    this.pdf.setTextColor(110).text(plain(name).slice(0, 34), MARGIN, from + 3)
    this.pdf.setTextColor(0)
    this.pdf.text(lines, MARGIN + 42, from + 3)
    this.y = from + lines.length * 4.2 + 0.6
  }
  heading(text: string): void {
    this.room(16)
    this.y += 4
    this.write(text, 12, 'bold')
    this.y += 1
  }
}
