import type { Moment } from '../body/followSteps.ts';
import { mirror } from '../body/mirror.ts';
import { translateHold } from '../body/translateApparel.ts';
import { holdWords, signWords, wordContext } from '../body/words.ts';
import type { Hold } from '../model/hold.ts';
import { joins, sameHold } from '../model/holdPattern.ts';
import type { GuardMap } from '../model/map.ts';
import type { Position } from '../model/position.ts';
import { defaultSign, type Facet, type Signs, signOf } from '../model/signs.ts';

export interface Nearest {
  position: Position;
  /** The position is on the other side than it is written. */
  mirrored: boolean;
  /** In [0, 1]; 1 where nothing differs. */
  similarity: number;
  /** What the position rests on (its holds marked `keep`) and is not there: it is away then, not where one is. */
  lacking: Hold[];
}

/** A difference between a moment and a position, in words. */
export interface Difference {
  what: 'missing' | 'extra' | 'sign';
  words: string;
}

/** What holds count against signs: who holds whom says more about where one is. */
const HOLDS_COUNT = 2 / 3;
const OTHER_DEPTH = 0.8;
const OTHER_APPAREL = 0.6;

/** How alike two holds are: exactly 1, at another depth 0.8, the same in the other apparel 0.6, else 0. */
export function holdLikeness(a: Hold, b: Hold): number {
  if (sameHold(a, b)) return (a.depth ?? 'set') === (b.depth ?? 'set') ? 1 : OTHER_DEPTH;
  const [bareA, bareB] = [translateHold(a).hold, translateHold(b).hold];
  const translated =
    (bareA && bareA !== a && sameHold(bareA, b)) || (bareB && bareB !== b && sameHold(a, bareB));
  return translated ? OTHER_APPAREL : 0;
}

/** The weighted Jaccard index of two sets of holds; two empty sets are equal. */
function holdsAlike(a: readonly Hold[], b: readonly Hold[]): { shared: number; pairs: number } {
  const left = [...b];
  let shared = 0;
  let pairs = 0;
  for (const hold of a) {
    let best = -1;
    let most = 0;
    for (const [i, other] of left.entries()) {
      if (other.target.part !== hold.target.part && other.action !== hold.action) continue;
      const likeness = holdLikeness(hold, other);
      if (likeness > most) [best, most] = [i, likeness];
    }
    if (best < 0) continue;
    left.splice(best, 1);
    shared += most;
    pairs++;
  }
  return { shared, pairs };
}

const said = (signs: Signs): [Facet, string][] =>
  (Object.entries(signs) as [Facet, string][]).filter(([facet, value]) => value !== defaultSign(facet));

/**
 * How alike two moments are, in [0, 1]: the weighted Jaccard index of the holds of both players (two thirds), and that
 * of the signs that differ from their defaults (one third). Two empty sets are equal.
 */
export function momentSimilarity(a: Moment, b: Moment): number {
  const own = holdsAlike(a.holds, b.holds);
  const top = holdsAlike(a.topHolds, b.topHolds);
  const count = a.holds.length + b.holds.length + a.topHolds.length + b.topHolds.length;
  const union = count - own.pairs - top.pairs;
  const holds = union === 0 ? 1 : (own.shared + top.shared) / union;
  const [signsA, signsB] = [said(a.signs), said(b.signs)];
  const both = signsA.filter(([facet, value]) => b.signs[facet] === value).length;
  const all = signsA.length + signsB.length - both;
  return HOLDS_COUNT * holds + (1 - HOLDS_COUNT) * (all === 0 ? 1 : both / all);
}

const turned = new WeakMap<Position, Position>();
const otherSide = (position: Position): Position => {
  const known = turned.get(position) ?? mirror('position', position);
  turned.set(position, known);
  return known;
};

/** The holds that a position rests on and that a moment has not, at whatever depth, in whatever apparel. */
export const lackingHolds = (moment: Moment, { holds }: Pick<Position, 'holds'>): Hold[] =>
  holds.filter(
    (hold) => hold.keep && !moment.holds.some((other) => joins(other, hold) || holdLikeness(hold, other) > 0),
  );

/** A position this much less like a moment than the likest one does not stand before it for lacking nothing. */
const CLOSE = 0.25;

/**
 * The positions of a map most like a moment, on either side. Of those about as like as the likest one, the ones that
 * lack nothing they rest on come first; ties by id, the written side first.
 */
export function nearestPositions(map: GuardMap, moment: Moment, count = 5): Nearest[] {
  const nearest = map.positions.flatMap((position): Nearest[] =>
    [false, true].map((mirrored) => {
      const here = mirrored ? otherSide(position) : position;
      return {
        position,
        mirrored,
        similarity: momentSimilarity(moment, here),
        lacking: lackingHolds(moment, here),
      };
    }),
  );
  const least = Math.max(0, ...nearest.map(({ similarity }) => similarity)) - CLOSE;
  const away = ({ lacking, similarity }: Nearest) => lacking.length > 0 || similarity < least;
  return nearest
    .sort(
      (a, b) =>
        Number(away(a)) - Number(away(b)) ||
        b.similarity - a.similarity ||
        Number(a.mirrored) - Number(b.mirrored) ||
        (a.position.id < b.position.id ? -1 : 1),
    )
    .slice(0, count);
}

/** What a position has and the moment has not, what the moment has besides, and which signs are others. */
export function differences(
  moment: Moment,
  { position, mirrored }: Pick<Nearest, 'position' | 'mirrored'>,
): Difference[] {
  const here = mirrored ? otherSide(position) : position;
  const context = wordContext(here);
  const list = (
    by: 'own' | 'top',
    what: 'missing' | 'extra',
    from: readonly Hold[],
    against: readonly Hold[],
  ) =>
    from
      .filter((hold) => !against.some((other) => holdLikeness(hold, other) > 0))
      .map(
        (hold): Difference => ({
          what,
          words: `${by === 'top' ? 'top: ' : ''}${holdWords(hold, context, by)}`,
        }),
      );
  const facets = new Set([...said(here.signs), ...said(moment.signs)].map(([facet]) => facet));
  return [
    ...list('own', 'missing', here.holds, moment.holds),
    ...list('top', 'missing', here.topHolds, moment.topHolds),
    ...list('own', 'extra', moment.holds, here.holds),
    ...list('top', 'extra', moment.topHolds, here.topHolds),
    ...[...facets]
      .filter((facet) => signOf(here.signs, facet) !== signOf(moment.signs, facet))
      .map(
        (facet): Difference => ({
          what: 'sign',
          words: `${signWords(facet, signOf(moment.signs, facet))}, not ${signOf(here.signs, facet).replaceAll('-', ' ')}`,
        }),
      ),
  ];
}

/** The position itself on the side of a find. */
export const sidedNearest = ({ position, mirrored }: Pick<Nearest, 'position' | 'mirrored'>): Position =>
  mirrored ? otherSide(position) : position;
