import type { Locator, Page } from '@playwright/test'
import { readPdf, saved } from './files.ts'
import { expect, test } from './test.ts'
import { open } from './workroom.ts'

/** Everything that a newcomer presses or types on the way, each field that is filled as one. */
class Presses {
  count = 0
  constructor(private readonly page: Page) {}

  async press(name: string | RegExp): Promise<void> {
    await this.on(this.page.getByRole('main').getByRole('button', { name }).first())
  }
  async choose(text: string): Promise<void> {
    await this.on(this.page.getByRole('main').getByText(text, { exact: true }).first())
  }
  async on(what: Locator): Promise<void> {
    this.count++
    await what.click()
  }
  async type(label: string, text: string): Promise<void> {
    this.count++
    await this.page.getByLabel(label, { exact: true }).fill(text)
  }
  async pick(label: string, option: string): Promise<void> {
    await this.on(
      this.page
        .getByRole('combobox', { name: label, exact: true })
        .locator('xpath=ancestor::*[contains(@class,"el-select__wrapper")]'),
    )
    this.count++
    await this.page.keyboard.type(option.slice(0, 9))
    await this.on(this.page.getByRole('option', { name: option, exact: true }))
  }
  /** Says how many it took, and holds them to what was promised. */
  end(what: string, most: number): void {
    test
      .info()
      .annotations.push({ type: 'presses', description: `${what}: ${this.count} of at most ${most}` })
    process.stdout.write(`${what}: ${this.count} presses, at most ${most}\n`)
    expect(this.count).toBeLessThanOrEqual(most)
  }
}

/** The walk to the first clock that runs on Coat. */
async function toFirstClock(page: Page, presses: Presses): Promise<void> {
  await presses.press('Plan this sheet')
  await presses.press('Start counting drops')
  await presses.press('Everything measured')
  await expect(page.getByRole('timer')).toBeVisible()
}

test('a cyanotype kit in the sun: six presses to the first clock', async ({ page }) => {
  await open(page)
  const presses = new Presses(page)
  await presses.press('Make a first print')
  await presses.choose('A kit or bottles, ready to use')
  await expect(page.getByRole('main')).not.toContainText('make 5 ml')
  await toFirstClock(page, presses)
  presses.end('Cyanotype kit in the sun', 6)
  // The bottles of the kit are on the shelf, and say that their strength was assumed.
  await open(page, '/shelf')
  await expect(page.getByRole('main')).toContainText('Iron citrate')
  await page.getByRole('main').getByText('IC-1').first().click()
  await expect(page.locator('body')).toContainText('strength was not stated')
})

for (const process of ['Salted paper', 'Kallitype'])
  test(`${process}: nine presses to the first clock`, async ({ page }) => {
    await open(page)
    const presses = new Presses(page)
    await presses.press('Make a first print')
    await presses.choose(process)
    await toFirstClock(page, presses)
    presses.end(process, 9)
  })

test('palladium printing out from bought bottles: fifteen presses to the first clock', async ({ page }) => {
  await open(page)
  const presses = new Presses(page)
  await presses.press('Make a first print')
  await presses.pick('Or another process', 'Palladium, printing out')
  await presses.choose('A negative')
  await presses.choose('A kit or bottles, ready to use')
  await toFirstClock(page, presses)
  presses.end('Palladium printing out from bought bottles', 15)
})

const PUPILS =
  'Ada, Ben, Cleo, Dan, Eva, Finn, Gil, Hana, Ivo, Jona, Kim, Lea, Max, Nia, Ole, Pia, Quin, Rosa, Sam, Tia'

test('a class of twenty cyanotypes: the whole lesson in sixty presses', async ({ page }) => {
  test.slow()
  await page.clock.install({ time: new Date('2026-06-02T10:00:00') })
  await open(page)
  const main = page.getByRole('main')
  const presses = new Presses(page)
  await presses.on(main.getByRole('link', { name: 'New sheet with all options' }))
  await presses.type('Title', 'Leaves')
  await presses.choose('Leaves or objects')
  await presses.choose('Sun')
  await presses.on(page.getByText('More settings:'))
  await presses.type('Sheets from one mix', '20')
  await presses.type('Names of the sheets', PUPILS)
  await presses.press('Plan this sheet')
  await presses.press('Start counting drops')
  await presses.press('Everything measured')
  for (let sheet = 2; sheet <= 20; sheet++) {
    await page.clock.fastForward(40_000)
    await presses.press(new RegExp(`^Coated. Coat sheet ${sheet}\\b`))
    await expect(main).toContainText(`Sheet ${sheet}\u00a0·`.replace('\u00a0', ' '))
  }
  await expect(main.getByText('Sheet 20 · Tia')).toBeVisible()
  await presses.press(/^Even: dry in the dark/)
  // One clock for all that dry: it runs until the last is dry.
  const clocks = page.getByRole('region', { name: 'Running clocks' })
  await expect(clocks.getByRole('button')).toHaveCount(1)
  await expect(clocks).toContainText('Sheets 1–20')
  await page.clock.fastForward('10:10')
  await expect(main).toContainText('The next press counts for sheets 1–20.')
  await presses.press(/^Dry: dull/)
  await presses.press('Go to Light')
  // One pupil's leaf has moved: that sheet waits, and is exposed by itself.
  await presses.on(main.getByText('The next press counts for sheets'))
  await presses.press('Sheet 7, Gil, with it')
  await expect(main).toContainText('The next press counts for sheets 1–6 and 8–20.')
  await presses.press('Uncover and start')
  await expect(clocks).toContainText('Sheets 1–6 and 8–20')
  await page.clock.fastForward('15:00')
  await presses.press('Finish exposure')
  await presses.press('Go to Wet side')
  await presses.press('Start wash')
  await page.clock.fastForward('05:10')
  await presses.press('No colour runs off')
  await expect(main).toContainText('Go to')
  await open(page, '/')
  await expect(main).toContainText('1–6 and 8–20')
  await presses.press(/^Go to sheet 7/)
  await presses.press('Uncover and start')
  await page.clock.fastForward('15:00')
  await presses.press('Finish exposure')
  await presses.press('Go to Wet side')
  await presses.press('Start wash')
  await page.clock.fastForward('05:10')
  await presses.press('No colour runs off')
  presses.end('A class of twenty, the whole lesson', 60)
  await open(page, '/prints')
  await expect(main).toContainText('Tia')
})

test('a work card for the wall: two pages at most, with drops, times and cautions', async ({
  page,
  context,
}) => {
  await open(page, '/coat/begin?process=kallitype')
  await page.getByLabel('Title', { exact: true }).fill('Workshop')
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  const { file, name } = await saved(page, () => page.getByRole('button', { name: 'Work card, PDF' }).click())
  expect(name).toBe('work-card-kallitype.pdf')
  const card = await readPdf(context, file, 1)
  expect(card.pages).toBeLessThanOrEqual(2)
  expect(card.words).toContain('For adults only.')
  expect(card.words).toMatch(/\d+ drops, or [\d.]+ ml/)
  expect(card.words).toContain('at least')
})
