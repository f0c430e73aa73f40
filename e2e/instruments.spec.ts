import { spawn } from 'node:child_process'
import { WebSocket } from 'ws'
import { expect, test } from './test.ts'
import { DEMO_ADDRESS, freePort, OWN_ADDRESS } from './browser.ts'
import { addLamp, connect, runStrip } from './lamps.ts'
import { atRest, countDrops, open, plan } from './workroom.ts'

async function correction(device: string, address = OWN_ADDRESS): Promise<void> {
  const socket = new WebSocket(`${address.replace('http', 'ws')}/instruments/${device}`)
  await new Promise((resolve) => socket.once('open', resolve))
  socket.send('SIM:FAULT NONE\n')
  await new Promise((resolve) => setTimeout(resolve, 100))
  socket.close()
}

test(
  'a meter counts the dose; when it drops out the clock goes on, says so, and marks the record',
  { tag: '@long' },
  async ({ page }) => {
    await correction('uv-meter')
    await addLamp(page, 'the attic box', '4.82')
    await open(page, '/light/instruments')
    await connect(page, 'UV meter')
    await page.getByRole('link', { name: 'Exposure', exact: true }).click()
    await plan(page, 'Under the meter', { 'Picture size': '1x1', Exposure: '20 s' }, ['the attic box'])
    // A square inch takes few drops; the waits are passed over by pressing on.
    await page.keyboard.press(' ')
    for (let press = 0; press < 12; press++) {
      await atRest(page)
      if (await page.getByRole('heading', { name: /Ready to expose/ }).isVisible()) break
      await page.keyboard.press(' ')
    }
    await expect(page.getByText(/The meter reads/)).toBeVisible()
    await page.keyboard.press(' ')
    await expect(page.getByText('measured by the meter')).toBeVisible()
    await page.waitForTimeout(4000)
    await page
      .getByRole('navigation', { name: 'Light pages' })
      .getByRole('link', { name: 'Instruments' })
      .click()
    await page.getByText('drop out', { exact: true }).first().click()
    await expect(page.getByRole('article', { name: 'UV meter' })).toContainText(/no answer/)
    await page.keyboard.press('6')
    await expect(
      page.getByText('The meter is not responding. The dose is counted from its last reading'),
    ).toBeVisible()

    // A reload in the middle loses nothing of what was counted.
    const share = async () =>
      Number(/(\d+) of/.exec(await page.getByText(/ of \d+\smJ\/cm²/).innerText())?.[1])
    const before = await share()
    await page.reload()
    await expect(page.getByText('measured by the meter')).toBeVisible()
    expect(await share()).toBeGreaterThanOrEqual(before)
    await expect(page.getByText(/past the planned/)).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Exposed' })).toBeVisible()
    await open(page, '/prints')
    await page.getByText('Under the meter').first().click()
    await expect(page.getByText(/mJ\/cm² by the meter, .*\sof it without meter readings/)).toBeVisible()
  },
)

test(
  'the balance is read into the field in hand, the hygrometer into the record',
  { tag: '@long' },
  async ({ page }) => {
    await open(page, '/light/instruments')
    await connect(page, 'Balance')
    await connect(page, 'Thermo-hygrometer')
    await page.getByRole('article', { name: 'Balance' }).getByRole('button', { name: 'Set to zero' }).click()
    // What was connected is connected again on the next page that is opened.
    await open(page, '/shelf/make?recipe=kallitype/silver')
    await page.getByRole('button', { name: 'Start weighing' }).click()
    await page.getByRole('button', { name: 'From the balance' }).click()
    await expect(page.getByLabel('Balance reading, g')).toHaveValue(/^-?0(\.0\d*)?$/)

    await plan(page, 'In a known room')
    await page.keyboard.press(' ')
    await countDrops(page, 20)
    await page.keyboard.press(' ')
    await page.getByRole('button', { name: 'Read room sensor' }).click()
    await expect(page.getByText(/The room: 2\d[.\d]*\s°C, \d+\s%/)).toBeVisible()
  },
)

test.describe('with everything fetched ahead', () => {
  test.use({ savesData: false })

  test(
    'all of it with the server stopped: typed values, times, and a clock that counts',
    { tag: '@long' },
    async ({ page }) => {
      const port = await freePort()
      const server = spawn(process.execPath, ['dist/server/main.js', '--port', String(port)])
      await new Promise((resolve) => server.stdout.once('data', resolve))
      try {
        await page.clock.install()
        // Counted here: a page whose clock is held has none of its own record of what came in.
        const brought: string[] = []
        page.on('response', (response) => brought.push(response.url()))
        await page.goto(`http://127.0.0.1:${port}/light/lights`)
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
        // Every page is brought in ahead, once the first has come to rest.
        await page.clock.fastForward(3000)
        let loaded = -1
        await expect
          .poll(
            () => {
              const before = loaded
              loaded = brought.length
              // Workers come after the pages, and this one is the last of them.
              return loaded === before && brought.some((url) => url.includes('thumbnail.worker'))
            },
            { intervals: [3500] },
          )
          .toBe(true)
      } finally {
        server.kill()
      }
      await page.getByLabel('Name').fill('the attic box')
      await page.getByRole('button', { name: 'Add light' }).click()
      await page.getByLabel('Reading at the frame, mW/cm²').fill('4')
      await page.getByRole('button', { name: 'Save reading' }).click()
      const nav = page.getByRole('navigation', { name: 'Light pages' })
      await nav.getByRole('link', { name: 'Instruments' }).click()
      await page
        .getByRole('article', { name: 'UV meter' })
        .getByRole('button', { name: 'Connect', exact: true })
        .click()
      await expect(page.getByRole('article', { name: 'UV meter' })).toContainText('calling')
      await page
        .getByRole('article', { name: 'UV meter' })
        .getByRole('button', { name: 'Disconnect' })
        .click()
      await nav.getByRole('link', { name: 'Test strip' }).click()
      await runStrip(page)
      await expect(page.getByText('estimated from the model of this light')).toBeVisible()
      await page.clock.fastForward('12:01')
      await page.keyboard.press(' ')
      await nav.getByRole('link', { name: 'Test strip' }).click()
      await page.getByRole('link', { name: /Read sheet 1/ }).click()
      const densities = [0.3, 0.42, 0.56, 0.71, 0.87, 1.02, 1.15, 1.26, 1.33, 1.37, 1.385, 1.39]
      for (const [i, density] of densities.entries())
        await page.getByLabel(`Step ${i + 1}`, { exact: true }).fill(String(density))
      await page.getByRole('button', { name: 'Save as base exposure' }).click()
      await expect(page.getByRole('article').first()).toContainText('from a test strip')
      await nav.getByRole('link', { name: 'Sun' }).click()
      await page.getByLabel('Latitude, longitude').fill('52.1, 5.1')
      await page.getByRole('button', { name: 'Save place' }).click()
      await expect(page.getByRole('application', { name: /Light on the frame/ })).toBeVisible()
      await nav.getByRole('link', { name: 'Step tablet' }).click()
      await page
        .getByLabel('Readings, clear step first')
        .fill('1.4 1.39 1.36 1.3 1.2 1.02 0.8 0.56 0.36 0.22 0.14 0.1 0.08 0.07 0.07')
      await expect(page.getByRole('button', { name: /density range the negative needs/ })).toBeVisible()
    },
  )
})

test(
  'a meter that sticks or sends garbage is not believed, and says so',
  { tag: '@long' },
  async ({ page }) => {
    await correction('uv-meter', DEMO_ADDRESS)
    await open(page, `${DEMO_ADDRESS}/light/instruments`)
    await connect(page, 'UV meter')
    const meter = page.getByRole('article', { name: 'UV meter' })
    await meter.getByText('stick', { exact: true }).click()
    await page.keyboard.press('6')
    await expect(page.getByText('may be stuck')).toBeVisible()
    await page
      .getByRole('navigation', { name: 'Light pages' })
      .getByRole('link', { name: 'Instruments' })
      .click()
    await meter.getByText('send garbage', { exact: true }).click()
    await expect(meter).toContainText(/\d+ readings rejected/)
    await expect(meter).toContainText(/\d+ s ago/)
    await meter.getByText('behave', { exact: true }).click()
    await expect(meter).toContainText('now')
  },
)
