import { createServer } from 'node:http'
import { connect, type AddressInfo } from 'node:net'
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

  it('outlive frames and greetings that are not of the protocol', async () => {
    const [host, port] = address.split(':') as [string, string]
    const greeting = (path: string, more = '') =>
      `GET ${path} HTTP/1.1\r\nHost: ${address}\r\nUpgrade: websocket\r\nConnection: Upgrade\r\nSec-WebSocket-Version: 13\r\nSec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==\r\n${more}\r\n`
    const send = (text: string, frame?: number[]) =>
      new Promise<void>((resolve) => {
        const socket = connect(Number(port), host)
        socket.on('error', () => resolve()).on('close', () => resolve())
        socket.on('data', () => {
          if (frame) socket.write(Uint8Array.from(frame))
          else socket.destroy()
        })
        socket.write(text)
        setTimeout(() => socket.destroy(), 300)
      })
    const ours = greeting('/instruments/uv-meter')
    await Promise.all([
      send(greeting('//[')),
      send(greeting('http://%')),
      send(ours.replace('13', '99')),
      send(ours.replace('dGhlIHNhbXBsZSBub25jZQ==', 'short')),
      // Reserved bits; no mask; a length of 2^63; a control frame too long; text that is no UTF-8; a half frame.
      ...[
        [0xf1, 0x80, 1, 2, 3, 4],
        [0x81, 0x05, 72, 101, 108, 108, 111],
        [0x81, 0xff, 0x7f, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 1, 2, 3, 4],
        [0x89, 0xfe, 0x01, 0x00, 1, 2, 3, 4],
        [0x81, 0x82, 0, 0, 0, 0, 0xff, 0xfe],
        [0x81, 0x85, 1, 2],
      ].map((frame) => send(ours, frame)),
    ])
    const next = await line('balance')
    next.tell('MEAS:MASS?\n')
    expect(await next.heard(1)).toHaveLength(1)
    next.socket.close()
  })

  it.each(['elsewhere.example', 'localhost.evil.example'])(
    'refuse a caller who names this machine %s',
    async (name) => {
      await expect(line('uv-meter', { Host: name })).rejects.toThrow('404')
    },
  )

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

  it('hang up on whoever asks and never reads', async () => {
    const socket = connect(Number(address.split(':')[1]), '127.0.0.1')
    await new Promise((resolve) => socket.once('connect', resolve))
    socket.write(
      `GET /instruments/uv-meter HTTP/1.1\r\nHost: ${address}\r\nUpgrade: websocket\r\nConnection: Upgrade\r\nSec-WebSocket-Version: 13\r\nSec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\n\r\n`,
    )
    await new Promise((resolve) => socket.once('data', resolve))
    socket.pause()
    // One masked frame of 4000 bytes of questions, again and again; the mask is all zeros.
    const questions = Buffer.from('*IDN?\n'.repeat(660))
    const head = Buffer.from([0x81, 0xfe, questions.length >> 8, questions.length & 255, 0, 0, 0, 0])
    const isGone = new Promise<boolean>((resolve) => {
      socket.once('error', () => resolve(true))
      socket.once('close', () => resolve(true))
    })
    let asked = 0
    const ask = setInterval(() => {
      for (let n = 0; n < 40 && !socket.destroyed; n++) socket.write(Buffer.concat([head, questions]))
      // What is left in the line has to be let through for the end to be seen.
      if (++asked > 20) socket.resume()
    }, 10)
    expect(await isGone).toBe(true)
    clearInterval(ask)
    socket.destroy()
  })
})
