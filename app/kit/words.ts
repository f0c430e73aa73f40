/** Sentences of what several stations show. */
export const texts = {
  clearingHow:
    'Put a scrap of undeveloped film into the fixer and time how long it takes to become clear: once when the bath is fresh, then now and then. At twice the first time the fixer is spent (common practice).',
  clearingSaved: 'Clearing time saved.',
  clearingSays: ({
    firstSeconds,
    lastSeconds,
    isSpent,
  }: {
    firstSeconds: number
    lastSeconds: number
    isSpent: boolean
  }) =>
    isSpent
      ? `First ${Math.round(firstSeconds)} s, now ${Math.round(lastSeconds)} s: this fixer is spent. Discard it, and fix the last prints again in a fresh one.`
      : `First ${Math.round(firstSeconds)} s, now ${Math.round(lastSeconds)} s; spent at ${Math.round(2 * firstSeconds)} s.`,
  // SelectField
  noOption: 'Nothing like it here. Try another name.',
  onlyClose: 'Not found. These are close:',

  // RoomReading
  enterTemperatureAndHumidity: 'Enter temperature and humidity, for example 21 °C, 48 % or 70 F, 48 %.',
  airAdvice: (said: {
    humidity: string
    does: string
    aim: string
    isDry: boolean
    salt: string
    over: string
    time: string
  }) =>
    `${said.humidity} %, aim at about ${said.aim} %. ${said.does} ${
      said.isDry ? 'Humidify' : 'Dry'
    } the room, or lay the sheet in a closed box over a saturated solution of ${said.salt} (${said.over} %), clear of it, for ${said.time}.`,

  // RowPanel
  pressCountsFor: ({ numbers }: { numbers: string }) => `The next press counts for sheets ${numbers}.`,
  leaveOutOfPress: 'Press a number to leave that sheet out of it.',

  // useBathPanel
  insteadOf: ({ bottle, tray }: { bottle: string; tray: string }) =>
    `${bottle}, in place of ${tray.toLowerCase()}`,
  silverByDrops:
    'Stir 1 ml of the bath into a little distilled water in a dark cup. Add salt water drop by drop, let it settle in between, until a drop makes no new milk. The cup goes into the silver jar.',
  hydrometer: 'for a fresh bath; a used one reads too high',
  bathBeside: ({ made, volume, used }: { made: string; volume: string; used: string }) =>
    `Another stands beside it: filled ${made} with ${volume}, ${used}.`,
  secondBathBecomesFirstFill: 'The second bath becomes the first. Fill a fresh second bath.',
  added: ({
    name,
    added,
    poured,
    jar,
  }: {
    name: string
    added: string
    poured: string | null
    jar: string
  }) => `${name}: ${added} added${poured ? `, ${poured} poured off first into waste jar: ${jar}` : ''}.`,
}
