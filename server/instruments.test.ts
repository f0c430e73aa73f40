import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { WebSocket } from 'ws'
import { readLine, type InstrumentLine } from '@core/instrument/protocol'
import { addInstruments } from './instruments'

let address = ''
const server = createServer((_request, response) => response.end('page'))
let hangUp: () => void
beforeAll(async () => {
  hangUp = addInstruments(server, Date.now, 7)
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  address = `127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(async () => {
  hangUp()
  await new Promise((resolve) => server.close(resolve))
})

/** An open line to a stand-in, and what it says. */
async function line(kind: string, headers = {}) {
  const socket = new WebSocket(`ws://${address}/instruments/${kind}`, { headers })
  const said: InstrumentLine[] = []
  socket.on('message', (data) => said.push(readLine(data.toString().trimEnd())))
  await new Promise((resolve, reject) => socket.once('open', resolve).once('error', reject))
  return {
    socket,
    said,
    tell: (text: string) => socket.send(text),
    heard: async (count: number) => {
      while (said.length < count) await new Promise((resolve) => setTimeout(resolve, 10))
      return said
    },
  }
}

describe('the instruments of the server', () => {
  it('answer what they are asked, however the lines are cut', async () => {
    const meter = await line('uv-meter')
    meter.tell('*ID')
    meter.tell('N?\nMEAS:')
    meter.tell('IRR?\n')
    const [identity, reading] = await meter.heard(2)
    expect(identity).toMatchObject({ kind: 'identity', model: 'UV-METER' })
    expect(reading).toMatchObject({ kind: 'reading', quantity: 'irradiance' })
    meter.socket.close()
  })

  it('share one bench: the unit puts the lamp out, the meter sees it', async () => {
    const [unit, meter] = [await line('exposure-unit'), await line('uv-meter')]
    unit.tell('OUTP OFF\nOUTP?\n')
    expect(await unit.heard(1)).toEqual([{ kind: 'switch', isOn: false }])
    meter.tell('MEAS:IRR?\n')
    const [dark] = await meter.heard(1)
    expect(dark?.kind === 'reading' && dark.value).toBeLessThan(0.1)
    unit.tell('OUTP ON\n')
    unit.socket.close()
    meter.socket.close()
  })

  it('send by themselves when told, and hang up when told to drop', async () => {
    const meter = await line('uv-meter')
    meter.tell('MEAS:IRR:CONT 20\n')
    await meter.heard(5)
    const closed = new Promise((resolve) => meter.socket.once('close', resolve))
    meter.tell('SIM:FAULT DROP\n')
    await closed
  })

  it.each([
    ['no-such-thing', {}],
    ['uv-meter', { Origin: 'http://elsewhere.example' }],
  ])('refuse %s from %j', async (kind, headers) => {
    await expect(line(kind, headers)).rejects.toThrow('404')
  })

  it('outlive a client that shouts', async () => {
    const loud = await line('balance')
    const closed = new Promise((resolve) => loud.socket.once('close', resolve))
    loud.tell('x'.repeat(10_000))
    await closed
    const next = await line('balance')
    next.tell('MEAS:MASS?\n')
    expect(await next.heard(1)).toHaveLength(1)
    next.socket.close()
  })
})
