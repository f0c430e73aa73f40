import type { Operation, OperationAt, Problem } from './problem'
import { type SheetToPlan, type StepAt } from './session'

export interface Link {
  step: StepAt
  operation: Operation
}

/** Sheets from one glass wait for its count; a layer waits until what is under it hangs dry. */
export function linksBetween(
  sheets: readonly SheetToPlan[],
  steps: readonly (readonly StepAt[])[],
): Problem['after'] {
  const links: { first: OperationAt; then: OperationAt; leastSeconds: number }[] = []
  for (const [j, { sheet, state }] of sheets.entries()) {
    if (!steps[j]!.length || state.begunAt !== null) continue
    if (sheet.batch && sheet.batch.place > 1) {
      const glass = sheets.findIndex(
        (one) => one.sheet.batch?.id === sheet.batch?.id && one.sheet.batch?.place === 1,
      )
      const place = glass < 0 ? -1 : steps[glass]!.findIndex((step) => step.kind === 'count')
      if (place >= 0)
        links.push({ first: { job: glass, place }, then: { job: j, place: 0 }, leastSeconds: 0 })
    }
    const under = sheet.over ? sheets.findIndex((one) => one.sheet.id === sheet.over) : -1
    const place = under < 0 ? -1 : steps[under]!.findIndex((step) => step.kind === 'hang')
    if (place >= 0)
      links.push({
        first: { job: under, place },
        then: { job: j, place: 0 },
        leastSeconds: dryingOf(sheets[under]!),
      })
  }
  return links
}

const DRY_PRINT_SECONDS = 3600

function dryingOf({ state, outline }: SheetToPlan): number {
  const steps = state.begunAt === null ? outline : state.steps.map((step) => step.planned)
  return steps.find((step) => step.kind === 'hang')?.leastSeconds ?? DRY_PRINT_SECONDS
}
