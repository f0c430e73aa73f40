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

  await page.getByRole('link', { name: 'Begin a sheet with all its choices' }).click()
  await page.getByLabel('What is the picture?').fill('Bladderwrack')
  await page.getByLabel('Size of the picture').fill('10 x 12 cm')
  await page.getByLabel('Paper', { exact: true }).fill('Saltmarsh laid')
  await page.getByLabel('Its weight, g/m²').fill('300')
  await page.getByText('Leaves or things').click()
  await page.getByText('Weak peroxide bath').click()
  await page.getByText('Sun', { exact: true }).click()
  await page.getByLabel('Exposure', { exact: true }).fill('eight')
  await expect(
    page.getByText('“eight” does not begin with a number. Write it like 7:30 or 7 min 30.'),
  ).toBeVisible()
  await page.getByLabel('Exposure', { exact: true }).fill('12 min')
  await page.getByLabel('Bottle of iron citrate').fill('A-1')

  // Every figure opens to its working: 10 × 12 cm take 120 cm² × 38.8 ml/m² = 0.466 ml, 9 drops to the nearest whole.
  await page.getByRole('button', { name: /on 120/ }).click()
  await expect(page.getByRole('heading', { name: 'How 0.466 ml comes about' })).toBeVisible()
  await expect(page.getByText('V = A·k·n')).toBeVisible()
  await click('To the bench')

  // 9 drops cannot be shared evenly between two bottles, and the larger count that can is offered.
  await expect(page.getByText('10 drops in all (5 + 5) would keep the ratio better.')).toBeVisible()
  await click('Begin: count the drops')
  for (let drop = 1; drop <= 5; drop++) {
    await click('Next drop')
    await expect(page.getByLabel('Iron citrate, drops really in the glass')).toHaveValue(String(drop))
  }
  await click('Next drop')
  await click('Next drop')
  await expect(page.getByLabel('Ferricyanide, drops really in the glass')).toHaveValue('2')
  await click('Take one back')
  await expect(page.getByLabel('Ferricyanide, drops really in the glass')).toHaveValue('1')
  // Lost count: what is really in the glass is typed.
  await page.getByLabel('Ferricyanide, drops really in the glass').fill('a few')
  await page.getByLabel('Ferricyanide, drops really in the glass').press('Enter')
  await expect(page.getByText('Enter a number, for example 20.')).toBeVisible()
  await expect(page.getByLabel('Ferricyanide, drops really in the glass')).toHaveValue('1')
  await page.getByLabel('Ferricyanide, drops really in the glass').fill('4')
  await page.getByLabel('Ferricyanide, drops really in the glass').press('Enter')
  await click('Stirred: start the coat')
  await heading('Coat the sheet')
  await page.clock.fastForward('01:30')
  await click('Even: lay it in the dark')
  await page.clock.fastForward('11:00')
  await expect(page.getByText('past the least 10 min: the eye decides')).toBeVisible()
  await click('Dull, not cool: it is dry')
  await click('On to Light')

  await heading('Ready for the frame, under Sun')
  await expect(page.getByText('Bare coat slate to bronze all round.')).toBeVisible()
  await click('Cover off: start')
  await click('Give it more')
  await page.getByRole('button', { name: /\+10 %/ }).click()
  await expect(page.getByText('Planned exposure now 13 min 12 s.')).toBeVisible()
  await page.clock.fastForward('13:30')
  await click('Take it out')
  await click('On to Wet side')

  await expect(page.getByText('at least 10 min').first()).toBeVisible()
  await click('Into the water')
  await click('Water changed')
  await page.clock.fastForward('10:30')
  await click('No colour runs off')
  await heading('Ready: weak peroxide')
  await expect(page.getByText('Above 8 % it causes serious eye damage')).toBeVisible()
  await click('Into the peroxide')
  await page.clock.fastForward('01:30')
  await click('Deep blue: rinse it')
  await heading('Rinse')
  await page.clock.fastForward('02:10')
  // A slip is taken back, and the clock of the step runs on as if nothing had been pressed.
  await click('Rinsed')
  await heading('On the line')
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await heading('Rinse')
  await click('Rinsed')
  await click('On to Prints')

  await heading('Bladderwrack')
  await page
    .getByLabel('Photograph file')
    .setInputFiles({ name: 'wet.jpg', mimeType: 'image/jpeg', buffer: await photograph() })
  const picture = page.getByRole('img', { name: 'Photograph of Bladderwrack' })
  await expect(picture).toBeVisible()
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1600)
  await page
    .getByLabel('Photograph file')
    .setInputFiles({ name: 'notes.txt', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(
    page.getByText('This file is not a JPEG, PNG or WebP picture. Save it as a JPEG and add that.'),
  ).toBeVisible()
  await expect(page.getByText('Iron citrate 5 drops, Ferricyanide 4 drops')).toBeVisible()

  await page.clock.fastForward(26 * 3_600_000)
  await click('Dry look')
  await page.getByRole('group', { name: 'Whites' }).getByText('Clean').click()
  await page.getByLabel('Note').fill('The bladders let a little through.')
  await click('Write it down')
  await expect(page.getByText('kept, whites clean, The bladders let a little through.')).toBeVisible()

  // Two weeks on it settles, and hangs among the finished with its photograph.
  await page.clock.fastForward(14 * 86_400_000)
  await click('Settled look')
  await click('Write it down')
  await page.getByRole('link', { name: 'Prints' }).click()
  const hung = page.getByRole('listitem').filter({ hasText: 'Bladderwrack' })
  await expect(hung).toContainText('dry, kept')
  const small = hung.getByRole('img')
  await expect(small).toBeVisible()
  await expect.poll(() => small.evaluate((img: HTMLImageElement) => img.naturalHeight)).toBe(480)
})
