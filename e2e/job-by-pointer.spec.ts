import { expect, test } from './test.ts'
import { open, photograph } from './workroom.ts'

test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true })

// Everywhere else nothing moves; here it does, as for most people.
test.use({ contextOptions: { reducedMotion: 'no-preference' } })

test('the whole job by pointer on a tablet: a photogram, with peroxide', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-06-20T11:00:00') })
  await open(page)
  const click = (name: string | RegExp) => page.getByRole('button', { name }).first().click()
  const heading = (name: string) =>
    expect(page.getByRole('heading', { name, level: 1, exact: true })).toBeVisible()

  await page.getByRole('link', { name: 'New sheet with all options' }).click()
  await page.getByLabel('Title', { exact: true }).fill('Bladderwrack')
  await page.getByLabel('Picture size').fill('10 x 12 cm')
  await page.getByLabel('Paper', { exact: true }).fill('Saltmarsh laid')
  await page.getByLabel('Paper weight, g/m²').fill('300')
  await page.getByText('Leaves or objects').click()
  await page.getByText('Weak peroxide bath').click()
  await page.getByText('Sun', { exact: true }).click()
  await page.getByLabel('Exposure', { exact: true }).fill('eight')
  await expect(
    page.getByText('“eight” does not start with a number. Enter it like 7:30 or 7 min 30.'),
  ).toBeVisible()
  await page.getByLabel('Exposure', { exact: true }).fill('12 min')
  await page.getByLabel('Bottle of iron citrate').fill('A-1')

  // Every figure opens to its working: 10 × 12 cm take 120 cm² × 38.8 ml/m² = 0.466 ml, 9 drops to the nearest whole and 10 for equal parts.
  await page.getByRole('button', { name: /on 120/ }).click()
  await expect(page.getByRole('heading', { name: 'Working: 0.466 ml' })).toBeVisible()
  await expect(page.getByText('V = A·k·n')).toBeVisible()
  await click('Plan this sheet')

  // 9 drops cannot be shared evenly between two bottles, so 10 are counted.
  await expect(page.getByText(/5 drops of iron citrate, 5 drops of ferricyanide/i)).toBeVisible()
  await click('Start counting drops')
  for (let drop = 1; drop <= 5; drop++) {
    await click('Next drop')
    await expect(page.getByLabel('Iron citrate, drops counted')).toHaveValue(String(drop))
  }
  await click('Next drop')
  await click('Next drop')
  await expect(page.getByLabel('Ferricyanide, drops counted')).toHaveValue('2')
  await click('Undo one drop')
  await expect(page.getByLabel('Ferricyanide, drops counted')).toHaveValue('1')
  // Lost count: what is drops counted is typed.
  await page.getByLabel('Ferricyanide, drops counted').fill('a few')
  await page.getByLabel('Ferricyanide, drops counted').press('Enter')
  await expect(page.getByText('Enter a number, for example 20, or 1.2 ml.')).toBeVisible()
  await expect(page.getByLabel('Ferricyanide, drops counted')).toHaveValue('1')
  await page.getByLabel('Ferricyanide, drops counted').fill('5')
  await page.getByLabel('Ferricyanide, drops counted').press('Enter')
  await click('Mixed: start coating')
  await heading('Coat the sheet')
  await page.clock.fastForward('01:30')
  await click('Even: dry in the dark')
  await page.clock.fastForward('11:00')
  await expect(page.getByText('past the minimum 10 min: judge by eye')).toBeVisible()
  await click('Dry: dull, not cool')
  await click('Go to Light')

  await heading('Ready to expose, under Sun')
  await expect(page.getByText('Bare coat slate to bronze all around.')).toBeVisible()
  await click('Uncover and start')
  await click('Add exposure')
  await page.getByRole('button', { name: /\+10 %/ }).click()
  await expect(page.getByText('Planned exposure now 13 min 12 s.')).toBeVisible()
  await page.clock.fastForward('13:30')
  await click('Finish exposure')
  await click('Go to Wet side')

  await expect(page.getByText('at least 10 min').first()).toBeVisible()
  await click('Start wash')
  await click('Water changed')
  await page.clock.fastForward('10:30')
  await click('No colour runs off')
  await heading('Next: weak peroxide')
  await expect(page.getByText('Above 8 % it causes serious eye damage')).toBeVisible()
  await click('Start peroxide bath')
  await page.clock.fastForward('01:30')
  await click('Deep blue: rinse it')
  await heading('Rinse')
  await page.clock.fastForward('02:10')
  // A slip is taken back, and the clock of the step runs on as if nothing had been pressed.
  await click('Rinsed')
  await heading('Drying')
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await heading('Rinse')
  await click('Rinsed')
  await click('Go to Prints')

  await heading('Bladderwrack')
  await page
    .getByLabel('Photo file')
    .setInputFiles({ name: 'wet.jpg', mimeType: 'image/jpeg', buffer: await photograph() })
  const picture = page.getByRole('img', { name: 'Photo of Bladderwrack' })
  await expect(picture).toBeVisible()
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1600)
  await page
    .getByLabel('Photo file')
    .setInputFiles({ name: 'notes.txt', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(
    page.getByText('This file is not a JPEG, PNG or WebP picture. Save it as a JPEG and add that file.'),
  ).toBeVisible()
  await click('Close this message')
  await expect(page.getByText('Iron citrate 5 drops, Ferricyanide 5 drops')).toBeVisible()

  await page.clock.fastForward(26 * 3_600_000)
  await click('Dry check')
  await page.getByRole('group', { name: 'Whites' }).getByText('Clean').click()
  await page.getByLabel('Note').fill('The bladders let a little through.')
  await click('Save')
  await expect(page.getByText('kept, whites clean, The bladders let a little through.')).toBeVisible()

  // Two weeks on it settles, and hangs among the finished with its photograph.
  await page.clock.fastForward(14 * 86_400_000)
  await click('Two-week check')
  await click('Save')
  await page.getByRole('link', { name: 'Prints', exact: true }).click()
  const hung = page.getByRole('listitem').filter({ hasText: 'Bladderwrack' })
  await expect(hung).toContainText('dry, kept')
  const small = hung.getByRole('img')
  await expect(small).toBeVisible()
  await expect.poll(() => small.evaluate((img: HTMLImageElement) => img.naturalHeight)).toBe(480)
})
