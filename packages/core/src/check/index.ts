// What is used of this folder outside the core.

export type { CheckContext, Finding, Severity } from './finding.ts';
export { type Hole, holes } from './holes.ts';
export { validateMap } from './validateMap.ts';
