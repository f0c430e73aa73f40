// The plan of a day: twelve prints of three processes, about 150 operations.

const ROOM = { frames: 2, underOneLight: 1, sheetsInATray: 1, rinseTrays: 2, washPlaces: 6, dryingPlaces: 8 }
const NOW = Date.UTC(2026, 5, 12, 9)
const BUDGET = { first: 200, whole: 3000, replan: 1000 }

/** The session, and the same in its midst: four sheets coated and drying. */
async function sessionsOf(load) {
  const { outlineOf, startingChoices } = await load('core/process/plan.ts')
  const { emptyRun } = await load('core/run/runState.ts')
  const { processes } = await load('library/index.ts')
  const ids = ['classic-cyanotype', 'kallitype', 'gold-platinum']
  const sheets = Array.from({ length: 12 }, (_, n) => {
    const definition = processes[ids[n % 3]]
    const sheet = {
      id: String(n),
      choices: startingChoices(definition),
      coats: 1,
      lightId: n % 3 ? 'box' : 'sun',
      exposureSeconds: 300 + 60 * n,
    }
    return { sheet, definition, state: emptyRun(sheet.id), outline: outlineOf(definition, sheet, 300) }
  })
  const input = { sheets, room: ROOM, from: NOW, pins: [] }
  const late = sheets.map((one, n) => (n < 4 ? { ...one, outline: one.outline.slice(3) } : one))
  return { day: input, midst: { ...input, sheets: late } }
}

function timed(solve, problem, effort) {
  const began = performance.now()
  let first = null
  const looking = solve(problem, effort)
  for (;;) {
    const { done, value } = looking.next()
    if (!done) first ??= performance.now() - began
    else return { first: first ?? performance.now() - began, whole: performance.now() - began, found: value }
  }
}

/** @param longMinutes how long the run lasts against which the usual one is held. */
export async function benchPlan({ load }, longMinutes) {
  const { sessionOf } = await load('core/schedule/session.ts')
  const { solve, USUAL_EFFORT } = await load('core/schedule/solve.ts')
  const { day, midst } = await sessionsOf(load)
  const problem = sessionOf(day).problem
  const operations = problem.jobs.reduce((sum, job) => sum + job.length, 0)
  timed(solve, problem, { ...USUAL_EFFORT, tries: 50 })
  const usual = timed(solve, problem, USUAL_EFFORT)
  const again = timed(solve, sessionOf(midst).problem, {
    ...USUAL_EFFORT,
    tries: Math.round(USUAL_EFFORT.tries / 3),
  })
  const tries = Math.round((USUAL_EFFORT.tries * longMinutes * 60_000) / usual.whole)
  const long = usual.found.isProven ? usual : timed(solve, problem, { ...USUAL_EFFORT, tries })
  const gap = usual.found.length / long.found.length - 1
  console.log(`Plan of ${day.sheets.length} prints, ${operations} operations:`)
  console.log(`  first plan ${(usual.first / BUDGET.first).toFixed(2)} of its budget of ${BUDGET.first} ms`)
  console.log(`  best plan ${(usual.whole / BUDGET.whole).toFixed(2)} of its budget of ${BUDGET.whole} ms`)
  console.log(`  replan ${(again.whole / BUDGET.replan).toFixed(2)} of its budget of ${BUDGET.replan} ms`)
  console.log(
    usual.found.isProven
      ? '  proven best'
      : `  ${(100 * gap).toFixed(1)} % longer than a run of ${longMinutes} min finds (limit 5 %), ${(100 * (usual.found.length / usual.found.bound - 1)).toFixed(1)} % above the bound`,
  )
  return (
    usual.first <= BUDGET.first &&
    usual.whole <= BUDGET.whole &&
    again.whole <= BUDGET.replan &&
    (usual.found.isProven || gap <= 0.05)
  )
}
