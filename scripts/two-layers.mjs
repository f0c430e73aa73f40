// A drawn scan of a sheet of 8 x 10 in that carries the crosses of two films, for screenshots and browser tests.
import sharp from 'sharp'

const INCH = 300 / 25.4
const BORDER = 10
const ARM = BORDER / 2 - 1
const [WIDTH, HEIGHT] = [203.2 + 2 * BORDER, 254 + 2 * BORDER]

const cross = ([x, y]) =>
  `<path d="M${x - ARM} ${y}h${2 * ARM}M${x} ${y - ARM}v${2 * ARM}" stroke="#234" stroke-width="0.3"/>`
const sides = (step) => [
  [WIDTH / 2 + step, BORDER / 2],
  [WIDTH - BORDER / 2, HEIGHT / 2 + step],
  [WIDTH / 2 + step, HEIGHT - BORDER / 2],
  [BORDER / 2, HEIGHT / 2 + step],
]
const corners = [BORDER / 2, WIDTH - BORDER / 2].flatMap((x) =>
  [BORDER / 2, HEIGHT - BORDER / 2].map((y) => [x, y]),
)

/**
 * @param {number} right how far the upper film lay to the right, mm.
 * @param {number} down how far it lay down, mm.
 * @returns {Promise<Buffer>} a PNG of 300 to the inch.
 */
export function scanOfTwoLayers(right = 0.8, down = -0.5) {
  const upper = sides(2 * ARM + 3).map(([x, y]) => cross([x + right, y + down]))
  const marks = [...corners, ...sides(0)].map(cross)
  const [w, h] = [WIDTH + 20, HEIGHT + 20]
  const picture =
    '<path d="M30 210q40 -90 80 -60t90 -70v140h-170z" fill="#2a2530"/><circle cx="70" cy="80" r="22" fill="#d9cfc4"/>'
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.round(w * INCH)}" height="${Math.round(h * INCH)}" viewBox="-10 -10 ${w} ${h}"><rect x="-10" y="-10" width="${w}" height="${h}" fill="#eee8dc"/><rect x="${BORDER}" y="${BORDER}" width="${WIDTH - 2 * BORDER}" height="${HEIGHT - 2 * BORDER}" fill="#6d6068"/>${picture}${marks.join('')}${upper.join('')}</svg>`
  return sharp(Buffer.from(svg)).png().toBuffer()
}
