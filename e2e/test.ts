import { test as base } from '@playwright/test'

export { expect } from '@playwright/test'

/**
 * A test in a browser that saves data, so that the application fetches no page ahead: with a fresh cache for every
 * test, that would be a quarter of all work. A test of what is fetched ahead says `test.use({ savesData: false })`.
 */
export const test = base.extend<{ savesData: boolean }>({
  savesData: [true, { option: true }],
  context: async ({ context, savesData }, use) => {
    if (savesData)
      await context.addInitScript(() =>
        Object.defineProperty(Object.getPrototypeOf(navigator), 'connection', {
          get: () => ({ saveData: true }),
        }),
      )
    await use(context)
  },
})
