import { expect, test } from '@playwright/test'
import { atRest, open, pick } from './workroom.ts'

// From the plan to the line by the one target: the processes whose way is longest, and the one that goes round twice.

const WAYS = [
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
]

for (const { process, baths } of WAYS)
  test(`${process}, all the way to the line`, async ({ page }) => {
    test.setTimeout(150_000)
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await open(page, '/coat/begin')
    await pick(page, 'Process', process, process)
    await page.getByLabel('What is the picture?').fill('All the way')
    await page.getByRole('button', { name: 'To the bench' }).first().click()
    await expect(page.getByRole('button', { name: /^Begin/ })).toBeVisible()

    for (let press = 0; press < 120; press++) {
      const before = await atRest(page)
      if (/\/prints\//.test(page.url())) break
      const heading = await page.getByRole('heading', { level: 1 }).innerText()
      const measured = page.getByRole('button', { name: 'Measured: all of it' })
      const takeOut = page.getByRole('button', { name: 'Take it out', exact: false })
      if (await measured.isVisible()) await measured.click()
      else {
        // Time passes at every press, so that no exposure is only looked at and no bath is cut short.
        await page.clock.fastForward('01:30:00')
        if (await takeOut.isVisible()) await takeOut.first().click()
        else await page.locator('.BigTarget:not(.is-plain, .is-quiet)').first().click()
      }
      await expect.poll(() => atRest(page), { message: heading }).not.toBe(before)
    }
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
  })
