import { isDemo } from './whichWorkroom'
import { WorkroomDb } from './workroomDb'

export { type TraceRow } from './workroomDb'

export const db = new WorkroomDb(isDemo ? 'ember-sheet-demo' : 'ember-sheet')
