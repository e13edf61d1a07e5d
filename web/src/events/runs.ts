import { type TestRun } from '../api/season'

/** What a run changes, in words. */
export const changed = (run: TestRun) => run.changes.join(', ') || 'baseline'
