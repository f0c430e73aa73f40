import { CoreError } from '../errors'
import { withWashRoles } from '../process/processFile'
import { RECORD_VERSION } from '../schema/records'

/** Takes the records of one version, as parsed JSON, to the next. It may not look at the clock or invent identities. */
export type Migration = (records: unknown) => unknown

/** Migration at place n takes version n + 1 to n + 2. */
export const MIGRATIONS: readonly Migration[] = [
  shelfAndPaper,
  lightAndDose,
  bathsAndPlans,
  judgement,
  logsOfTheirOwn,
  wasteKeepsItsContents,
  unreadableIsSetAside,
  washesSayTheirRole,
  logsAreCorrected,
  bathsAreFiltered,
  plansCountHands,
  testsAndAir,
  watersAndPeaks,
  curvesFromElsewhere,
]

type Row = Record<string, unknown>

/** Version 1 knew one process, classic cyanotype, whose bottles were named by their part in it. */
const CONTENTS_OF_1: Readonly<Record<string, { substanceId: string; name: string }>> = {
  iron: { substanceId: 'ferric-ammonium-citrate', name: 'Iron citrate' },
  ferricyanide: { substanceId: 'potassium-ferricyanide', name: 'Ferricyanide' },
}

/** Version 2: bottles say what they hold; ratios are kept by mix; paper, takings, waste and own processes are kept. */
function shelfAndPaper(records: unknown): unknown {
  const old = records as Record<string, Row[]>
  return {
    ...old,
    sheets: rows(old.sheets).map((sheet) => ({
      ...sheet,
      tool: 'brush',
      parts: { sensitizer: sheet.parts },
    })),
    bottles: rows(old.bottles).map(({ component, percentWv, ...rest }) => {
      const known = CONTENTS_OF_1[String(component)]
      return {
        ...rest,
        name: known?.name ?? String(component),
        kind: 'solution',
        contents: known ? [{ substanceId: known.substanceId, percent: percentWv }] : [],
      }
    }),
    pieces: [],
    paperRuns: [],
    takings: [],
    wastes: [],
    ownProcesses: [],
    droppers: [],
  }
}

/** Version 3: lights have ledgers; base exposures, step tablets, charts and negatives are kept; nothing that was there changes. */
function lightAndDose(records: unknown): unknown {
  return {
    ...(records as Row),
    lightEntries: [],
    bases: [],
    tablets: [],
    tabletPrints: [],
    calibrations: [],
    negatives: [],
  }
}

/** Version 4: baths, register checks and plans are kept; a sheet may be over another; nothing that was there changes. */
function bathsAndPlans(records: unknown): unknown {
  return { ...(records as Row), baths: [], registerChecks: [], plans: [] }
}

/** Version 5: prints are measured, diagnosed, numbered and repeated; nothing that was there changes. */
function judgement(records: unknown): unknown {
  return { ...(records as Row), diagnoses: [] }
}

/** Version 6: events are in logs of their own and no longer among the records; an archive's reader takes them from there. */
function logsOfTheirOwn(records: unknown): unknown {
  return records
}

/**
 * Version 7: waste says what it holds, as far as a bottle or a tray that was poured away tells. It stays in the jar that
 * it was poured into. Cautions may carry first aid.
 */
function wasteKeepsItsContents(records: unknown): unknown {
  const old = records as Record<string, Row[]>
  const sources = [...rows(old.bottles), ...rows(old.baths)]
  return {
    ...old,
    wastes: rows(old.wastes).map((waste) => {
      const source =
        sources.find((one) => waste.bottleId !== undefined && one.id === waste.bottleId) ??
        rows(old.baths).find(
          (bath) => bath.name === waste.what && (bath.ended as Row | undefined)?.at === waste.at,
        )
      const contents = rows(source?.contents).map(({ substanceId, percent }) => ({ substanceId, percent }))
      return contents.length ? { ...waste, contents } : waste
    }),
  }
}

/** Version 8: what cannot be read is set aside instead of being refused; nothing that was there changes. */
function unreadableIsSetAside(records: unknown): unknown {
  return { ...(records as Row), setAside: [] }
}

/** Version 9: a wash says that it is one; before, it was known by the name of its step. */
function washesSayTheirRole(records: unknown): unknown {
  const old = records as Record<string, Row[]>
  return {
    ...old,
    ownProcesses: rows(old.ownProcesses).map((own) => ({
      ...own,
      definition: withWashRoles(own.definition),
    })),
  }
}

/** Version 10: logs may hold corrections, late entries and redone entries; nothing that was there changes. */
function logsAreCorrected(records: unknown): unknown {
  return records
}

/** Version 11: a bath says when it was filtered; nothing is known of those before. */
function bathsAreFiltered(records: unknown): unknown {
  const old = records as Row
  return { ...old, baths: rows(old.baths).map((bath) => ({ ...bath, filtered: [] })) }
}

/**
 * Version 12: a plan says how many pairs of hands there are, of which there was one. Logs may hold steps that were left out,
 * and sheets that came in half-way.
 */
function plansCountHands(records: unknown): unknown {
  const old = records as Row
  return {
    ...old,
    plans: rows(old.plans).map((plan) => ({ ...plan, room: { hands: 1, ...(plan.room as Row) } })),
  }
}

/** Version 13: logs may hold tests of permanence, and processes their air; nothing that was there changes. */
function testsAndAir(records: unknown): unknown {
  return records
}

/** Version 14: papers may have been tested with water, fixers with a strip, and lamps say their peak; nothing changes. */
function watersAndPeaks(records: unknown): unknown {
  return records
}

/** Version 15: calibrations may come from a curve made elsewhere, and say how far their scan may be off; nothing changes. */
function curvesFromElsewhere(records: unknown): unknown {
  return records
}

/** What is not a list is left for the schema to refuse. */
const rows = (list: unknown): Row[] => (Array.isArray(list) ? (list as Row[]) : [])

/**
 * Takes records of any earlier version up to the current one.
 *
 * @param records parsed JSON, not yet checked.
 * @param version the version they were written in.
 * @param migrations and `current` are arguments so that the path can be tested before there is a second version.
 * @throws CoreError `newer-version` or `unknown-version`.
 */
export function migrate(
  records: unknown,
  version: number,
  migrations: readonly Migration[] = MIGRATIONS,
  current: number = RECORD_VERSION,
): unknown {
  checkVersion(version, current)
  return migrations.slice(version - 1, current - 1).reduce((older, step) => step(older), records)
}

/**
 * Refuses records of a version that cannot be read here.
 *
 * @throws CoreError `newer-version` or `unknown-version`.
 */
export function checkVersion(version: number, current: number = RECORD_VERSION): void {
  if (version > current)
    throw new CoreError({
      code: 'newer-version',
      field: 'version',
      problem: `This archive was written by a newer Ember Sheet (records version ${version}; this app reads up to ${current}).`,
      remedy: 'Update Ember Sheet, then try again.',
    })
  if (!Number.isInteger(version) || version < 1)
    throw new CoreError({
      code: 'unknown-version',
      field: 'version',
      problem: `“${version}” is not a valid record version.`,
      remedy: 'Choose an archive written by Ember Sheet.',
    })
}
