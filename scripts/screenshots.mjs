// npm run screenshots: one current picture of each main view, made from the demo data.
import { join } from 'node:path'
import { ensureChromium } from './chromium.mjs'
import { FLAGS, startServer } from './server.mjs'
import { ensureBuild, ensurePackages, root } from './setup.mjs'

ensurePackages()
ensureBuild()
const { chromium } = await import('@playwright/test')

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
await go('/shelf/make?recipe=salted-paper/silver')
await page.getByLabel('Called, in %').fill('15')
await page.getByRole('button', { name: /12 g/ }).first().click()
await take('make')
await go('/shelf/shopping')
await take('shopping')
await go('/shelf/processes/kallitype')
await take('processes')
await go('/paper')
await take('paper')
await go('/paper/tear')
await page.getByLabel('Piece 1').fill('11.25 x 10 in')
await page.getByText('6 pieces').waitFor()
await take('tear')
await go('/coat/begin')
await page.getByLabel('What is the picture?').fill('Bell buoy, second state')
await take('begin')
await go('/wet')
await take('wet')
await go('/prints')
await take('prints')
await page.getByRole('listitem').getByText('22 Lamp-room lens').click()
await page.getByRole('img', { name: /Photograph of/ }).waitFor()
await take('print')
await go('/workroom')
await take('workroom')
await go('/light')
await page.keyboard.press('d')
await take('light-dim')
await page.keyboard.press('d')
await go('/coat')
await page.getByRole('button', { name: /^Sheet 33/ }).click()
await page.getByRole('button', { name: 'Begin: count the drops' }).click()
await page.getByRole('button', { name: 'Next drop' }).waitFor()
for (let drop = 0; drop < 27; drop++) {
  await page.keyboard.press(' ')
  await page.waitForTimeout(60)
}
await page.getByRole('button', { name: /on 516/ }).click()
await take('coat')

await browser.close()
server.stop()
