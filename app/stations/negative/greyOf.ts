import { srgbFromLinear } from '@core/tone/srgb'
import { lightOf } from '@core/negative/tone'

/** A grey of some L*, as a colour of the page. */
export function greyOf(lightness: number): string {
  const level = Math.round(255 * srgbFromLinear(lightOf(Math.max(0, lightness))))
  return `rgb(${level} ${level} ${level})`
}
