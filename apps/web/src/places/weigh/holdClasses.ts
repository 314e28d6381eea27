import type { HoldPattern } from '@aftersquall/core';

/** The classes of holds that are asked about by name. */
export const HOLD_CLASSES: { name: string; holds: HoldPattern }[] = [
  { name: 'collar grips', holds: { part: 'collar' } },
  { name: 'sleeve grips', holds: { part: 'sleeve' } },
  { name: 'underhooks', holds: { action: 'underhook' } },
  { name: 'overhooks', holds: { action: 'overhook' } },
  { name: 'hooks', holds: { action: 'hook' } },
  { name: 'feet placed', holds: { action: 'place' } },
  { name: 'shields', holds: { action: 'shield' } },
  { name: 'frames', holds: { action: 'frame' } },
  { name: 'clamps', holds: { action: 'clamp' } },
  { name: 'wraps', holds: { action: 'wrap' } },
];
