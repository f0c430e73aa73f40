import { createHash } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { expect, test } from './test.ts'
import { CHROMIUM, FLAGS, OWN_ADDRESS } from './browser.ts'
import { open, photograph, plan, turnTo } from './workroom.ts'

/** In place of the browser's own window for choosing a folder, which needs a screen: a folder of the page's own files. */
const standIn = () => {
  const showDirectoryPicker = async () => {
    const root = await navigator.storage.getDirectory()
    return root.getDirectoryHandle('Backups', { create: true })
  }
  Object.assign(window, { showDirectoryPicker })
}

/** Every file of the stand-in, by its path, in base 64. */
const filesIn = (page: Page) =>
  page.evaluate(async () => {
    const files: Record<string, string> = {}
    const walk = async (folder: FileSystemDirectoryHandle, path: string): Promise<void> => {
      for await (const [name, handle] of folder.entries()) {
        if (handle.kind === 'directory') await walk(handle, `${path}${name}/`)
        else {
          const bytes = new Uint8Array(await (await handle.getFile()).arrayBuffer())
          files[path + name] = btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
        }
      }
    }
    const root = await navigator.storage.getDirectory()
    await walk(await root.getDirectoryHandle('Backups'), '')
    return files
  })
const putFiles = (page: Page, files: Record<string, string>) =>
  page.evaluate(async (all) => {
    const root = await navigator.storage.getDirectory()
    for (const [path, text] of Object.entries(all)) {
      let folder = await root.getDirectoryHandle('Backups', { create: true })
      const parts = path.split('/')
      for (const part of parts.slice(0, -1)) folder = await folder.getDirectoryHandle(part, { create: true })
      const writing = await (await folder.getFileHandle(parts.at(-1)!, { create: true })).createWritable()
      await writing.write(Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0)))
      await writing.close()
    }
  }, files)

/** Every file of a downloaded backup but its list, by path, with its checksum. */
async function downloaded(page: Page): Promise<Record<string, string>> {
  await turnTo(page, '/workroom')
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download a backup' }).click()
  const files = unzipSync(readFileSync(await (await waiting).path()))
  delete files['manifest.json']
  return Object.fromEntries(
    Object.entries(files).map(([path, bytes]) => [path, createHash('sha256').update(bytes).digest('hex')]),
  )
}

test(
  'the whole workroom comes back from the backup folder after the profile is deleted, byte by byte',
  { tag: '@long' },
  async () => {
    const profiles = [0, 1].map(() => mkdtempSync(join(tmpdir(), 'ember-backup-')))
    const launch = async (profile: string): Promise<{ context: BrowserContext; page: Page }> => {
      const context = await chromium.launchPersistentContext(profile, {
        executablePath: CHROMIUM,
        args: FLAGS,
        serviceWorkers: 'block',
        viewport: { width: 1280, height: 800 },
      })
      const page = await context.newPage()
      await page.addInitScript(standIn)
      await open(page, OWN_ADDRESS)
      return { context, page }
    }
    try {
      const first = await launch(profiles[0]!)
      const { page } = first
      const hint = page.getByText('Your workroom is stored only in this browser. Choose a backup folder.')
      // Not before there is anything to lose.
      await expect(hint).toBeHidden()
      await plan(page, 'Tide gauge')
      await expect(hint).toBeVisible()
      await expect(page.getByRole('link', { name: 'Workroom no backup' })).toBeVisible()
      for (let press = 0; press < 4; press++) {
        await page.keyboard.press(' ')
        await page.waitForTimeout(150)
      }
      await page.keyboard.press('8')
      await page.getByRole('listitem').getByText('Tide gauge').click()
      await page
        .getByLabel('Photo file')
        .setInputFiles({ name: 'gauge.jpg', mimeType: 'image/jpeg', buffer: await photograph() })
      await expect(page.getByText('Photo added')).toBeVisible()

      await page.getByRole('button', { name: 'Choose a folder' }).click()
      await expect(page.getByText(/Backed up into “Backups” and read back: .*one new picture/)).toBeVisible()
      await expect(hint).toBeHidden()
      await expect(page.getByRole('link', { name: /Workroom backup \d+ min ago/ })).toBeVisible()
      const files = await filesIn(page)
      expect(Object.keys(files).map((path) => path.replace(/\d{8}T\d{6}Z|[0-9a-f-]{36}/, '…')).sort()).toEqual([
      'ember-sheet-….zip',
      'photos/….jpg',
      'thumbnails/….jpg',
    ]) // prettier-ignore
      const before = await downloaded(page)
      await page.getByRole('button', { name: 'Test restore' }).click()
      await expect(page.getByText(/Test restore from .*\. Complete: 1 sheet, 1 picture\./)).toBeVisible()

      // The folder is all that is left.
      await first.context.close()
      rmSync(profiles[0]!, { recursive: true })
      const second = await launch(profiles[1]!)
      await putFiles(second.page, files)
      await turnTo(second.page, '/workroom')
      await second.page.getByRole('button', { name: 'Restore from a folder' }).click()
      await expect(second.page.getByText('Restored: 1 sheet and all records.')).toBeVisible()
      expect(await downloaded(second.page)).toEqual(before)
      await turnTo(second.page, '/prints')
      await expect(second.page.getByText('Tide gauge').first()).toBeVisible()

      // Backups go on into the same folder.
      await turnTo(second.page, '/workroom')
      await expect(second.page.getByText('Backup folder: “Backups”.')).toBeVisible()
      await second.context.close()
    } finally {
      for (const profile of profiles) rmSync(profile, { recursive: true, force: true })
    }
  },
)

test(
  'a backup is made when the work has ended, and one that fails is said loudly until it succeeds',
  { tag: '@long' },
  async ({ page }) => {
    await page.addInitScript(standIn)
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') })
    await open(page)
    await plan(page, 'Tide gauge')
    await page.getByRole('button', { name: 'Choose a folder' }).click()
    await expect(page.getByText(/Backed up into “Backups”/)).toBeVisible()
    const backups = async () =>
      Object.keys(await filesIn(page)).filter((path) => path.endsWith('.zip')).length
    expect(await backups()).toBe(1)
    await page.clock.fastForward('01:00:00')
    expect(await backups()).toBe(1)

    // The rest is counted from the change, which is noticed a moment after the screen shows it.
    const changedAt = () => page.evaluate(() => Number(localStorage.getItem('ember-sheet-changed-at')))
    let lastChange = await changedAt()
    await page.keyboard.press('4')
    await page.keyboard.press(' ')
    await expect(page.getByRole('button', { name: 'Next drop' })).toBeVisible()
    await expect.poll(changedAt).toBeGreaterThan(lastChange)
    await page.clock.fastForward('00:20:00')
    expect(await backups()).toBe(1)
    await page.clock.fastForward('00:12:00')
    await expect.poll(backups).toBe(2)

    // The folder goes away, as a disk that is unplugged.
    await page.evaluate(async () => {
      const root = await navigator.storage.getDirectory()
      await root.removeEntry('Backups', { recursive: true })
    })
    lastChange = await changedAt()
    await page.keyboard.press(' ')
    await expect(page.getByLabel('Iron citrate, drops counted')).toHaveValue('1')
    await expect.poll(changedAt).toBeGreaterThan(lastChange)
    await page.clock.fastForward('00:32:00')
    const failed = page.getByRole('alert').filter({ hasText: 'The backup into “Backups” failed.' })
    await expect(failed).toBeVisible()
    await page.evaluate(async () => {
      const root = await navigator.storage.getDirectory()
      await root.getDirectoryHandle('Backups', { create: true })
    })
    await failed.getByRole('button', { name: 'Try again' }).click()
    await expect(failed).toBeHidden()
    expect(await backups()).toBe(1)
  },
)

test('putting the question off is never taken for a backup', async ({ page }) => {
  await page.addInitScript(standIn)
  await open(page)
  await plan(page, 'Tide gauge')
  await page.getByRole('button', { name: 'Remind me in three days' }).click()
  await expect(page.getByText('Choose a backup folder.')).toBeHidden()
  await expect(page.getByRole('link', { name: 'Workroom no backup' })).toBeVisible()
})
