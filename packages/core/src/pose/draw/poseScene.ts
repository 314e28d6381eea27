import { Body } from '../bodies/body.ts';
import type { Fists } from '../bodies/flesh.ts';
import type { PairState } from '../bodies/pair.ts';
import { BOTTOM, type Pair, TOP, type Who } from '../bodies/pair.ts';
import { ARM, AVERAGE_BUILD, LEG, type LeftRight, type PoseBuild } from '../bodies/skeleton.ts';
import type { Vec3 } from '../bodies/vec3.ts';
import type { Posed } from '../solve/holdPart.ts';

/** A hold as it can be pointed at. */
interface PoseContact {
  id: string;
  by: Who;
  at: Vec3;
  /** Points of the limbs that hold, which should be seen. */
  tips: Vec3[];
}

/** Two bodies in a pose with what they hold, ready to be looked at. */
export interface PoseScene {
  bodies: Pair;
  contacts: PoseContact[];
  fists: Fists;
}

const CLOSED = ['grip', 'two-on-one', 'cup'];

/** The scene of a solved pose. */
export function poseScene(
  position: Pick<Posed, 'holds' | 'topHolds'>,
  state: PairState,
  points: readonly { id: string; by: Who; at: Vec3 | undefined }[],
  builds: readonly [PoseBuild, PoseBuild] = [AVERAGE_BUILD, AVERAGE_BUILD],
): PoseScene {
  const bodies: Pair = [new Body(builds[BOTTOM]), new Body(builds[TOP])];
  for (const who of [BOTTOM, TOP] as const) bodies[who].load(state[who]);
  const fists: [Set<LeftRight>, Set<LeftRight>] = [new Set(), new Set()];
  const contacts = points.flatMap(({ id, by, at }): PoseContact[] => {
    const hold = (by === BOTTOM ? position.holds : position.topHolds).find((one) => one.id === id);
    if (!hold) return [];
    const tips: Vec3[] = [];
    for (const contact of hold.contacts) {
      const side = contact.slice(-1) as LeftRight;
      const body = bodies[by];
      if (/^(hand|arm)/.test(contact))
        tips.push(body.point(ARM[side].hand, [0, 0, -0.07]), body.point(ARM[side].fore, [0, 0, -0.1]));
      if (/^(foot|leg)/.test(contact))
        tips.push(body.point(LEG[side].foot, [0, 0.08, -0.03]), body.point(LEG[side].shank, [0, 0, -0.2]));
      if (contact.startsWith('hand') && CLOSED.includes(hold.action)) fists[by].add(side);
    }
    return at ? [{ id, by, at, tips }] : [];
  });
  return { bodies, contacts, fists };
}
