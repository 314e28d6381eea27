import {
  type GuardMap,
  type Hold,
  type HoldClass,
  indexMap,
  matchesPattern,
  patternOf,
} from '@aftersquall/core/model';

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
 * The classes of holds that the map uses: the usual ones, each hold on each part of the body that several positions use,
 * and of all of these the near and the far side. Of classes that are the same holds here only the first is asked about.
 */
export function holdClassesOf(map: GuardMap): NamedHolds[] {
  const { position: positions } = indexMap(map);
  const held = [
    ...map.positions.map(({ holds, leadSide }) => ({ holds, leadSide })),
    ...map.moves.map((move) => ({
      holds: move.steps.flatMap(({ take }) => take),
      leadSide: positions.get(move.position)?.leadSide ?? 'R',
    })),
  ];
  const seen = new Set<string>();
  return [...USUAL.map(({ holds }) => holds), ...ownClasses(map)]
    .flatMap((holds): HoldClass[] => [holds, { ...holds, side: 'near' }, { ...holds, side: 'far' }])
    .filter((holds) => {
      const fitting = held.flatMap(({ holds: list, leadSide }) => {
        const pattern = patternOf(holds, leadSide);
        return list.map((hold) => Number(matchesPattern(hold, pattern)));
      });
      const key = fitting.join('');
      if (!fitting.includes(1) || seen.has(key)) return false;
      seen.add(key);
      return true;
    })
    .map((holds) => ({ name: holdClassName(holds), holds }));
}

/** Holds on a part of the body that several positions use; cloth is asked about whole. */
function ownClasses(map: GuardMap): HoldClass[] {
  const kind = ({ action, target }: Hold) => JSON.stringify({ action, part: target.part });
  const count = new Map<string, number>();
  for (const { holds } of map.positions)
    for (const key of new Set(holds.map(kind))) count.set(key, (count.get(key) ?? 0) + 1);
  const all = [...count].flatMap(([key, times]) => (times >= USED ? [JSON.parse(key) as HoldClass] : []));
  return all.filter(
    ({ part }) => !USUAL.some(({ holds }) => holds.part !== undefined && holds.part === part),
  );
}

/** "hooks on the far thigh", "near sleeve grips". */
export function holdClassName({ side, ...holds }: HoldClass): string {
  const near = side === 'near' || side === 'far' ? `${side} ` : '';
  const usual = USUAL.find((one) => same(one.holds, holds));
  if (usual) return `${near}${usual.name}`;
  const { action = 'hold', part } = holds;
  const word = action.replaceAll('-', ' ');
  const many =
    USUAL.find((one) => one.holds.action === action)?.name ??
    (/(?:ss|s|sh|ch|x)$/.test(word) ? `${word}es` : `${word}s`);
  return part ? `${many} on the ${near}${part.replaceAll('-', ' ')}` : `${near}${many}`;
}
