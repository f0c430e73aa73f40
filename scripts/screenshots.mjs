// npm run screenshots: one current picture of each main view, made from the demo data.
import { join } from 'node:path'
import { ensureChromium } from './chromium.mjs'
import { FLAGS, startServer } from './server.mjs'
import { ensureBuild, ensurePackages, root } from './setup.mjs'

ensurePackages()
ensureBuild()
const { chromium } = await import('@playwright/test')
const { scanOfTwoLayers } = await import('./two-layers.mjs')

const server = await startServer(['--demo'])
const browser = await chromium.launch({ executablePath: ensureChromium(), args: FLAGS })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const take = async (name) => {
  await page.waitForTimeout(600)
  await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) })
}
const go = async (path) => {
  await page.goto(server.address + path)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
}

await go('/')
await take('today')
await go('/shelf')
await page.getByRole('region', { name: 'Jars' }).waitFor()
await take('shelf')
await go('/shelf/processes/kallitype')
await take('processes')
await go('/paper')
await take('paper')
await go('/plan')
await page.getByRole('button', { name: 'Make a plan' }).first().click()
await page.getByRole('region', { name: 'The plan' }).waitFor()
await take('plan')
await go('/wet')
await take('wet')
/** Prints below the first lines are drawn when they come into sight, so they are looked for. */
const find = async (words, title) => {
  await go('/prints')
  await page.getByLabel('Search prints').fill(words)
  await page.getByRole('listitem').getByText(title).first().waitFor()
}
await find('lamp-room', '22 Lamp-room lens')
for (const number of [21, 22])
  await page.getByRole('button', { name: `Select sheet ${number} to compare` }).click({ force: true })
await page.getByLabel('Search prints').fill('')
await page
  .getByRole('img', { name: /Photo of/ })
  .first()
  .waitFor()
await take('prints')
await page.getByRole('button', { name: 'Compare', exact: true }).click()
await page.getByRole('region', { name: 'Results' }).waitFor()
await take('compare')
await find('drawer', '24 Keeper')
await page.getByText('24 Keeper').click()
await page.keyboard.press('w')
await page.getByRole('region', { name: 'Likely causes' }).waitFor()
await take('diagnose')
await find('third of a stop', '22 Lamp-room lens')
await page.getByRole('listitem').getByText('22 Lamp-room lens').click()
await page.getByRole('img', { name: /Photo of/ }).waitFor()
await take('print')
await go('/practice?lesson=first-cyanotype')
await page.keyboard.press(' ')
await page.getByText('240×').click()
await page.getByRole('button', { name: 'Light on' }).click()
await page.waitForTimeout(2200)
await page.getByRole('button', { name: 'Open the frame' }).click()
await page.locator('canvas[data-drawn]').waitFor()
await take('practice')
await go('/workroom')
await take('workroom')
await go('/negative/calibrate')
await page.getByRole('link', { name: 'Heron rag, the attic box' }).click()
await page.getByRole('list', { name: 'Checks' }).waitFor()
await take('calibrate')
await page.getByRole('link', { name: 'Picture to film' }).click()
await page.getByLabel('Picture file').setInputFiles(join(root, 'dist/demo/22.jpg'))
await page.getByText('Heron rag, the attic box', { exact: true }).click()
await page.getByRole('button', { name: 'Add a point' }).click()
await page.getByRole('slider', { name: /point 1 becomes/ }).focus()
for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowUp')
await page.locator('.FilmAndPrint').waitFor()
await take('negative')
await go('/light/sun')
await take('sun')
await go('/light/lights')
await page.getByRole('article', { name: 'the attic box' }).waitFor()
await take('lights')
await find('Signal mast', '12 Signal mast')
await page.getByText('12 Signal mast').click()
await page.getByRole('link', { name: 'Check register' }).click()
await page.getByLabel('Scan or photo of the sheet').setInputFiles({
  name: 'two layers.png',
  mimeType: 'image/png',
  buffer: await scanOfTwoLayers(),
})
await page.getByRole('img', { name: 'Register marks found' }).waitFor()
await take('register')
await go('/light')
await page.keyboard.press('d')
await take('light-dim')
await page.keyboard.press('d')
await go('/coat')
await page.getByRole('button', { name: /^Sheet 33/ }).click()
await page.getByRole('button', { name: 'Start counting drops' }).click()
await page.getByRole('button', { name: 'Next drop' }).waitFor()
for (let drop = 0; drop < 27; drop++) {
  await page.keyboard.press(' ')
  await page.waitForTimeout(60)
}
await page.getByRole('button', { name: /on 516/ }).click()
await take('coat')

await browser.close()
server.stop()
