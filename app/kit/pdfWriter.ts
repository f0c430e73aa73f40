import type { jsPDF, jsPDFOptions } from 'jspdf'
import { fontBytes } from './fontBytes'

/** A4, in millimetres. */
const PAGE = { width: 210, height: 297 } as const
/** Millimetres around what is written on a page. */
export const MARGIN = 18
/** Millimetres across which words are set. */
export const TEXT_WIDTH = PAGE.width - 2 * MARGIN
const STYLES = ['normal', 'bold', 'italic'] as const
let fonts: Promise<string[]> | null = null

/** The fonts as jsPDF wants them: a letter a byte. */
const loaded = () =>
  (fonts ??= Promise.all(
    STYLES.map(async (style) => {
      const bytes = await fontBytes(style)
      let text = ''
      for (let at = 0; at < bytes.length; at += CHUNK)
        text += String.fromCharCode(...bytes.subarray(at, at + CHUNK))
      return text
    }),
  ).catch((error: unknown) => {
    fonts = null
    throw error
  }))
const CHUNK = 8192

/** A PDF whose letters are Latin, Greek and Cyrillic; only those that are used go into the file. */
export async function openPdf(options: jsPDFOptions): Promise<jsPDF> {
  const [{ jsPDF: Pdf }, letters] = await Promise.all([import('jspdf'), loaded()])
  const pdf = new Pdf(options)
  STYLES.forEach((style, i) => {
    pdf.addFileToVFS(`${style}.ttf`, letters[i] ?? '')
    pdf.addFont(`${style}.ttf`, 'page', style)
  })
  return pdf
}

/** Stands where the font has no letter. */
export const NO_LETTER = '□'

/** Text as the font in hand can write it; a letter that it has not becomes an empty box. */
export function writable(pdf: jsPDF, text: string): string {
  const { metadata } = pdf.getFont() as { metadata?: { characterToGlyph?: (code: number) => number } }
  const has = (letter: string) => (metadata?.characterToGlyph?.(letter.codePointAt(0) ?? 0) ?? 0) > 0
  return [...text.normalize('NFC')]
    .map((letter) => (letter === '\n' || has(letter) ? letter : NO_LETTER))
    .join('')
}

/** Goes down a page, and on to the next one where there is no room left. */
export class PdfWriter {
  y = MARGIN
  /** A letter was not in the font. */
  hasMissing = false
  constructor(readonly pdf: jsPDF) {}
  private letters(text: string): string {
    const written = writable(this.pdf, text)
    this.hasMissing ||= written.includes(NO_LETTER)
    return written
  }
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
    this.pdf.setFont('page', style).setFontSize(size)
    const lines = this.pdf.splitTextToSize(this.letters(text), width) as string[]
    for (const line of lines) {
      this.room(size * 0.42)
      this.pdf.text(line, x, this.y + size * 0.3)
      this.y += size * 0.42
    }
  }
  /** A name on the left, what belongs to it on the right. */
  row(name: string, value: string): void {
    this.pdf.setFont('page', 'normal').setFontSize(9.5)
    const lines = this.pdf.splitTextToSize(this.letters(value), TEXT_WIDTH - 42) as string[]
    this.room(lines.length * 4.2)
    const from = this.y
    this.pdf.setTextColor(110).text(this.letters(name).slice(0, 34), MARGIN, from + 3)
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
