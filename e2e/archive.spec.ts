import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS, OWN_ADDRESS } from './browser.ts'
import { open, plan, turnTo } from './workroom.ts'

async function exported(page: Page): Promise<Uint8Array> {
  await page.keyboard.press('o')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download a backup' }).click()
  return new Uint8Array(await readFile(await (await download).path()))
}
async function choose(page: Page, bytes: Uint8Array, name = 'archive.zip'): Promise<void> {
  await page
    .getByLabel('Archive file')
    .setInputFiles({ name, mimeType: 'application/zip', buffer: Buffer.from(bytes) })
}
const recordsOf = (archive: Uint8Array) => JSON.parse(strFromU8(unzipSync(archive)['records.json']!))
const report = (page: Page) => page.getByRole('region', { name: 'Import report' })

test('archive out, storage wiped, archive in: all is as it was', async ({ page }) => {
  await open(page, DEMO_ADDRESS)
  const before = await exported(page)

  const wiped = page.url()
  await page.goto('about:blank')
  const devtools = await page.context().newCDPSession(page)
  await devtools.send('Storage.clearDataForOrigin', { origin: DEMO_ADDRESS, storageTypes: 'all' })
  // The demo would lay itself out again; a workroom of one's own stays empty until the archive comes.
  await page.route('**/demo/workroom.zip', (route) => route.fulfill({ status: 404 }))
  await page.goto(wiped)
  await expect(page.getByText(/Failed/)).toBeVisible()

  await choose(page, before)
  await expect(report(page).getByRole('row', { name: /sheets 25 0 0/ })).toBeVisible()
  await report(page).getByRole('button', { name: 'Import' }).click()
  await expect(page.getByText('Imported.')).toBeVisible()
  const after = await exported(page)
  expect(recordsOf(after)).toEqual(recordsOf(before))
  const [filesBefore, filesAfter] = [unzipSync(before), unzipSync(after)]
  for (const path of Object.keys(filesBefore))
    if (path !== 'manifest.json')
      expect([path, Buffer.compare(filesAfter[path]!, filesBefore[path]!)]).toEqual([path, 0])
  await page.getByRole('link', { name: 'Prints', exact: true }).click()
  await expect(page.getByRole('img', { name: 'Photo of Tide gauge' })).toBeVisible()
})

test('into a used workroom: what is the same is left, what differs is shown and stays', async ({ page }) => {
  await open(page)
  await plan(page, 'Horn house')
  const archive = await exported(page)
  await choose(page, archive)
  await expect(report(page)).toContainText('You already have everything in this archive')
  await report(page).getByRole('button', { name: 'Cancel' }).click()

  const files = unzipSync(archive)
  const records = recordsOf(archive)
  records.sheets[0].title = 'Horn house, from the sea'
  const changed = await resealed(files, records)
  await choose(page, changed)
  const conflict = report(page).getByRole('group', { name: 'Sheet 1, Horn house, from the sea' })
  await expect(conflict).toContainText('title Horn house')
  await expect(conflict).toContainText('title Horn house, from the sea')
  await report(page).getByRole('button', { name: 'Import' }).click()
  await page.keyboard.press('8')
  await expect(page.getByText('1 Horn house', { exact: true })).toBeVisible()

  await page.keyboard.press('o')
  await choose(page, changed)
  await report(page).getByText('use the archive’s', { exact: true }).click()
  await report(page).getByRole('button', { name: 'Import, replacing 1' }).click()
  await page.keyboard.press('8')
  await expect(page.getByText('1 Horn house, from the sea')).toBeVisible()
})

test(
  'an archive in two parts comes in, both chosen at once, and nothing of it is missing',
  { tag: '@long' },
  async ({ page }) => {
    await open(page, DEMO_ADDRESS)
    const files = unzipSync(await exported(page))
    const photoIds = recordsOf(zipSync(files)).photos.map(({ id }: { id: string }) => id) as string[]
    const shares = [photoIds.slice(0, 3), photoIds.slice(3)]
    /** What a workroom writes whose pictures are more than one archive holds. */
    const part = (n: number) => {
      const without = photoIds.filter((id) => !shares[n]!.includes(id))
      const held = Object.entries(files).filter(([path]) => !without.some((id) => path.includes(id)))
      const manifest = JSON.parse(strFromU8(files['manifest.json']!))
      const listed = Object.fromEntries(held.flatMap(([path]) => (path in manifest.files ? [[path, manifest.files[path]]] : []))) // prettier-ignore
      const said = { ...manifest, files: listed, part: { number: n + 1, of: 2 }, without }
      return zipSync({ ...Object.fromEntries(held), 'manifest.json': strToU8(JSON.stringify(said)) })
    }
    await open(page, `${OWN_ADDRESS}/workroom`)
    await page.getByLabel('Archive file').setInputFiles(
      [1, 0].map((n) => ({
        name: `ember-sheet-part-${n + 1}-of-2.zip`,
        mimeType: 'application/zip',
        buffer: Buffer.from(part(n)),
      })),
    )
    await expect(report(page)).toContainText('Part 1 of 2')
    await expect(report(page)).toContainText(
      `${shares[1]!.length} photos have no pictures in this file. The pictures may be in another part.`,
    )
    await report(page).getByRole('button', { name: 'Import' }).click()
    await expect(report(page)).toContainText('Part 2 of 2')
    await expect(report(page)).toContainText(
      `${shares[1]!.length} missing or damaged pictures will be replaced.`,
    )
    await report(page).getByRole('button', { name: 'Import' }).click()
    await expect(report(page)).toBeHidden()
    await page.getByRole('button', { name: 'Check stored data' }).click()
    await expect(page.getByText(/checked. No faults found/)).toBeVisible()
  },
)

/** Writes changed records back into an archive with an honest list, as another workroom would have. */
async function resealed(files: Record<string, Uint8Array>, records: unknown): Promise<Uint8Array> {
  const bytes = strToU8(JSON.stringify(records))
  const manifest = JSON.parse(strFromU8(files['manifest.json']!))
  const sum = Buffer.from(await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>)).toString(
    'hex',
  )
  manifest.files['records.json'] = { bytes: bytes.length, sha256: sum }
  return zipSync({ ...files, 'records.json': bytes, 'manifest.json': strToU8(JSON.stringify(manifest)) })
}

test('bad archives are refused with a reason, and change nothing', { tag: '@long' }, async ({ page }) => {
  await open(page)
  await plan(page, 'Net loft')
  const good = await exported(page)
  const files = unzipSync(good)
  const manifest = (change: object) =>
    strToU8(JSON.stringify({ ...JSON.parse(strFromU8(files['manifest.json']!)), ...change }))
  const bad: [name: string, bytes: Uint8Array, reason: string][] = [
    ['a text', strToU8('not an archive'), 'This file is not a ZIP archive.'],
    ['a foreign ZIP', zipSync({ 'recipe.txt': strToU8('25 %') }), 'This ZIP was not written by Ember Sheet.'],
    ['half of one', good.slice(0, good.length / 2), 'The archive is incomplete.'],
    [
      'a climbing path',
      zipSync({ ...files, '../../../etc/cron.d/x': strToU8('x') }),
      'points outside the archive',
    ],
    [
      'a bomb',
      zipSync({ ...files, 'records.json': new Uint8Array(80 * 2 ** 20) }),
      'The archive is not safe to open',
    ],
    [
      'a newer version',
      zipSync({ ...files, 'manifest.json': manifest({ recordVersion: 99 }) }),
      'written by a newer Ember Sheet',
    ],
    [
      'wrong types',
      await resealed(files, { ...recordsOf(good), sheets: 'all of them' }),
      'records.json, sheets',
    ],
  ]
  for (const [name, bytes, reason] of bad) {
    await choose(page, bytes, `${name}.zip`)
    await expect(page.getByRole('status').filter({ hasText: reason }), name).toBeVisible()
    await expect(report(page)).toBeHidden()
    await page.getByRole('button', { name: 'Close this message' }).click()
  }
  expect(recordsOf(await exported(page))).toEqual(recordsOf(good))
})

test(
  'of an archive that is damaged in places, the rest comes in, and what is wrong is named and kept',
  { tag: '@long' },
  async ({ page }) => {
    await open(page)
    await plan(page, 'Net loft')
    const good = await exported(page)
    const records = recordsOf(good)
    const light = { ...records.lights[0]!, id: crypto.randomUUID(), name: 'Porch lamp' }
    const reading = {
      id: crypto.randomUUID(),
      lightId: light.id,
      at: Date.now(),
      what: { type: 'read', milliwattsPerCm2: 4820, by: 'typed' },
      note: '',
    }
    const lightEntries = [...records.lightEntries, reading]
    const bad = await resealed(unzipSync(good), {
      ...records,
      lights: [...records.lights, light],
      lightEntries,
    })
    await choose(page, bad, 'damaged.zip')
    await expect(report(page)).toContainText('1 part of this archive could not be read')
    await expect(report(page)).toContainText('Set aside: Lamp log entry.')
    await expect(report(page)).toContainText('milliwatts per cm2 is more than 1000.')
    await report(page).getByRole('button', { name: 'Import', exact: true }).click()
    await expect(page.getByText('Imported.')).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Set aside' })).toBeVisible()
    await expect(page.getByRole('listitem').filter({ hasText: 'Lamp log entry' })).toBeVisible()

    // It is kept from your test strip, in the next backup too; the sound part is there.
    const again = recordsOf(await exported(page))
    expect(again.lights.map((one: { name: string }) => one.name)).toContain('Porch lamp')
    expect(again.lightEntries).toEqual(records.lightEntries)
    expect(
      again.setAside.map(({ original }: { original: string }) => JSON.parse(original) as unknown),
    ).toEqual([reading])
    await page.getByRole('button', { name: 'Remove Lamp log entry' }).click()
    await expect(page.getByRole('heading', { name: 'Set aside' })).toBeHidden()
  },
)

test(
  'what an older version stored unchecked is set aside at the next start, and said',
  { tag: '@long' },
  async ({ page }) => {
    await open(page)
    await plan(page, 'Net loft')
    await page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          const opening = indexedDB.open('ember-sheet')
          opening.onsuccess = () => {
            const transaction = opening.result.transaction(['lightEntries', 'device'], 'readwrite')
            const what = { type: 'read', milliwattsPerCm2: 4820, by: 'typed' }
            const [id, lightId] = [crypto.randomUUID(), crypto.randomUUID()]
            transaction.objectStore('lightEntries').put({ id, lightId, at: Date.now(), what, note: '' })
            transaction.objectStore('device').delete('checkedByVersion')
            transaction.oncomplete = () => {
              opening.result.close()
              resolve()
            }
          }
        }),
    )
    await page.reload()
    await expect(page.getByText('From an earlier version: One record was set aside')).toBeVisible()
    await turnTo(page, '/workroom')
    await expect(
      page.getByRole('listitem').filter({ hasText: 'milliwatts per cm2 is more than 1000.' }),
    ).toBeVisible()
    // Once is enough.
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Set aside' })).toBeVisible()
    await expect(page.getByText('From an earlier version')).toBeHidden()
  },
)
