import type { Server } from 'node:http'
import { WebSocketServer, type WebSocket } from 'ws'
import { lineSplitter } from '@core/instrument/protocol'
import {
  INSTRUMENT_KINDS,
  simulatedBench,
  virtualInstrument,
  type InstrumentKind,
} from '@core/simulate/instruments'
import { seededRandom } from '@core/quantity/random'
import { isKnownHost } from './hosts'

/** Where the stand-ins are reached: `/instruments/uv-meter` and so on. */
const PATH = /^\/instruments\/([a-z-]+)$/

/** A line is short; what is longer than this is no talk of ours. */
const LONGEST_MESSAGE = 4096

/** Bytes of answers that a client may leave unread before it is hung up on. */
const MOST_UNREAD = 256 * 1024

/**
 * Adds the simulated instruments to a server: a WebSocket each, that carries the line protocol of docs/instruments.md.
 * They share one bench, so that the meter sees the lamp that the exposure unit lights.
 *
 * @param clock gives the present moment in milliseconds.
 * @param isOpen as for `isKnownHost`.
 * @returns a function that hangs up on all of them.
 */
export function addInstruments(
  server: Server,
  clock: () => number,
  seed: number,
  isOpen = false,
): () => void {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: LONGEST_MESSAGE })
  const bench = simulatedBench(clock())
  let opened = 0

  server.on('upgrade', (request, socket, head) => {
    // A socket that breaks off in the middle of its greeting must not take the server with it.
    socket.on('error', () => socket.destroy())
    const address = URL.canParse(request.url ?? '/', 'http://local')
      ? new URL(request.url ?? '/', 'http://local')
      : null
    const kind = PATH.exec(address?.pathname ?? '')?.[1] as InstrumentKind | undefined
    // A page of another origin may not drive the instruments of this machine.
    const origin = request.headers.origin
    const isOurs =
      origin === undefined || (URL.canParse(origin) && new URL(origin).host === request.headers.host)
    if (!kind || !INSTRUMENT_KINDS.includes(kind) || !isOurs || !isKnownHost(request.headers.host, isOpen)) {
      socket.end('HTTP/1.1 404 Not Found\r\nConnection: close\r\n\r\n')
      return
    }
    sockets.handleUpgrade(request, socket, head, (client) => {
      serve(client, virtualInstrument(kind, bench, seededRandom(seed + opened++)), clock)
    })
  })
  return () => sockets.clients.forEach((client) => client.terminate())
}

function serve(client: WebSocket, device: ReturnType<typeof virtualInstrument>, clock: () => number): void {
  const split = lineSplitter()
  let timer: NodeJS.Timeout | undefined
  let period: number | null = null

  function send(lines: readonly string[] | null): void {
    if (lines === null) client.terminate()
    // Whoever asks and never reads would have every answer kept for it.
    else if (client.bufferedAmount > MOST_UNREAD) client.terminate()
    else for (const line of lines) client.send(`${line}\n`)
  }
  /** Keeps the beat at the pace that the device was last told. */
  function keepBeat(): void {
    if (device.period() === period) return
    period = device.period()
    clearInterval(timer)
    if (period !== null) timer = setInterval(() => send(device.beat(clock())), period)
  }
  client.on('message', (data) => {
    for (const line of split(data.toString())) {
      send(device.hear(line, clock()))
      keepBeat()
    }
  })
  client.on('close', () => clearInterval(timer))
  client.on('error', () => client.terminate())
}
