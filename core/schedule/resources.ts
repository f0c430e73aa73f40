import { wordsIdOf } from '../run/runState'
import type { PlannedStep } from '../schema/event'
import type { PlanRoom } from '../schema/plan'
import { trayOf } from '../process/trays'
import type { Use } from './problem'
import { type SheetToPlan } from './session'

/**
 * How long things take the hands, in seconds: common practice, where this app starts.
 * Counting a mix; laying a sheet into the frame and taking it out; from tray to tray; hanging; a look at a print.
 */
export const HANDS = {
  counting: 180,
  coating: 120,
  framing: 60,
  unframing: 30,
  moving: 20,
  hanging: 60,
  looking: 20,
}
/** A water of at least this is a wash, in which sheets are together; a shorter one is a rinse. */
const WASH_SECONDS = 600

/** What a session's sheets share, in the order in which it is shown. */
const NAMES = {
  hands: 'hands',
  frames: 'frames',
  drying: 'drying places',
  rinse: 'rinse trays',
  wash: 'the wash',
}

/** The shared things of the room, each with how many operations it takes at once, numbered as they are asked for. */
export class Resources {
  readonly list: { name: string; capacity: number }[] = [
    { name: NAMES.hands, capacity: 1 },
    { name: NAMES.frames, capacity: 1 },
    { name: NAMES.drying, capacity: 1 },
    { name: NAMES.rinse, capacity: 1 },
    { name: NAMES.wash, capacity: 1 },
  ]

  constructor(private readonly room: PlanRoom) {
    const capacities = [room.hands, room.frames, room.dryingPlaces, room.rinseTrays, room.washPlaces]
    capacities.forEach((capacity, i) => Object.assign(this.list[i]!, { capacity }))
  }

  named(name: string, capacity: number): number {
    const known = this.list.findIndex((one) => one.name === name)
    return known >= 0 ? known : this.list.push({ name, capacity }) - 1
  }

  light = ({ sheet, isSun }: SheetToPlan) =>
    this.named(`light ${sheet.lightId ?? ''}`, isSun ? this.room.frames : this.room.underOneLight)

  trayOf({ definition, sheet }: SheetToPlan, planned: PlannedStep) {
    const step = definition.steps.find((one) => one.id === wordsIdOf(planned))
    return step ? trayOf(definition, step, sheet.choices) : null
  }

  bath(one: SheetToPlan, planned: PlannedStep): number {
    const tray = this.trayOf(one, planned)
    // One solution is one tray, whichever process it was made up for.
    const held = tray?.stock.solutes.map((solute) => solute.substanceId).join('+')
    if (tray) return this.named(`tray ${tray.id} ${held}`, this.room.sheetsInATray)
    return (planned.leastSeconds ?? 0) >= WASH_SECONDS ? 4 : 3
  }
}

/** The use of a resource from the start of an operation to its end. */
export const whole = (resource: number): Use => use(resource, 'start', 0, 'end', 0)
/** The use of a resource between two moments of an operation, each an edge of it and so many seconds more. */
export const use = (
  resource: number,
  fromEdge: 'start' | 'end',
  fromPlus: number,
  toEdge: 'start' | 'end',
  toPlus: number,
): Use => ({ resource, from: { edge: fromEdge, plus: fromPlus }, to: { edge: toEdge, plus: toPlus } })
