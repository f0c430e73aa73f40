import { whichWorkroom } from './whichWorkroom'
import { WorkroomDb } from './workroomDb'

export { type TraceRow } from './workroomDb'

/** Whether this window shows the demo, which never touches one's own workroom. */
export const isDemo = whichWorkroom() === 'demo'

export const db = new WorkroomDb(isDemo ? 'ember-sheet-demo' : 'ember-sheet')
