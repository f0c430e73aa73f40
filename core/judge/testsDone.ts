import type { Sheet } from '../schema/records'

/**
 * Tests of the fault book that a sheet was already made by, so that none of them is proposed again.
 *
 * @returns ids of tests.
 */
export function testsDone(sheet: Pick<Sheet, 'tool' | 'coats' | 'choices'>): string[] {
  return [
    ...(sheet.tool === 'rod' ? ['by-rod'] : []),
    ...(sheet.coats > 1 ? ['more-silver', 'more-coat'] : []),
    // Under leaves there is neither a film to press nor a frame to turn.
    ...(sheet.choices.subject === 'photogram' ? ['pressed', 'turned'] : []),
  ]
}
