import type { GuardMap, HoldAction, HoldPattern } from '@aftersquall/core';

export interface HoldClass {
  name: string;
  holds: HoldPattern;
}

/** The classes of holds that coaches ask about by name, on every map. */
const USUAL: readonly HoldClass[] = [
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

/** A hold on one part of the body is asked about once it is used in so many positions. */
const USED = 2;
const same = (a: HoldPattern, b: HoldPattern) => JSON.stringify(a) === JSON.stringify(b);

/** The usual classes, and the map's own: each hold on each part of the body that several positions use. */
export function holdClassesOf(map: GuardMap): HoldClass[] {
  const count = new Map<string, number>();
  for (const { holds } of map.positions)
    for (const key of new Set(holds.map(({ action, target }) => `${action} ${target.part}`)))
      count.set(key, (count.get(key) ?? 0) + 1);
  const own = [...count]
    .filter(([, times]) => times >= USED)
    .map(([key]) => key.split(' ') as [HoldAction, NonNullable<HoldPattern['part']>])
    // Cloth is asked about whole, and so is an action that knows one part only.
    .filter(([action, part]) => {
      if (USUAL.some(({ holds }) => holds.part === part)) return false;
      const parts = [...count.keys()].filter((key) => key.startsWith(`${action} `));
      return parts.length > 1 || !USUAL.some(({ holds }) => same(holds, { action }));
    })
    .map(([action, part]): HoldClass => {
      const holds = { action, part };
      return { name: holdClassName(holds), holds };
    });
  return [...USUAL, ...own];
}

/** "hooks on the thigh". */
export function holdClassName(holds: HoldPattern): string {
  const usual = USUAL.find((known) => same(known.holds, holds));
  if (usual) return usual.name;
  const { action = 'hold', part } = holds;
  const word = action.replaceAll('-', ' ');
  const many =
    USUAL.find((known) => known.holds.action === action)?.name ??
    (/(?:ss|s|sh|ch|x)$/.test(word) ? `${word}es` : `${word}s`);
  return part ? `${many} on the ${part.replaceAll('-', ' ')}` : many;
}
