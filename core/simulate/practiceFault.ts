import type { SheetConditions, VirtualProcess } from './virtualProcess'

/** Something that is wrong with a practice sheet, by the cause that a diagnosis would name. */
export interface PracticeFault {
  causeId: string
  change: Partial<SheetConditions>
  /** Of a coat that is too old: its age as a multiple of what it keeps. */
  ageOfKeeping?: number
}

/** The sheet with what is wrong with it. */
export function spoiltBy(
  conditions: SheetConditions,
  process: VirtualProcess,
  fault: PracticeFault | null,
): SheetConditions {
  if (!fault) return conditions
  const { change, ageOfKeeping } = fault
  return {
    ...conditions,
    ...change,
    ...(ageOfKeeping !== undefined && { coatAgeHours: ageOfKeeping * process.keepsHours.value }),
  }
}

/** The steps of a practice print, in order: light, baths, and the day after. */
export type PracticeStep = 'light' | 'develop' | 'clear' | 'fix' | 'dry' | 'judged'

/** The steps that a process has. */
export const stepsOf = ({ developSeconds, fix }: VirtualProcess): readonly PracticeStep[] => [
  'light',
  ...(developSeconds ? (['develop'] as const) : []),
  'clear',
  ...(fix ? (['fix'] as const) : []),
  'dry',
  'judged',
]
