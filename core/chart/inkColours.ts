/** One patch of the chart by which the ink colour is found that blocks the most ultraviolet. */
export interface InkPatch {
  /** Column and row as they are printed beside it, as in `9c`; the last row holds black and greys. */
  id: string
  /** As it is sent to the printer, sRGB of 0 to 255. */
  rgb: readonly [red: number, green: number, blue: number]
  /** Upper left corner on the chart, mm. */
  x: number
  y: number
}

/** Sizes in millimetres: narrow enough for letter and A4. */
export const INK_CHART = { width: 196, height: 76, patch: 6.5, left: 10, top: 12 } as const
const PITCH = 7.5
const HUES = 24
/** From full colour to nearly black, in HSL. */
const LIGHTNESSES = [0.5, 0.4, 0.3, 0.2, 0.1] as const

/**
 * The chart: every hue in steps of 15 degrees at five depths, and a row from black to clear film. Printers lay other inks
 * for each of them, and which of those holds the most ultraviolet back no one knows without trying.
 *
 * @returns 144 patches, row by row.
 */
export function inkPatches(): InkPatch[] {
  const rows = LIGHTNESSES.map((lightness) => (column: number) => rgbOfHsl((360 / HUES) * column, 1, lightness))
  const greys = (column: number) => rgbOfHsl(0, 0, column / (HUES - 1))
  return [...rows, greys].flatMap((colourOf, row) =>
    Array.from({ length: HUES }, (_, column) => ({
      id: `${column + 1}${'abcdef'[row]}`,
      rgb: colourOf(column),
      x: INK_CHART.left + column * PITCH,
      y: INK_CHART.top + row * PITCH,
    })),
  )
} // prettier-ignore

/**
 * A colour by hue, saturation and lightness.
 *
 * @param hue in degrees. @param saturation and @param lightness of 0 to 1.
 * @returns sRGB, whole numbers of 0 to 255.
 * @see W3C, CSS Color Module Level 4, section 7.1: HSL to sRGB
 */
export function rgbOfHsl(hue: number, saturation: number, lightness: number): [number, number, number] {
  const reach = saturation * Math.min(lightness, 1 - lightness)
  const channel = (n: number) => {
    const k = (n + hue / 30) % 12
    return Math.round(255 * (lightness - reach * Math.max(-1, Math.min(k - 3, 9 - k, 1))))
  }
  return [channel(0), channel(8), channel(4)]
}

/** A patch by its name as one reads it off the print; `null` for one that is not on the chart. */
export const patchNamed = (name: string): InkPatch | null =>
  inkPatches().find(({ id }) => id === name.trim().toLowerCase()) ?? null

/** As web pages write a colour. */
export const hexOf = (rgb: InkPatch['rgb']): string =>
  `#${rgb.map((channel) => channel.toString(16).padStart(2, '0')).join('')}`
