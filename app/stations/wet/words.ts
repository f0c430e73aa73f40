/** Sentences of the wet side, page by page. */
export const texts = {
  measureDeveloper:
    'Its temperature was not measured. A colder or hotter developer changes colour and speed: measure it below its tray.',
  developerDiffers: ({ before, now }: { before: number; now: number }) =>
    `${now} °C, and the one before it ${before} °C: expect another colour and speed.`,
  tonerDose: ({ name, least, most, volume }: { name: string; least: string; most: string; volume: string }) =>
    `This picture takes up ${least} to ${most} mg of ${name}, by how dark it is (from memory): at least ${volume} of this toner for it, more where others were toned before.`,
  // WetStation
  printAppearsHereWhenIts:
    'A print appears here when its exposure is finished. Each tray has a clock; you decide by eye when to move on.',
  hungDryYouCanLook: 'Hung to dry. You can look at it wet, but judge it dry.',
  rockTray: ({ wait }: { wait: string }) => `Rock the tray or turn the print in ${wait}.`,

  // useWetNotes
  printsInTray: ({ names, prints }: { names: string; prints: number }) =>
    `${names} ${prints === 1 ? 'is' : 'are'} in it. Wait until the tray is free, or add this print so that they do not overlap.`,
  pressLineBelowTrayFill: 'Press the line below the tray to fill it, so that prints can be counted.',
  anotherStrength: ({ held, planned }: { held: string; planned: string }) =>
    `The tray holds ${held}; the process uses ${planned}. Its times and capacity are for ${planned}.`,
}
