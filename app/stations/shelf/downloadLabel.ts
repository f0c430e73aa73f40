import { labelOf } from '@core/shelf/label'
import type { Bottle } from '@core/schema/records'
import { hazardStatements, substances } from '@library/index'
import { useNotice } from '../../state/notice.store'
import { saveFile } from '../../state/saveFile'

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })

/** The label of a bottle as a PDF of its exact size. The PDF writer is fetched when it is first asked for. */
export async function downloadLabel(bottle: Bottle): Promise<void> {
  try {
    const { labelPdf } = await import('./labelPdf')
    const link = new URL(`/shelf/${bottle.id}`, location.href).href
    const file = await labelPdf(
      labelOf(bottle, substances, hazardStatements, link, (moment) => day.format(moment)),
    )
    saveFile(file, `label-${bottle.label.replace(/[^\w.-]+/g, '-')}.pdf`)
  } catch (error) {
    useNotice().refuse(error, 'the label')
  }
}
