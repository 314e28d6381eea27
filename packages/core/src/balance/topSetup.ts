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

/** Signs → stance preset. */
export function stanceOf(signs: Signs): StanceName {
  const stance = signOf(signs, 'top.stance');
  const lifted = (['top.legL', 'top.legR'] as const).some((leg) => signOf(signs, leg) === 'lifted');
  switch (stance) {
    case 'standing':
      if (lifted) return 'leg-lifted';
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

/**
 * What the holds and signs of a moment take from top and give. Held, trapped and wrapped hands are gone; a leg is gone
 * when it is light or lifted; a held leg that still bears weight stands where it is and cannot step.
 */
export function topSetup({ holds, signs }: Pick<Moment, 'holds' | 'signs'>): TopSetup {
  const by = blockedPosts(holds).map(({ post, by: hold }) => ({ post, hold }));
  const blocked = new Set<Contact>();
  const pinned = new Set<Contact>();
  for (const { post } of by) (post.startsWith('hand') ? blocked : pinned).add(post);
  for (const side of ['L', 'R'] as const) {
    if (signOf(signs, `top.hand${side}`) === 'trapped') blocked.add(`hand${side}`);
    const leg = signOf(signs, `top.leg${side}`);
    if (leg === 'light' || leg === 'lifted') blocked.add(`leg${side}`);
    if (leg === 'trapped') pinned.add(`foot${side}`);
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
