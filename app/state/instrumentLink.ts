import { lineSplitter } from '@core/instrument/protocol'

/** A line to an instrument, whatever carries it. */
export interface InstrumentLink {
  send(line: string): void
  close(): void
}

/** What the other side of a link is told. */
export interface LinkEvents {
  opened: () => void
  line: (line: string) => void
  closed: () => void
}

/** Opens a line to one of the server's stand-ins. */
export function socketLink(kind: string, { opened, line, closed }: LinkEvents): InstrumentLink {
  const scheme = location.protocol === 'https:' ? 'wss' : 'ws'
  const socket = new WebSocket(`${scheme}://${location.host}/instruments/${kind}`)
  const split = lineSplitter()
  socket.addEventListener('open', opened)
  socket.addEventListener('message', (message) => split(String(message.data)).forEach(line))
  socket.addEventListener('close', closed)
  return {
    send: (text) => socket.readyState === WebSocket.OPEN && socket.send(`${text}\n`),
    close: () => socket.close(),
  }
}

/** What this app needs of Web Serial, which few browsers have. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null
  readonly writable: WritableStream<Uint8Array> | null
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
}

const serial = (navigator as Navigator & { serial?: { requestPort(): Promise<SerialPort> } }).serial

/** Whether a device of one's own can be plugged in here. */
export const hasSerial = serial !== undefined

/**
 * Opens a line to a device on a serial port that the user picks; it speaks the same protocol. It is open at once.
 *
 * @throws what the browser throws when no port was picked or it cannot be opened.
 */
export async function serialLink({ line, closed }: Omit<LinkEvents, 'opened'>): Promise<InstrumentLink> {
  if (!serial) throw new Error('this browser cannot use serial ports')
  const port = await serial.requestPort()
  await port.open({ baudRate: 9600 })
  const reader = port.readable?.getReader()
  const writer = port.writable?.getWriter()
  const split = lineSplitter()
  const decoder = new TextDecoder('ascii')
  const read = async (): Promise<void> => {
    for (;;) {
      const { value, done } = (await reader?.read()) ?? { value: undefined, done: true }
      if (done) return
      if (value) split(decoder.decode(value, { stream: true })).forEach(line)
    }
  }
  void read()
    .catch(() => undefined)
    .finally(closed)
  return {
    send: (text) => void writer?.write(new TextEncoder().encode(`${text}\n`)).catch(closed),
    close: () => void reader?.cancel().then(() => port.close(), closed),
  }
}
