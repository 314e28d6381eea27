// What is used of this folder outside the core.

export { legality } from './legality.ts';
export { loadedJoints, loadsAny, type MoveRole } from './loadedJoints.ts';
export { SHIPPED_PROFILES } from './shippedProfiles.ts';
