import { expect, test } from './test.ts'
import { open, pick, walkOn } from './workroom.ts'

// From the plan to the line by the one target: the processes whose way is longest, and the one that goes round twice.

const WAYS: { process: string; choices?: string[]; baths: string[] }[] = [
  {
    process: 'Gold-platinum, printing out',
    baths: ['Sulfite', 'Acid', 'Acid again', 'EDTA', 'EDTA again', 'Final wash'],
  },
  {
    process: 'Kallitype',
    baths: ['Develop in citrate', 'Clear in citric acid', 'Tone in selenium', 'Fix', 'Hypo clear'],
  },
  {
    process: 'Cyanotype, two layers',
    baths: ['Wash the first layer', 'Bleach the blue', 'Tone in tannin', 'Wash the second layer'],
  },
  { process: 'Gum over a finished print', baths: ['First tray, kept apart', 'Float until clear'] },
  { process: 'New cyanotype', baths: ['First water, acid', 'Wash'] },
  { process: 'Iron-silver with sulfamate', baths: ['Clear in water', 'Fix in weak hypo', 'Final wash'] },
  { process: 'Gum on sized paper', baths: ['Test for stain', 'First tray, kept apart', 'Float until clear'] },
  { process: 'Cyanotype on cloth', baths: ['Wash the cloth first', 'Wash'] },
  { process: 'Cyanotype on glass', baths: ['Clean the glass', 'Pour the plate', 'Wash'] },
  {
    process: 'Classic cyanotype',
    choices: ['Tannic acid'],
    baths: ['Wash', 'Bleach in carbonate', 'Rinse the bleach out', 'Tone the blue', 'Final wash'],
  },
  {
    process: 'Salted paper',
    choices: ['Gold with thiourea', 'Two baths'],
    baths: ['Fix in plain hypo', 'Fix again', 'Wash the fixer out', 'Tone', 'Hypo clear'],
  },
  {
    process: 'Van Dyke brown',
    choices: ['With a little citric acid', 'Gold, then platinum', 'Two baths'],
    baths: ['First water, acid', 'Tone in gold', 'Rinse the gold out', 'Tone in platinum', 'Fix again'],
  },
  {
    process: 'Collodion-chloride',
    choices: ['Gold, then platinum'],
    baths: ['Tone in gold', 'Tone in platinum', 'Fix in plain hypo', 'Final wash'],
  },
  {
    process: 'Cyanotype, translucent upper sheet',
    choices: ['Laid on the wet coat'],
    baths: ['Lay the thin sheet on the wet coat', 'Peel the sheets apart', 'Wash'],
  },
]

for (const { process, choices = [], baths } of WAYS)
  test(`${[process, ...choices].join(', ')}, all the way to the line`, { tag: '@long' }, async ({ page }) => {
    const complaints: string[] = []
    page.on('pageerror', (error) => complaints.push(error.message))
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await open(page, '/coat/begin')
    await pick(page, 'Process', process, process)
    await page.getByLabel('Title', { exact: true }).fill('All the way')
    for (const choice of choices) await page.getByText(choice, { exact: true }).click()
    await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
    await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()

    await walkOn(page, () => /\/prints\//.test(page.url()))
    await expect(page.getByRole('heading', { name: 'All the way', level: 1 })).toBeVisible()
    // The record has written itself: every bath of the way, in the order in which it happened.
    const story = page.locator('main')
    await expect(story).toContainText(baths.at(-1)!)
    const told = await story.innerText()
    let from = 0
    for (const bath of baths) {
      const at = told.indexOf(bath, from)
      expect(at, `${bath} in the thread`).toBeGreaterThanOrEqual(from)
      from = at
    }
    expect(complaints).toEqual([])
  })
