import {
  type Build,
  momentOfSweep,
  type Point,
  type Post,
  type StanceName,
  type TippingProfile,
  tippingProfile,
  topSetup,
  USUAL_BUILD,
} from '@aftersquall/core/balance';
import { sided } from '@aftersquall/core/body';
import { type Contact, type GuardMap, indexMap, type Move, type ReactionRef } from '@aftersquall/core/model';

/** What becomes of one of top's posts: as the stance has it, taken away, put down, or stuck where it stands. */
export type PostState = 'free' | 'blocked' | 'added' | 'pinned';
export const POSTS: readonly Contact[] = ['handL', 'handR', 'footL', 'footR', 'legL', 'legR', 'head'];
export type PushAt = 'belt' | 'shoulders' | 'knees';

/** Everything that can be set on the mat. */
export interface BalanceState {
  stance: StanceName;
  build: Build;
  stature: number;
  mass: number;
  posts: Partial<Record<Contact, PostState>>;
  shift: Point;
  spread: number;
  /** The direction looked at. */
  degrees: number;
  pushAt: PushAt;
}

export const STARTING: BalanceState = {
  stance: 'kneeling',
  build: 'average',
  stature: USUAL_BUILD.stature,
  mass: USUAL_BUILD.mass,
  posts: {},
  shift: [0, 0],
  spread: 0,
  degrees: 60,
  pushAt: 'belt',
};

/** The state that a sweep of the map sets, after what top did if that is said. */
export function stateOfSweep(
  map: GuardMap,
  move: Move,
  met: ReactionRef | 'none',
  old: BalanceState,
): BalanceState {
  const index = indexMap(map);
  const position = index.position.get(move.position);
  if (!position) return old;
  const named = met === 'none' ? undefined : index.reaction.get(met.id);
  const reaction = named && met !== 'none' ? sided('reaction', named, met.mirrored) : undefined;
  const setup = topSetup(momentOfSweep(position, move, reaction));
  const posts: BalanceState['posts'] = {};
  for (const contact of setup.pinned) posts[contact] = 'pinned';
  for (const { contact } of setup.blocked) posts[contact] = 'blocked';
  for (const { contact } of setup.added) posts[contact] ??= 'added';
  return {
    ...old,
    stance: setup.stance,
    posts,
    shift: setup.shift,
    spread: setup.spread,
    degrees:
      move.direction ?? weakestDegrees(tippingProfile({ ...setup, stature: old.stature, mass: old.mass })),
  };
}

/** The direction in which top is weakest: what is looked at where a sweep does not say which way it goes. */
const weakestDegrees = ({ directions }: TippingProfile): number =>
  directions.reduce((least, way) => (way.guarded < least.guarded ? way : least)).degrees;

const EVERY = Array.from({ length: 24 }, (_, i) => i * 15);

/** The profile of a state: every 15° and the direction looked at. */
export function profileOf(state: BalanceState): { profile: TippingProfile; pushHeight: number } {
  const of = (wanted: PostState): Post[] =>
    POSTS.filter((contact) => state.posts[contact] === wanted).map((contact) => ({ contact }));
  const input = {
    stance: state.stance,
    build: state.build,
    stature: state.stature,
    mass: state.mass,
    blocked: of('blocked'),
    pinned: of('pinned').map(({ contact }) => contact),
    added: of('added'),
    shift: state.shift,
    spread: state.spread,
  };
  const { joints } = tippingProfile({ ...input, degrees: [0] });
  const pushHeight = Math.max(
    0.1,
    {
      belt: joints.hips![2],
      shoulders: joints.shoulders![2],
      knees: (joints.kneeL![2] + joints.kneeR![2]) / 2,
    }[state.pushAt],
  );
  const degrees = EVERY.includes(state.degrees) ? EVERY : [...EVERY, state.degrees];
  return { profile: tippingProfile({ ...input, degrees, forceHeight: pushHeight }), pushHeight };
}
