import { readFileSync } from 'node:fs'
import type { Download, Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { filmOf, lightnessOf, printedAndScanned, tabletScan } from './films.ts'
import { open } from './workroom.ts'

/** A process as it is on this day: density of its print behind ink. */
const today = (ink: number) => 0.08 + 1.36 * (1 - ink) ** 2.1
/** Some weeks later: the middle prints lighter. */
const later = (ink: number) => today(Math.min(1, ink + 0.05 * Math.sin(Math.PI * ink)))

async function saved(page: Page, button: string): Promise<Download> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ])
  return download
}
async function begin(page: Page, name: string): Promise<void> {
  await open(page, '/negative/calibrate')
  await page.getByRole('button', { name: 'New calibration' }).click()
  await page.getByLabel('Name').fill(name)
  await page.getByLabel('Film, printer and ink').fill('clear film, black ink')
  await page.getByLabel('Base exposure').fill('6 min')
  await page.getByRole('button', { name: 'Create chart' }).click()
  await expect(page.getByRole('heading', { name })).toBeVisible()
}
const scan = (page: Page, buffer: Buffer, name = 'scan.jpg') =>
  page.getByLabel('Scan of the chart').setInputFiles({ name, mimeType: 'image/jpeg', buffer })

test(
  'from a base exposure over chart, print, scan and curve to a check, left and taken up again',
  { tag: '@long' },
  async ({ page }) => {
    await begin(page, 'rag and box')
    const film = await filmOf(await saved(page, 'Save the chart negative'))
    expect(film.meta).toMatchObject({ depth: 'ushort', density: 360 })
    expect(film.width * film.height).toBeGreaterThan(1_000_000)

    // Days later.
    await open(page, '/negative/calibrate')
    await expect(page.getByText('next: print the chart')).toBeVisible()
    await page.getByRole('link', { name: 'rag and box' }).click()
    await expect(page.getByText('Expose the chart for 6 min (base exposure)')).toBeVisible()
    await page.getByRole('button', { name: 'Chart is printed and dry' }).click()

    // Something else than the chart is refused, and says what to do.
    const keep = page.getByRole('button', { name: 'Save reading' })
    await expect(keep).toBeDisabled()
    await scan(page, await printedAndScanned({ ...film, values: film.values.map(() => 30_000) }, today))
    await expect(page.getByRole('alert')).toContainText('corner marks')
    await scan(page, Buffer.from('a letter, and no picture'))
    await expect(page.getByRole('alert')).toContainText('not a supported picture')

    await scan(page, await printedAndScanned(film, today))
    await expect(page.getByText(/70 of 70 patches read/)).toBeVisible()
    await page.getByLabel('Density of the white background').fill('0.08')

    // A step tablet that the same scanner saw scales it as well; what is none is refused.
    await page.getByText('Or scale with a step tablet').click()
    await page.getByText('in a scan of its own', { exact: true }).click()
    const densities = Array.from({ length: 12 }, (_, i) => 0.08 + 0.14 * i)
    await page.getByLabel('Densities of its steps, lightest first').fill(densities.join(' '))
    const tablet = page.getByLabel('Scan of the step tablet', { exact: true })
    await tablet.setInputFiles({
      name: 'none.png',
      mimeType: 'image/png',
      buffer: await tabletScan([0.1, 0.1]),
    })
    await expect(page.getByText('The steps in this picture do not get steadily darker')).toBeVisible()
    await tablet.setInputFiles({ name: 't.png', mimeType: 'image/png', buffer: await tabletScan(densities) })
    await expect(page.getByText('Scaled with a step tablet')).toBeVisible()
    await keep.click()
    await expect(page.getByRole('application', { name: 'Result' })).toBeVisible()
    await expect(page.getByText(/Black L\* \d+\.\d, white \d+\.\d; patch repeatability/)).toHaveText(
      /Black L\* 2[0-4]\.\d, white 9[0-5]\.\d/,
    )

    // The readings go out in open formats, and a bad file does not come in.
    const csv = await saved(page, 'Readings as CSV')
    expect(csv.suggestedFilename()).toBe('rag-and-box.csv')

    // The check is printed when the process has moved a little.
    await page.getByRole('button', { name: 'Go to the check' }).click()
    const check = await filmOf(await saved(page, 'Save the check chart negative'))
    await scan(page, await printedAndScanned(film, later))
    await expect(page.getByRole('alert')).toContainText('This is a different chart')
    await scan(page, await printedAndScanned(check, later))
    await expect(page.getByText(/70 of 70 patches read/)).toBeVisible()
    await page.getByRole('button', { name: 'Save check' }).click()
    const checks = page.getByRole('list', { name: 'Checks' })
    await expect(checks).toContainText('L* mean error')
    await expect(page.getByText(/^checked: mean error \d\.\d L\*/).first()).toBeVisible()
    await page.getByRole('button', { name: 'Correct the curve with this check' }).click()
    await expect(checks).toContainText('used to correct the curve')
    await open(page, '/negative/calibrate')
    await expect(page.getByText('ready to use, not checked yet')).toBeVisible()

    // A negative through the corrected curve lands, printed by the process as it is now.
    await page.getByRole('link', { name: 'rag and box' }).click()
    const again = await filmOf(await saved(page, 'Save the check chart negative'))
    await scan(page, await printedAndScanned(again, later, -4))
    await expect(page.getByText(/70 of 70 patches read/)).toBeVisible()
    await page.getByRole('button', { name: 'Save check' }).click()
    await expect(page.locator('.CalibrationPath-good')).toBeVisible()
    const said = await page.locator('.CalibrationPath-good').textContent()
    const [mean, worst] = [...(said ?? '').matchAll(/\d+\.\d/g)].map(Number)
    expect(mean).toBeLessThan(0.6)
    expect(worst).toBeLessThan(1.5)
  },
)

test('readings by hand and from a file, a flat print and an aim of one’s own', async ({ page }) => {
  await begin(page, 'read slowly')
  await saved(page, 'Save the chart negative')
  // The chart is a sheet like any other: its form comes filled in, and the way leads back.
  await page.getByRole('button', { name: 'Plan a sheet for the chart' }).click()
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Chart: read slowly')
  await page.goBack()
  await page.getByRole('button', { name: 'Chart is printed and dry' }).click()
  await page.getByText('by hand', { exact: true }).click()
  const readings = page.getByLabel('Readings, row by row from the top left')
  await readings.fill('1.4 1.3')
  await expect(
    page.getByText('There are 2 readings, but the chart has 70 patches of 31 tones.'),
  ).toBeVisible()
  const row = Array.from({ length: 31 }, (_, i) => today(i / 30).toFixed(3))
  await readings.fill([...row].reverse().join(' '))
  await expect(page.getByText('More ink printed darker.')).toBeVisible()
  await readings.fill(row.map(() => '0.7').join(' '))
  await expect(page.getByText('The print has nearly the same density under all ink levels.')).toBeVisible()

  await page.getByText('a file of readings', { exact: true }).click()
  const file = page.getByLabel('File of readings', { exact: true })
  await file.setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') })
  await expect(page.getByRole('alert')).toContainText('Name one of them D_VIS')
  const text = ['step,density', ...row.map((density, i) => `${i + 1},${density}`)].join('\n')
  await file.setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await page.getByRole('button', { name: 'Save reading' }).click()
  await page.getByText('my own target curve', { exact: true }).click()
  const dark = page.getByLabel('Tone 25 prints as')
  await expect(dark).toHaveValue(/^4\d/)
  await dark.focus()
  await page.keyboard.press('PageUp')
  await expect(page.getByLabel('Name of the target')).toHaveValue('my target')
  await page.reload()
  await page.getByRole('button', { name: 'Correction curve' }).click()
  await expect(page.getByLabel('Name of the target')).toHaveValue('my target')
  expect(lightnessOf(today(0))).toBeLessThan(25)
  // The curve leaves for an image editor, as many rows as it says.
  const cube = readFileSync(await (await saved(page, 'Curve as .cube (1D LUT)')).path(), 'utf8')
  expect(cube).toMatch(/^TITLE "read slowly"$/m)
  expect(cube.match(/^[01]\.\d{6} /gm)).toHaveLength(Number(/^LUT_1D_SIZE (\d+)$/m.exec(cube)?.[1]))
  // A second sheet of the chart is averaged with the first; a file that is refused leaves nothing to save.
  await page.getByRole('button', { name: /^Reading read/ }).click()
  await page.getByText('a file of readings', { exact: true }).click()
  const average = page.getByRole('button', { name: 'Average with the first sheet' })
  await file.setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(average).toBeEnabled()
  await file.setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') })
  await expect(average).toBeDisabled()
  await file.setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await average.click()
  await expect(page.getByRole('button', { name: 'Go to the check' })).toBeVisible()

  await page.getByRole('button', { name: 'Remove calibration' }).click()
  await expect(page.getByText('No calibrations yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('link', { name: 'read slowly' })).toBeVisible()
})

test('a curve made elsewhere is taken in, checked by a picture with a tablet beside its chart, and corrected', async ({
  page,
}) => {
  await open(page, '/negative/calibrate')
  await page.getByRole('button', { name: 'Take in a curve' }).click()
  const file = page.getByLabel('File of the curve', { exact: true })
  const cube = (rows: readonly number[]) => ({
    name: 'old.cube',
    mimeType: 'text/plain',
    buffer: Buffer.from(
      `TITLE "Old box"\nLUT_1D_SIZE ${rows.length}\n${rows.map((y) => `${y} ${y} ${y}`).join('\n')}\n`,
    ),
  })
  await file.setInputFiles(cube([1, 0.4, 0.7, 0.3, 0.2, 0]))
  await expect(page.getByRole('alert')).toContainText('This curve turns back')
  const save = page.getByRole('button', { name: 'Save the curve' })
  await expect(save).toBeDisabled()
  const rows = Array.from({ length: 33 }, (_, i) => 1 - (i / 32) ** 1.4)
  await file.setInputFiles(cube(rows))
  await expect(page.getByText('old.cube: 33 tones.')).toBeVisible()
  await save.click()
  await expect(page.getByRole('heading', { name: 'Old box' })).toBeVisible()
  await expect(page.getByText('No one knows yet how this curve, made elsewhere, prints here.')).toBeVisible()
  await page.getByRole('button', { name: 'Go to the check' }).click()
  const check = await filmOf(await saved(page, 'Save the check chart negative'))
  const densities = Array.from({ length: 11 }, (_, i) => Math.round(100 * (0.06 + 0.155 * i)) / 100)
  await scan(page, await printedAndScanned(check, today, 1.5, densities))
  await page.getByText('Or scale with a step tablet').click()
  await page.getByLabel('Densities of its steps, lightest first').fill('0.5 0.4 0.3')
  await page.getByRole('button', { name: 'Use this tablet' }).click()
  await expect(page.getByText('A tablet has three or more steps that get darker.')).toBeVisible()
  await page.getByLabel('Densities of its steps, lightest first').fill(densities.join(' '))
  await page.getByRole('button', { name: 'Use this tablet' }).click()
  await expect(page.getByText('Step tablet found beside the chart, 11 steps.')).toBeVisible()
  await page.getByRole('button', { name: 'Save check' }).click()
  await page.getByRole('button', { name: 'Correct the curve with this check' }).click()
  await page.getByRole('button', { name: /^Correction curve/ }).click()
  await expect(page.getByText(/Its tones should be right within ± \d\.\d L\*/)).toBeVisible()
  const out = readFileSync(await (await saved(page, 'Curve as CGATS.17')).path(), 'utf8')
  expect(out).toContain('NUMBER_OF_SETS 256')
})
