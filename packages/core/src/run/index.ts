// What is used of this folder outside the core.

export { type RunEvent, RunEventSchema } from './runEvent.ts';
export { plannedSeconds, runRecords, wasReached } from './runRecords.ts';
export { clockOf, placeOf, type RunState, runState } from './runState.ts';
