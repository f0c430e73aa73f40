import type { Download, Page } from '@playwright/test'
import sharp from 'sharp'
import { expect } from './test.ts'

// Pictures that are chosen or dropped, and the films that are made of them.

/** A picture that runs from black at its left to white at its right. */
export const slope = (width = 800, height = 1000): Promise<Buffer> =>
  sharp(
    Buffer.from(
      Uint8Array.from({ length: width * height }, (_, i) => Math.round((255 * (i % width)) / (width - 1))),
    ),
    {
      raw: { width, height, channels: 1 },
    },
  )
    .toColourspace('srgb')
    .jpeg({ quality: 95 })
    .toBuffer()

export const choose = (page: Page, buffer: Buffer, name = 'slope.jpg', mimeType = 'image/jpeg') =>
  page.getByLabel('Picture file').setInputFiles({ name, mimeType, buffer })

/** A file that is dragged onto the page and let go. */
export async function drop(page: Page, buffer: Buffer): Promise<void> {
  const dataTransfer = await page.evaluateHandle(
    (bytes) => {
      const held = new DataTransfer()
      held.items.add(new File([Uint8Array.from(bytes)], 'slope.jpg', { type: 'image/jpeg' }))
      return held
    },
    [...buffer],
  )
  const over = page.getByRole('button', { name: 'Choose a picture' })
  await over.dispatchEvent('dragenter', { dataTransfer })
  await expect(page.locator('[data-drop]')).toBeVisible()
  await over.dispatchEvent('drop', { dataTransfer })
  await expect(page.locator('[data-drop]')).toBeHidden()
}

export async function made(page: Page): Promise<Download> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make negative' }).click(),
  ])
  return download
}
