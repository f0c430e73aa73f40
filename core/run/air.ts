/** Relative humidity, %, below which a coat sinks in unevenly and prints weak, and above which it does not dry: common practice. */
export const DRY_AIR = 38
export const DAMP_AIR = 65

/**
 * Whether the air of the room suits coating: between 38 and 65 % relative humidity, aiming at about 50; common practice.
 *
 * @param relativeHumidity %, 0 to 100.
 */
export const airFor = (relativeHumidity: number): 'dry' | 'right' | 'damp' =>
  relativeHumidity < DRY_AIR ? 'dry' : relativeHumidity > DAMP_AIR ? 'damp' : 'right'
