import type { ChartScan, ScanWarning } from '@core/scan/chartScan'

const WARNINGS: Record<ScanWarning, string> = {
  'white-clipped':
    'The whites of this scan are cut off. Scan it darker: turn automatic exposure off, or photograph with less light.',
  'black-clipped': 'The blacks of this scan are cut off. Turn automatic levels off and scan it again.',
  altered:
    'Levels of this scan were pulled apart after it was taken. Turn every automatic correction off and scan it again.',
  uneven:
    'The light falls off strongly across the sheet. It was taken out, but a scanner or a more even light reads better.',
  small: 'The chart is small in this picture; a larger scan reads better.',
}

/** What a scan came to, in sentences. */
export function scanSentences(scan: ChartScan): string[] {
  const damaged = scan.patches.filter(({ damage }) => damage).length
  const found = `${scan.patches.length - damaged} of ${scan.patches.length} patches read, at ${scan.pixelsPerMillimetre.toFixed(1)} pixels to the millimetre${scan.isMirrored ? ', from a mirrored picture' : ''}.`
  return [found, ...scan.warnings.map((warning) => WARNINGS[warning])]
}
