import { type GuardMap, type Hold, type HoldClass, matchesPattern, patternOf } from '@aftersquall/core';

export interface NamedHolds {
  name: string;
  holds: HoldClass;
}

/** The classes of holds that coaches ask about by name, on every map. */
const USUAL: readonly NamedHolds[] = [
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
const same = (a: HoldClass, b: HoldClass) => JSON.stringify(a) === JSON.stringify(b);

/**
 * The usual classes, and the map's own: each hold on each part of the body that several positions use; of a class that
 * is used on the near and on the far side, each side too.
 */
export function holdClassesOf(map: GuardMap): NamedHolds[] {
  const used = (holds: HoldClass) =>
    map.positions.filter(({ holds: held, leadSide }) =>
      held.some((hold) => matchesPattern(hold, patternOf(holds, leadSide))),
    ).length;
  return [...USUAL.map(({ holds }) => holds), ...ownClasses(map)]
    .flatMap((holds) => {
      const sides = (['near', 'far'] as const).map((side): HoldClass => ({ ...holds, side }));
      return [holds, ...(sides.every((side) => used(side) > 0) ? sides : [])];
    })
    .map((holds) => ({ name: holdClassName(holds), holds }));
}

/** Holds on a part of the body that several positions use and no usual class names. */
function ownClasses(map: GuardMap): HoldClass[] {
  const kind = ({ action, target }: Hold) => JSON.stringify({ action, part: target.part });
  const count = new Map<string, number>();
  for (const { holds } of map.positions)
    for (const key of new Set(holds.map(kind))) count.set(key, (count.get(key) ?? 0) + 1);
  const all = [...count.keys()].map((key) => JSON.parse(key) as HoldClass);
  return all.filter((holds) => {
    if (count.get(JSON.stringify(holds))! < USED) return false;
    // Cloth is asked about whole, and so is an action that knows one part only.
    if (USUAL.some(({ holds: { part } }) => part !== undefined && part === holds.part)) return false;
    const parts = all.filter(({ action }) => action === holds.action).length;
    return parts > 1 || !USUAL.some(({ holds: usual }) => usual.action === holds.action);
  });
}

/** "hooks on the far thigh", "near sleeve grips". */
export function holdClassName({ side, ...holds }: HoldClass): string {
  const near = side === 'near' || side === 'far' ? `${side} ` : '';
  const usual = USUAL.find((known) => same(known.holds, holds));
  if (usual) return `${near}${usual.name}`;
  const { action = 'hold', part } = holds;
  const word = action.replaceAll('-', ' ');
  const many =
    USUAL.find((known) => known.holds.action === action)?.name ??
    (/(?:ss|s|sh|ch|x)$/.test(word) ? `${word}es` : `${word}s`);
  return part ? `${many} on the ${near}${part.replaceAll('-', ' ')}` : `${near}${many}`;
}
