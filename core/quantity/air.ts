import { CoreError } from '../errors'
import { plainText } from './number'
import { parseQuantity } from './parse'

/**
 * Reads the air of a room: `21 C, 48 %`, `21,5; 48`, `70 F / 45 %`. A comma only parts the two where a space follows it.
 *
 * @param bareUnit unit of a temperature without one, `degC` or `degF`.
 * @throws CoreError `unreadable`, or as `parseQuantity` for either half.
 */
export function parseAir(text: string, bareUnit: string): { celsius: number; relativeHumidity: number } {
  const plain = plainText(text).trim()
  const found = /^(.*?\S)\s*(?:[;/]|,(?=\s)|\s)\s*([\d.,]+\s*(?:%\s*(?:rh)?|rh|per ?cent)?)$/i.exec(plain)
  if (!found)
    throw new CoreError({
      code: 'unreadable',
      field: 'room',
      problem: `“${plain}” is not a temperature and a humidity.`,
      remedy: 'Enter both, for example 21 C, 48 %.',
      part: plain,
    })
  return {
    celsius: parseQuantity(found[1] ?? '', 'temperature', { field: 'temperature', bareUnit }),
    relativeHumidity: parseQuantity(found[2] ?? '', 'humidity', { field: 'humidity', bareUnit: 'rh' }),
  }
}
