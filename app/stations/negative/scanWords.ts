import type { ChartScan, ScanWarning } from '@core/scan/chartScan'

const WARNINGS: Record<ScanWarning, string> = {
  'white-clipped':
    'The whites of this scan are clipped. Turn off automatic exposure and scan darker, or photograph with less light.',
  'black-clipped': 'The blacks of this scan are clipped. Turn off automatic levels and scan again.',
  altered: 'The levels of this scan were stretched. Turn off all automatic corrections and scan again.',
  uneven:
    'The light is very uneven across the sheet. The app corrected it, but a scanner or more even light gives better readings.',
  small: 'The chart is small in this picture. A larger scan gives better readings.',
}

/** What a scan came to, in sentences. */
export function scanSentences(scan: ChartScan): string[] {
  const damaged = scan.patches.filter(({ damage }) => damage).length
  const found = `${scan.patches.length - damaged} of ${scan.patches.length} patches read, at ${scan.pixelsPerMillimetre.toFixed(1)} pixels per mm${scan.isMirrored ? ', from a mirrored picture' : ''}.`
  return [found, ...scan.warnings.map((warning) => WARNINGS[warning])]
}
