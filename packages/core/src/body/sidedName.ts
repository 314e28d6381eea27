import type { Position } from '../model/position.ts';
import type { Reaction } from '../model/reaction.ts';

/** What near and far are counted from: the side of top that the position is built on. */
export type SideOf = Pick<Position, 'leadSide'>;

const NEAR_OR_FAR = /\b(near|far)\b(?! out| away| off)/g;
/** A limb that a name speaks of, with a word before it that says which: "the stepping foot". */
const LIMB =
  /\b(?:the|a) ((?:\w+(?:ing|ed)|held|bent) )?(?=(?:\w+ )?(?:hand|arm|elbow|sleeve|wrist|leg|knee|foot|hook|shin|ankle|heel|hip|shoulder)\b)/;
const SIGN_SIDE = /^top\.(?:hand|elbow|arm|knee|leg|foot)([LR])$/;

const swapped = (name: string): string =>
  name.replace(NEAR_OR_FAR, (word) => (word === 'near' ? 'far' : 'near'));

/** The side of the limb that top uses, or that is freed, in a reaction as it is written; undefined where both are alike. */
function sideUsed({ changes, topTakes, breaks }: Reaction): 'L' | 'R' | undefined {
  const signs = Object.keys(changes).map((sign) => SIGN_SIDE.exec(sign)?.[1]);
  const takes = topTakes.flatMap(({ contacts }) => contacts.map((contact) => /[LR]$/.exec(contact)?.[0]));
  const freed = breaks.map(({ side }) => (side === 'C' ? undefined : side));
  return [...signs, ...takes, ...freed].find((side) => side !== undefined) as 'L' | 'R' | undefined;
}

/** Whether a reaction happens the other way round than its names are written: for a position on top's right side. */
export const isTurned = (mirrored = false, at?: SideOf): boolean => mirrored !== (at?.leadSide === 'L');

/**
 * A name of a reaction on the side it happens on. Names are written for a position built on top's right side: "near" and
 * "far" change places where the reaction or the position is the other way round, and not where both are. Where a name
 * says neither, a mirrored one names the limb, "the far knee", or "the other knee" where no position says which.
 */
export function sidedName(name: string, reaction: Reaction, mirrored = false, at?: SideOf): string {
  if (!isTurned(mirrored, at)) return name;
  if (name.search(NEAR_OR_FAR) >= 0) return swapped(name);
  if (!mirrored) return name;
  const used = sideUsed(reaction);
  const word = !at || !used ? 'other' : used === at.leadSide ? 'far' : 'near';
  if (/\bthe other\b/.test(name)) return name.replace(/\bthe other\b/, `the ${word}`);
  if (LIMB.test(name)) return name.replace(LIMB, (_, which = '') => `the ${word} ${which}`);
  return `${name}, on the ${word} side`;
}

/** Which side something is on that leads to the mirror image of a position: "on the far side". */
export function landingSide({ leadSide }: SideOf, at?: SideOf): string {
  if (!at) return 'on the other side';
  return leadSide === at.leadSide ? 'on the far side' : 'on the near side';
}
