import type { ChartScan, ScanWarning } from '@core/scan/chartScan'

const WARNINGS: Record<ScanWarning, string> = {
  'white-clipped':
    'The whites of this scan are clipped. Turn off automatic exposure and scan darker, or photograph with less light.',
  'black-clipped': 'The blacks of this scan are clipped. Turn off automatic levels and scan again.',
  altered: 'The levels of this scan were stretched. Turn off all automatic corrections and scan again.',
  glare:
    'A reflection covers part of this picture. The app subtracted it as well as it can. Move the light, or scan instead.',
  'by-camera':
    'This picture was taken with a camera, which changes tones. Lay a step tablet beside the chart in the same picture and enter its densities.',
  uneven:
    'The light is very uneven across the sheet. The app corrected it, but a scanner or more even light gives better readings.',
  streaks:
    'The coat is uneven: some places print clearly deeper than others. The app evened it out, but a more even coat gives better readings.',
  small: 'The chart is small in this picture. A larger scan gives better readings.',
}

/** What a scan came to, in sentences. */
export function scanSentences(scan: ChartScan): string[] {
  const damaged = scan.patches.filter(({ damage }) => damage).length
  const found = `${scan.patches.length - damaged} of ${scan.patches.length} patches read, at ${scan.pixelsPerMillimetre.toFixed(1)} pixels per mm${scan.isMirrored ? ', from a mirrored picture' : ''}.`
  const tablet = scan.tablet ? [`Step tablet found beside the chart, ${scan.tablet.length} steps.`] : []
  const warnings = scan.warnings.filter((warning) => warning !== 'by-camera' || !scan.tablet)
  return [found, ...tablet, ...warnings.map((warning) => WARNINGS[warning])]
}
