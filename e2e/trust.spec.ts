import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Download, type Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { CHROMIUM, DEMO_ADDRESS, FLAGS, OWN_ADDRESS } from './browser.ts'
import { open, photograph, plan } from './workroom.ts'

test('from an empty workroom to a planned print in one page, and round the demo without touching it', async ({
  page,
}) => {
  await open(page)
  await page.getByRole('button', { name: 'Make a first print' }).click()
  await expect(page.getByRole('heading', { name: 'What do you want to make?' })).toBeVisible()
  await page.getByRole('listitem').filter({ hasText: 'Van Dyke brown' }).click()
  await page.getByLabel('Size', { exact: true }).fill('8 x')
  await page.getByRole('button', { name: 'Plan this sheet' }).click()
  await expect(page.getByText(/is not two lengths/)).toBeVisible()
  await page.getByLabel('Size', { exact: true }).fill('5 x 7 in')
  await page.getByRole('button', { name: 'Plan this sheet' }).click()
  await expect(page.getByRole('button', { name: /^Start/ })).toBeVisible()

  await page.keyboard.press('o')
  await page.getByRole('button', { name: 'Open the demo' }).click()
  await expect(page.getByText('You are in the demo workroom.')).toBeVisible()
  await page.keyboard.press('8')
  await expect(page.getByRole('listitem').getByText('27 Bell buoy, ashore')).toBeVisible()
  await page.keyboard.press('1')
  await page.getByRole('button', { name: 'Open your own workroom' }).click()
  await expect(page.getByRole('heading', { name: /^Coat sheet/ })).toBeVisible()
  await page.keyboard.press('8')
  await expect(page.getByRole('listitem')).toHaveCount(1)
  await expect(page.getByText('1 First print')).toBeVisible()
})

/** Opens the workroom's own storage in the page. */
const inStorage = (page: Page, store: string, work: string) =>
  page.evaluate(
    ([name, body]) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('ember-sheet-demo')
        opening.onsuccess = () => {
          const transaction = opening.result.transaction(name!, 'readwrite')
          // The test's own words, run in the page under test.
          const change = { table: transaction.objectStore(name!) }
          const all = change.table.getAll()
          all.onsuccess = () => {
            const [row] = all.result
            const [first, ...others] = row.texts ?? []
            if (body === 'bend')
              change.table.put({
                ...row,
                texts: [JSON.stringify({ ...JSON.parse(first), begunAt: 1 }), ...others],
              })
            else change.table.put({ ...row, photoIds: row.photoIds.slice(1), spans: row.spans.slice(1) })
          }
          transaction.oncomplete = () => {
            opening.result.close()
            resolve()
          }
          transaction.onerror = () => reject(new Error('not written'))
        }
      }),
    [store, work],
  )

test(
  'what is stored is looked through: a picture that is gone and a list that lies are found, the list is corrected',
  { tag: '@long' },
  async ({ page }) => {
    await open(page, `${DEMO_ADDRESS}/workroom`)
    await page.getByRole('button', { name: 'Check stored data' }).click()
    await expect(page.getByText(/checked. No faults found/)).toBeVisible()
    const exported = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Download a backup' }).click()
    const archive = await (await exported).path()
    await inStorage(page, 'standingBundles', 'bend')
    await inStorage(page, 'packs', 'lose')
    await page.getByRole('button', { name: 'Check stored data' }).click()
    await expect(page.getByText('2 faults')).toBeVisible()
    await expect(page.getByText('The picture of a photo is missing.')).toBeVisible()
    await page.getByRole('button', { name: 'Repair' }).click()
    await expect(page.getByText('One fault')).toBeVisible()
    // A safe copy can be made all the same, and says what it lacks.
    await page.getByRole('button', { name: 'Download a backup' }).click()
    await expect(page.getByText(/One photo has no picture any more/)).toBeVisible()

    // An archive that has the picture gives it back, though its records are all here.
    await page.getByLabel('Archive file').setInputFiles(archive)
    const report = page.getByRole('region', { name: 'Import report' })
    await expect(report).toContainText('1 missing or damaged picture will be replaced.')
    await report.getByRole('button', { name: 'Import', exact: true }).click()
    await expect(page.getByText('Imported.')).toBeVisible()
    await page.getByRole('button', { name: 'Check stored data' }).click()
    await expect(page.getByText(/checked. No faults found/)).toBeVisible()

    const downloads: Download[] = []
    page.on('download', (download) => downloads.push(download))
    await page.getByRole('button', { name: 'Download tables (CSV)' }).click()
    await expect.poll(() => downloads.length).toBe(2)
    const texts = await Promise.all(downloads.map(async (one) => readFileSync(await one.path(), 'utf8')))
    expect(downloads.map((one) => one.suggestedFilename().replace(/-\d{4}.*/, ''))).toEqual([
      'ember-sheet-prints',
      'ember-sheet-log',
    ])
    for (const text of texts) expect(text).toContain('Lamp-room lens')
  },
)

test(
  'files that the browser has lost: named, the rest exported, and all of it back from an archive',
  { tag: '@long' },
  async () => {
    const profile = mkdtempSync(join(tmpdir(), 'ember-lost-'))
    const start = async () => {
      const context = await chromium.launchPersistentContext(profile, {
        executablePath: CHROMIUM,
        args: FLAGS,
      })
      const page = await context.newPage()
      await open(page, `${DEMO_ADDRESS}/workroom`)
      return { context, page }
    }
    const lookThrough = (page: Page) => page.getByRole('button', { name: 'Check stored data' }).click()
    try {
      const first = await start()
      await expect(
        first.page.getByRole('region', { name: 'Running clocks' }).getByRole('button'),
      ).toHaveCount(6)
      const exported = first.page.waitForEvent('download')
      await first.page.getByRole('button', { name: 'Download a backup' }).click()
      const archive = readFileSync(await (await exported).path())
      await first.context.close()
      // What is large lies in files beside the database: the logs in one, the pictures in another.
      const files = readdirSync(profile, { recursive: true, encoding: 'utf8' })
        .filter((path) => path.includes('.indexeddb.blob'))
        .map((path) => join(profile, path))
        .filter((path) => statSync(path).isFile())
      expect(files.length).toBeGreaterThan(1)
      for (const file of files) rmSync(file)

      const { context, page } = await start()
      // Clocks and lists are there all the same.
      await expect(page.getByRole('region', { name: 'Running clocks' }).getByRole('button')).toHaveCount(6)
      await lookThrough(page)
      await expect(page.getByText('The log of sheet 22 is missing.')).toBeVisible()
      await expect(page.getByText('The picture of a photo is missing.').first()).toBeVisible()
      await page.getByRole('button', { name: 'Download a backup' }).click()
      await expect(
        page.getByText(/25 logs are lost and missing from this backup. Keep your last backup too/),
      ).toBeVisible()
      await page
        .getByLabel('Archive file')
        .setInputFiles({ name: 'archive.zip', mimeType: 'application/zip', buffer: archive })
      await page
        .getByRole('region', { name: 'Import report' })
        .getByRole('button', { name: 'Import', exact: true })
        .click()
      await expect(page.getByText('Imported.')).toBeVisible()
      await lookThrough(page)
      await expect(page.getByText(/checked. No faults found/)).toBeVisible()
      await context.close()
    } finally {
      rmSync(profile, { recursive: true, force: true })
    }
  },
)

test('storage that is denied is said plainly, and a newer version elsewhere stops this window', async ({
  page,
  context,
}) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError')
    }
  })
  await page.goto('/')
  await expect(page.getByText(/does not let Ember Sheet store anything/)).toBeVisible()

  const older = await context.newPage()
  await open(older)
  const newer = await context.newPage()
  await newer.goto('/favicon.svg')
  await newer.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('ember-sheet', 990)
        opening.onsuccess = () => resolve()
      }),
  )
  await expect(older.getByText('A newer Ember Sheet has opened this workroom')).toBeVisible()
  await older.getByRole('button', { name: 'Reload this window' }).click()
  await expect(older.getByText('A newer Ember Sheet has opened this workroom')).toBeVisible()
})

test('one’s own photograph is summed when it is added', async ({ page }) => {
  await open(page, OWN_ADDRESS)
  await plan(page, 'Horn house')
  await page.keyboard.press('8')
  await page.getByRole('listitem').getByText('Horn house').click()
  await page
    .getByLabel('Photo file')
    .setInputFiles({ name: 'one.jpg', mimeType: 'image/jpeg', buffer: await photograph() })
  await expect(page.getByText('Photo added')).toBeVisible()
  const sum = await page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const opening = indexedDB.open('ember-sheet')
        opening.onsuccess = () => {
          const all = opening.result.transaction('photos').objectStore('photos').getAll()
          all.onsuccess = () => resolve(all.result[0].sha256)
        }
      }),
  )
  expect(sum).toMatch(/^[0-9a-f]{64}$/)
})

test('on a device that is held in the hand, a photograph is taken with its camera or chosen from files', async ({
  browser,
}) => {
  const context = await browser.newContext({
    hasTouch: true,
    isMobile: true,
    viewport: { width: 800, height: 1100 },
  })
  const page = await context.newPage()
  await open(page, OWN_ADDRESS)
  await plan(page, 'Horn house')
  await page.keyboard.press('8')
  await page.getByRole('listitem').getByText('Horn house').click()
  const asked = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'No photo yet. Add photo.' }).click()
  const camera = (await asked).element()
  expect(await camera.getAttribute('capture')).toBe('environment')
  await (await asked).setFiles({ name: 'shot.jpg', mimeType: 'image/jpeg', buffer: await photograph() })
  await expect(page.getByText('Photo added')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Choose photos from files' })).toBeVisible()
  await context.close()
})
