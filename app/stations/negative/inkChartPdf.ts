import { jsPDF } from 'jspdf'
import { INK_CHART, inkPatches } from '@core/chart/inkColours'
import { texts } from './words'

/** The chart of ink colours on a page of its own size, to be printed on film without any change of colour. */
export function inkChartPdf(): Blob {
  const { width, height, patch, left, top } = INK_CHART
  const pdf = new jsPDF({ unit: 'mm', format: [width, height], orientation: 'landscape' })
  pdf.setProperties({ title: texts.inkChartTitle })
  pdf.setFont('helvetica', 'normal').setFontSize(7)
  for (const { id, rgb, x, y } of inkPatches()) {
    pdf.setFillColor(...rgb).rect(x, y, patch, patch, 'F')
    const [column, row] = [parseColumn(id), id.at(-1) ?? '']
    if (row === 'a') pdf.text(column, x + patch / 2, top - 2, { align: 'center' })
    if (column === '1') pdf.text(row, left - 4, y + patch / 2 + 1)
  }
  // An edge around the clear patch, which would not be seen.
  const last = inkPatches().at(-1)
  if (last) pdf.setLineWidth(0.2).rect(last.x, last.y, patch, patch, 'S')
  pdf.setFontSize(8).text(texts.inkChartTitle, left, height - 8)
  return pdf.output('blob')
}

const parseColumn = (id: string) => id.slice(0, -1)
