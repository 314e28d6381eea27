import type { Moment } from '../body/followSteps.ts';
import type { Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';
import { type Signs, signOf } from '../model/signs.ts';
import { blockedPosts } from './blockedPosts.ts';
import type { Point } from './convexHull.ts';
import type { StanceName } from './stances.ts';
import type { Post } from './tippingProfile.ts';

/** What a moment of the map means for balance. */
export interface TopSetup {
  stance: StanceName;
  blocked: Post[];
  pinned: Contact[];
  added: Post[];
  shift: Point;
  spread: number;
  /** Which hold of bottom takes which post away. */
  by: { post: Contact; hold: Hold }[];
}

const isOffTheMat = (signs: Signs, side: 'L' | 'R'): boolean => {
  const leg = signOf(signs, `top.leg${side}`);
  return leg === 'light' || leg === 'lifted';
};

/** Signs → stance preset. */
export function stanceOf(signs: Signs): StanceName {
  const stance = signOf(signs, 'top.stance');
  const carried = (['L', 'R'] as const).filter((side) => isOffTheMat(signs, side));
  switch (stance) {
    case 'standing':
      // The weight is on the other leg then, and stands over it.
      if (carried.length === 1) return carried[0] === 'R' ? 'leg-lifted' : 'left-leg-lifted';
      return signOf(signs, 'top.posture') === 'upright' && signs['top.posture'] ? 'upright' : 'standing';
    case 'kneeling':
      if (signOf(signs, 'top.weight') === 'back') return 'kneeling-sat-back';
      return signOf(signs, 'top.posture') === 'upright' ? 'kneeling-upright' : 'kneeling';
    case 'all-fours':
      return signOf(signs, 'top.weight') === 'forward' && signOf(signs, 'top.posture') === 'leaning'
        ? 'tripod'
        : 'all-fours';
    default:
      return stance as StanceName;
  }
}

const KNEELING: readonly string[] = ['kneeling', 'half-kneeling', 'all-fours'];

/** Signs → how far the centre of mass moves, in metres: to the right, to the front. */
function shiftOf(signs: Signs): Point {
  const forward = { centred: 0, forward: 0.1, back: -0.08 }[signOf(signs, 'top.weight') as 'centred'];
  const right = { even: 0, left: -0.07, right: 0.07 }[signOf(signs, 'top.lean') as 'even'];
  return [right, forward];
}

/** Signs → posts that stand because of them: posted hands, a head on the mat. */
function addedPosts(signs: Signs): Post[] {
  const hands = (['handL', 'handR'] as const).filter((hand) => signOf(signs, `top.${hand}`) === 'posted');
  return [
    ...hands.map((contact): Post => ({ contact })),
    ...(signOf(signs, 'top.head') === 'posted' ? [{ contact: 'head' as const }] : []),
  ];
}

/** Whether bottom's hips drive up into top's belt: a bump. */
const bumps = ({ contacts, action, target }: Hold): boolean =>
  contacts.includes('hips') &&
  action === 'press' &&
  target.of === 'top' &&
  (target.part === 'waist' || target.part === 'hip' || target.part === 'chest');

/**
 * What the holds and signs of a moment take from top and give. Held, trapped and wrapped hands are gone; a leg is gone
 * when it is light or lifted; a held leg that still bears weight stands where it is and cannot step. Who kneels loses a
 * knee that a leg of bottom chops; a bump takes the seat off the heels, and the shin off the mat on the side whose arm
 * is held, so that top goes back over that side (common practice, no published source).
 */
export function topSetup({ holds, signs }: Pick<Moment, 'holds' | 'signs'>): TopSetup {
  const by = blockedPosts(holds).map(({ post, by: hold }) => ({ post, hold }));
  const blocked = new Set<Contact>();
  const pinned = new Set<Contact>();
  const kneels = KNEELING.includes(signOf(signs, 'top.stance'));
  for (const { post } of by) {
    if (post.startsWith('hand')) blocked.add(post);
    else if (post.startsWith('foot')) pinned.add(post);
    else if (kneels) blocked.add(post);
    else pinned.add(post.endsWith('L') ? 'footL' : 'footR');
  }
  for (const side of ['L', 'R'] as const) {
    if (signOf(signs, `top.hand${side}`) === 'trapped') blocked.add(`hand${side}`);
    if (isOffTheMat(signs, side)) blocked.add(`leg${side}`);
    if (signOf(signs, `top.leg${side}`) === 'trapped') pinned.add(`foot${side}`);
  }
  if (kneels && holds.some(bumps)) {
    blocked.add('hips');
    for (const side of ['L', 'R'] as const) if (blocked.has(`hand${side}`)) blocked.add(`foot${side}`);
  }
  if (signOf(signs, 'top.head') === 'pinned') blocked.add('head');
  const spread = { normal: 0, wide: 0.12, narrow: -0.05 }[signOf(signs, 'top.base') as 'normal'];
  return {
    stance: stanceOf(signs),
    blocked: [...blocked].map((contact) => ({ contact })),
    pinned: [...pinned],
    added: addedPosts(signs),
    shift: shiftOf(signs),
    spread,
    by,
  };
}
