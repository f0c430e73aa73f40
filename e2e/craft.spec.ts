import { DEMO_ADDRESS } from './browser.ts'
import { expect, test } from './test.ts'
import { open, plan, turnTo } from './workroom.ts'

test('a room that is too dry says what it does to the print, and which salt fixes it in how long', async ({
  page,
}) => {
  await open(page)
  await plan(page, 'Sea holly', { 'Paper weight, g/m²': '120', Paper: 'Thin rag' })
  await page.keyboard.press(' ')
  const main = page.getByRole('main')
  await page.getByLabel('The room', { exact: true }).fill('21 C, 18 %')
  await page.getByLabel('The room', { exact: true }).press('Enter')
  await expect(main).toContainText('18 %, aim at about 50 %.')
  await expect(main).toContainText(
    /saturated solution of magnesium nitrate \(54 %\), clear of it, for 30.min\./,
  )
  await page.getByLabel('The room', { exact: true }).fill('21 C, 52 %')
  await page.getByLabel('The room', { exact: true }).press('Enter')
  await expect(main).toContainText(/The room: 21.°C, 52.%/)
  await expect(main).not.toContainText('saturated solution')
})

test('a drop test for iron says what to do, stands in the record, and is undone', async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/prints`)
  await page.getByText('27 Bell buoy, ashore').first().click()
  await expect(page.getByRole('heading', { level: 1, name: 'Bell buoy, ashore' })).toBeVisible()
  const [main, margin] = [page.getByRole('main'), page.getByRole('complementary', { name: 'Margin' })]
  await page.keyboard.press('f')
  await expect(main.getByRole('heading', { name: 'Permanence test' })).toBeVisible()
  // A cyanotype has no silver: only what tells something of it is offered.
  await expect(main.getByText('Silver left')).toBeHidden()
  await main.getByText('Iron left', { exact: true }).click()
  await expect(main).toContainText('1 % potassium ferricyanide')
  await expect(main.getByRole('button', { name: 'Save test' })).toBeDisabled()
  await main.getByText('A clear stain', { exact: true }).click()
  await expect(main).toContainText('Clear it again in a fresh bath')
  await main.getByRole('button', { name: 'Save test' }).click()
  await expect(main).toContainText('Iron test')
  await expect(margin).toContainText('Clear it again in a fresh bath')
  await page.keyboard.press('u')
  await expect(margin).not.toContainText('Clear it again in a fresh bath')
  // Blue is mounted on another board than silver, and what was done stands in the record.
  await page.keyboard.press('i')
  await main.getByText('Mount', { exact: true }).click()
  await expect(main).toContainText('unbuffered cotton board')
  await main.getByRole('button', { name: 'Record: mounted' }).click()
  await expect(main).toContainText('Mounted.')
})

test('a lamp, a paper, a fixer and the ink of a film are tested, and say what follows', async ({ page }) => {
  await open(page, `${DEMO_ADDRESS}/light/lights`)
  const [main, margin] = [page.getByRole('main'), page.getByRole('complementary', { name: 'Margin' })]
  await main.getByText('Wavelength').click()
  await main.getByLabel('Peak, nm').fill('405')
  await main.getByLabel('Peak, nm').press('Enter')
  await expect(main).toContainText('Silver chloride at 405 nm: prints slowly')
  await expect(margin).toContainText('blue-light limit')

  await turnTo(page, '/paper')
  await main.getByText('Heron rag').first().click()
  await main.getByLabel('A scrap was soaked for').fill('20 min')
  await main.getByText('tore', { exact: true }).click()
  await main.getByRole('button', { name: 'Save' }).click()
  await turnTo(page, '/coat/begin?process=salted-paper')
  await main.getByLabel('Paper', { exact: true }).fill('Heron rag')
  await expect(margin).toContainText(/A scrap tore after 20.min in water/)
  await main.getByText('the attic box', { exact: true }).click()
  await expect(margin).toContainText('the attic box and this coat')

  await turnTo(page, '/wet')
  await main.getByText('not filled').first().click()
  await main.getByRole('button', { name: 'Fill the tray' }).click()
  await main.getByText('Test strip: how fast it clears').click()
  for (const [seconds, says] of [
    ['0', 'must be above zero'],
    ['2 h', 'at most an hour'],
    ['40', 'spent at 80 s'],
    ['85', 'this fixer is spent'],
  ] as const) {
    await main.getByLabel('Clears in').fill(seconds)
    await main.getByRole('button', { name: 'Save test' }).click()
    await expect(main).toContainText(says)
  }

  await turnTo(page, '/negative/calibrate')
  await main.getByText('Ink colour').click()
  await main.getByLabel('Lightest patch on the print').fill('30z')
  await expect(main).toContainText('The chart has no such patch.')
  const download = page.waitForEvent('download')
  await main.getByRole('button', { name: 'Save the colour chart, PDF' }).click()
  expect((await download).suggestedFilename()).toBe('ink-colours.pdf')
  await main.getByLabel('Lightest patch on the print').fill('9c')
  await main.getByRole('button', { name: 'Use this colour for films' }).click()
  await expect(main).toContainText('#009900')
})

test('a tray is not called empty before what is in it has been read', async ({ page }) => {
  await page.addInitScript(() => {
    const seen = Object.assign(window, { seenAtTrays: new Set<string>() }).seenAtTrays
    new MutationObserver(() => {
      for (const tray of document.querySelectorAll('.TrayRow-bath'))
        seen.add(tray.getAttribute('aria-label') ?? '')
    }).observe(document, { subtree: true, childList: true, characterData: true, attributes: true })
  })
  await open(page, `${DEMO_ADDRESS}/wet`)
  await expect(page.getByRole('button', { name: /^Citrate developer: 3 prints/ })).toBeVisible()
  const seen = await page.evaluate(() => [...(window as unknown as { seenAtTrays: Set<string> }).seenAtTrays])
  expect(seen.filter((said) => said.startsWith('Citrate developer'))).toHaveLength(1)
})

test('what the tap is like is said once, and the first water of an iron print asks for acid', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
  await open(page, '/workroom')
  const alkaline = page.getByRole('group', { name: 'Alkaline (above pH 7.5)' })
  await alkaline.getByText('Yes', { exact: true }).click()
  await open(page, '/coat/begin?process=van-dyke')
  const margin = page.getByRole('complementary', { name: 'Margin' })
  await expect(margin).toContainText('Put about 3 g of citric acid')
  await page.getByText('With a little citric acid', { exact: true }).click()
  await expect(margin).not.toContainText('Put about 3 g of citric acid')
})
