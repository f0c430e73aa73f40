import { expect, type Page } from '@playwright/test'
import sharp from 'sharp'
import { OWN_ADDRESS } from './browser.ts'

/**
 * Opens a workroom and waits until it is ready to be worked in. Where it is open already, the page is turned and not loaded
 * again, which costs several times as much; what was typed into the page that is open stays.
 */
export async function open(page: Page, address = '/'): Promise<void> {
  const there = new URL(address, page.url().startsWith('http') ? page.url() : OWN_ADDRESS)
  const isThere = page.url().startsWith(`${there.origin}/`) && (await page.locator('#app').count()) > 0
  if (isThere) await turnTo(page, there.pathname + there.search)
  else await page.goto(address)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
}

/** Turns to another page as the application does, without loading it again. */
export async function turnTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState({}, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: {} }))
  }, path)
  await expect.poll(() => page.evaluate(() => location.pathname + location.search)).toBe(path)
  // The page that was left goes before the next one is there.
  await page.waitForTimeout(200)
  await expect(page.getByRole('heading', { level: 1 })).toBeAttached()
}

/** Plans a sheet through the form; returns when it stands at the bench. */
export async function plan(
  page: Page,
  title: string,
  fields: Record<string, string> = {},
  choices: string[] = [],
): Promise<void> {
  await page.keyboard.press('n')
  await page.getByLabel('Title', { exact: true }).fill(title)
  for (const [label, text] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(text)
  for (const choice of choices) await page.getByText(choice, { exact: true }).click()
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('button', { name: 'Start counting drops' })).toBeVisible()
}

/** Counts every drop of both bottles, one press each, and goes on when the count has been taken. */
export async function countDrops(page: Page, each: number): Promise<void> {
  await expect(page.getByRole('button', { name: 'Next drop' })).toBeVisible()
  for (const bottle of ['Iron citrate', 'Ferricyanide'])
    for (let drop = 1; drop <= each; drop++) {
      await page.keyboard.press(' ')
      await expect(page.getByLabel(`${bottle}, drops counted`)).toHaveValue(String(drop))
    }
}

/** From the plan to a sheet under the light, by the one key, with the waits passed over. Needs an installed clock. */
export async function coatAndDry(page: Page): Promise<void> {
  await page.keyboard.press(' ')
  await measureAll(page)
  await expect(page.getByRole('heading', { name: 'Coat the sheet', level: 1 })).toBeVisible()
  await page.clock.fastForward(70_000)
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: 'Dry in the dark', level: 1 })).toBeVisible()
  await page.clock.fastForward('10:05')
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: 'Coated and dry' })).toBeVisible()
}

/** Seconds shown by a clock such as `7:30`, `+0:12` or `1:02:09`. */
export const secondsOf = (shown: string): number =>
  shown
    .replace('+', '-')
    .split(':')
    .reduce((sum, part) => sum * 60 + Math.abs(Number(part)), 0)

export const clockShown = async (page: Page): Promise<number> =>
  secondsOf((await page.getByRole('timer').innerText()).trim())

/** Blue under 6 % and green under 45 % of full, in every pixel of what is drawn. */
export async function expectDim(page: Page): Promise<void> {
  await expect(page.locator('html')).toHaveAttribute('data-palette', 'dim')
  const { data, info } = await sharp(await page.screenshot())
    .raw()
    .toBuffer({ resolveWithObject: true })
  let [green, blue] = [0, 0]
  for (let at = 0; at < data.length; at += info.channels) {
    green = Math.max(green, data[at + 1]!)
    blue = Math.max(blue, data[at + 2]!)
  }
  expect(blue, 'brightest blue of the screen').toBeLessThan(0.06 * 255)
  expect(green, 'brightest green of the screen').toBeLessThan(0.45 * 255)
}

/** A photograph of a print as a camera would give it. */
export const photograph = (red = 30, green = 70, blue = 120): Promise<Buffer> =>
  sharp({ create: { width: 1600, height: 2000, channels: 3, background: { r: red, g: green, b: blue } } })
    .jpeg()
    .toBuffer()

/** Picks one of many from a field that is searched by typing. */
export async function pick(
  page: Page,
  label: string,
  option: string | RegExp,
  typed?: string,
): Promise<void> {
  const field = page.getByRole('combobox', { name: label, exact: true })
  await field.locator('xpath=ancestor::*[contains(@class,"el-select__wrapper")]').click()
  // Long lists are drawn only as far as they are seen: typing brings an answer into sight.
  await page.keyboard.type(typed ?? (typeof option === 'string' ? option : ''))
  await page
    .getByRole('option', { name: option, exact: typeof option === 'string' })
    .first()
    .click()
}

/** Takes a jar in, from its page to the shelf. */
export async function takeIn(
  page: Page,
  substance: string,
  amount: string,
  fields: Record<string, string> = {},
): Promise<void> {
  await open(page, '/shelf/take-in')
  await pick(page, 'Chemical', new RegExp(`^${substance}`), substance)
  await page.getByLabel('Amount', { exact: true }).fill(amount)
  for (const [label, text] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByRole('button', { name: 'Add to shelf' }).first().click()
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible()
}

/** Makes a solution of a recipe by the balance, one press an act, and puts it on the shelf. */
export async function make(page: Page, recipe: string, volume: string, label: string): Promise<void> {
  await open(page, `/shelf/make?recipe=${recipe}`)
  await page.getByLabel('Volume', { exact: true }).fill(volume)
  await page.getByRole('button', { name: 'Start weighing' }).click()
  while (await page.getByRole('button', { name: /^Added\. / }).isVisible()) {
    await expect(page.getByText(/safety data sheet|^\d+ of \d+$/).first()).toBeVisible()
    await page.getByRole('button', { name: /^Added\. / }).click()
  }
  await page.getByLabel('Bottle label').fill(label)
  await page.getByRole('button', { name: 'Finish: add to shelf' }).click()
  await expect(page.getByRole('main').getByRole('button', { name: new RegExp(` ${label}\\b`) })).toBeVisible()
}

/** What stands below a bottle's name: how much is left. */
export async function leftIn(page: Page, label: string): Promise<string> {
  await open(page, '/shelf')
  await page
    .getByRole('main')
    .getByRole('button', { name: new RegExp(` ${label}\\b`) })
    .click()
  const said = await page
    .getByRole('region', { name: new RegExp(` ${label}$`) })
    .getByRole('heading')
    .innerText()
  return said
    .replace(/\u00a0/g, ' ')
    .replace(/.*\n?\s(\S+ (?:ml|l|g|kg)) left/, '$1')
    .trim()
}

/** Counts what is due at the bench, all of a bottle at once as with a measure, and goes on. */
export async function measureAll(page: Page): Promise<void> {
  const all = page.getByRole('button', { name: 'All measured' })
  await expect(all).toBeVisible()
  for (const bottle of await page.locator('.DropCounter-bottle').all()) {
    const due = /\d+/.exec(await bottle.locator('em').innerText())?.[0] ?? ''
    await all.click()
    await expect(bottle.locator('strong')).toHaveText(due)
  }
  await expect(all).toBeHidden()
  await page.keyboard.press(' ')
}

/** What the page says, its running clocks left out, once it has come to rest: a press must not meet a page on its way. */
export async function atRest(page: Page): Promise<string> {
  const said = async () =>
    `${page.url()} ${(await page.locator('main').innerText()).replace(/[+\d]*:?\d+:\d\d|\d+ ?%/g, '')}`
  let last = await said()
  for (;;) {
    await page.waitForTimeout(90)
    const now = await said()
    if (now === last) return now
    last = now
  }
}

/** Waits until a press has been taken in. It is asked often: a long way is made of many presses. */
export async function hasMovedOn(page: Page, before: string, message: string): Promise<void> {
  await expect.poll(() => atRest(page), { message, intervals: [20, 30, 50, 100] }).not.toBe(before)
}

/**
 * Goes on by the one target, an hour and a half at every press so that no exposure is only looked at and no bath is cut
 * short, until something is so. Needs an installed clock.
 */
export async function walkOn(page: Page, until: () => boolean | Promise<boolean>): Promise<void> {
  for (let press = 0; press < 120; press++) {
    const before = await atRest(page)
    if (await until()) return
    const heading = await page.getByRole('heading', { level: 1 }).innerText()
    const measured = page.getByRole('button', { name: 'All measured' })
    const takeOut = page.getByRole('main').getByRole('button', { name: 'Finish exposure' })
    if (await measured.isVisible()) await measured.click()
    else {
      await page.clock.fastForward('01:30:00')
      if (await takeOut.isVisible()) await takeOut.first().click()
      else await page.locator('.BigTarget:not(.is-bare, .is-quiet)').first().click()
    }
    await hasMovedOn(page, before, heading)
  }
  throw new Error('The way never came to its end.')
}

/** Plans a sheet of a process and brings it to its first bath. Needs an installed clock. */
export async function toTheWater(page: Page, process: string, title: string): Promise<void> {
  await open(page, '/coat/begin')
  await pick(page, 'Process', process, process)
  await page.getByLabel('Title', { exact: true }).fill(title)
  await page.getByRole('button', { name: 'Plan this sheet' }).first().click()
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()
  await walkOn(page, () => /\/wet\//.test(page.url()))
}
