import type { Contact } from '../model/contacts.ts';
import { type BodyModel, bodyModel, type Patch, type Point3 } from './bodyModel.ts';
import { type Build, LENGTH, MASS_RANGE, STATURE_RANGE } from './bodyTables.ts';
import { convexHull, type Point } from './convexHull.ts';
import { STANCES, type StanceName } from './stances.ts';
import { heading, type Tipping, tipping } from './tipping.ts';

/** A contact of top as something to stand on; without a patch, where it is usually put down in this stance. */
export interface Post {
  contact: Contact;
  patch?: Point[];
}

export interface ProfileInput {
  stance: StanceName;
  /** In metres. */
  stature: number;
  /** In kilograms. */
  mass: number;
  build?: Build;
  /** Posts that are gone: they neither stand now nor can be put down. */
  blocked?: readonly Post[];
  /** Feet that stand where they are and cannot step. */
  pinned?: readonly Contact[];
  /** Posts that stand because of what top just did. */
  added?: readonly Post[];
  /** Moves the centre of mass: metres to the right, metres to the front. */
  shift?: Point;
  /** Knees that stand further out (or in, below zero) on each side, in metres. */
  spread?: number;
  forceHeight?: number;
  friction?: number;
  /** Directions asked for; every 15° when absent. */
  degrees?: readonly number[];
}

/** A post that top can still make when falling that way, and how far it reaches. */
export interface Repost {
  contact: Contact;
  at: Point;
  reach: number;
}

export interface ProfileDirection extends Tipping {
  degrees: number;
  /** The margin with every free re-post within reach added. */
  guarded: number;
  reposts: Repost[];
}

export interface TippingProfile {
  com: Point;
  height: number;
  polygon: Point[];
  patches: Patch[];
  joints: Record<string, Point3>;
  directions: ProfileDirection[];
}

const EVERY_15 = Array.from({ length: 24 }, (_, i) => i * 15);

/**
 * How far from tipping top is, all round: the hull of what touches the mat without the blocked posts and with the added
 * ones, the centre of mass over it, and for each direction the push that tips. A free hand, head or foot that can still
 * be put down on that side is a re-post: it stands in `guarded`, because a trapped arm changes nothing on the mat, it
 * takes the re-post away.
 * @throws RangeError outside of the human range of stature and mass.
 */
export function tippingProfile(input: ProfileInput): TippingProfile {
  const { stance, stature, mass, build = 'average', blocked = [], added = [], shift = [0, 0] } = input;
  checkRange('stature', stature, STATURE_RANGE, 'm');
  checkRange('mass', mass, MASS_RANGE, 'kg');
  const body = bodyOf(stance, stature, build, input.spread);
  const gone = new Set(blocked.map(({ contact }) => contact));
  // A leg that is lifted takes its knee along with its foot.
  for (const side of ['L', 'R'] as const) if (gone.has(`leg${side}`)) gone.add(`foot${side}`);
  const patches = [
    ...body.patches.filter(({ contact }) => !gone.has(contact)),
    ...added
      .filter(({ contact }) => !gone.has(contact))
      .map(({ contact, patch }) => ({ contact, points: patch ?? usualPatch(body.joints, contact, stature) })),
  ];
  const com: Point = [body.com[0] + shift[0], body.com[1] + shift[1]];
  const height = body.com[2];
  const points = patches.flatMap((patch) => patch.points);
  const common = {
    com,
    height,
    mass,
    ...(input.forceHeight !== undefined && { forceHeight: input.forceHeight }),
    ...(input.friction !== undefined && { friction: input.friction }),
  };
  const standing = new Set(patches.map(({ contact }) => contact));
  const directions = (input.degrees ?? EVERY_15).map((degrees): ProfileDirection => {
    const bare = tipping({ ...common, polygon: points, degrees });
    const reposts = repostsFor(degrees, body.joints, stature, {
      gone,
      standing,
      pinned: new Set(input.pinned),
    });
    const guarded =
      reposts.length === 0
        ? bare.margin
        : tipping({ ...common, polygon: [...points, ...reposts.map(({ at }) => at)], degrees }).margin;
    return { degrees, ...bare, guarded: Math.max(guarded, bare.margin), reposts };
  });
  return { com, height, polygon: convexHull(points), patches, joints: body.joints, directions };
}

const bodies = new Map<string, BodyModel>();

/** A body that was put down on the mat lately is not put together again. */
function bodyOf(stance: StanceName, stature: number, build: Build, spread = 0): BodyModel {
  const key = `${stance} ${stature} ${build} ${spread}`;
  const known = bodies.get(key) ?? bodyModel(STANCES[stance], stature, build, spread);
  if (bodies.size >= 100) bodies.clear();
  bodies.set(key, known);
  return known;
}

function checkRange(
  what: string,
  value: number,
  [least, most]: readonly [number, number],
  unit: string,
): void {
  if (!(value >= least && value <= most))
    throw new RangeError(`the ${what} has to be between ${least} and ${most} ${unit}`);
}

/** Where a hand or the head is put down when nothing more exact is said. */
function usualPatch(joints: Record<string, Point3>, contact: Contact, stature: number): Point[] {
  const at = usualPlace(joints, contact, stature);
  const half = contact === 'head' ? 0.05 * stature : 0.03 * stature;
  return [
    [at[0] - half, at[1] - half],
    [at[0] + half, at[1] - half],
    [at[0] + half, at[1] + half],
    [at[0] - half, at[1] + half],
  ];
}

function usualPlace(joints: Record<string, Point3>, contact: Contact, stature: number): Point {
  const side = contact.endsWith('L') ? 'L' : 'R';
  if (contact.startsWith('hand') || contact.startsWith('arm')) {
    const out = side === 'R' ? 60 : 300;
    return placed(joints.hips!, out, handReach(joints, out, stature) || 0.25 * stature);
  }
  if (contact === 'head') return placed(joints.hips!, 0, headReach(joints, stature) || 0.3 * stature);
  const joint = joints[contact.startsWith('leg') ? `knee${side}` : `ankle${side}`] ?? joints.hips!;
  return [joint[0], joint[1]];
}

const placed = (from: Point3, degrees: number, distance: number): Point => {
  const [dx, dy] = heading(degrees);
  return [from[0] + dx * distance, from[1] + dy * distance];
};

/** How much of the trunk bends towards a direction: all of it to the front, half to the side, none to the back. */
const bend = (degrees: number): number => (1 + Math.cos((degrees * Math.PI) / 180)) / 2;
const flatReach = (length: number, height: number): number =>
  length > height ? Math.sqrt(length ** 2 - height ** 2) : 0;

/** How far from the hips a hand, or the head, can be put on the mat in a direction, in metres; 0 where it cannot. */
function handReach(joints: Record<string, Point3>, degrees: number, stature: number): number {
  const arm = LENGTH.upperArm + LENGTH.forearm + LENGTH.hand / 2;
  return flatReach((LENGTH.trunk * bend(degrees) + arm) * stature, joints.hips![2]);
}
function headReach(joints: Record<string, Point3>, stature: number): number {
  return flatReach((LENGTH.trunk + LENGTH.head * 0.7) * stature, joints.hips![2]);
}

const norm = (degrees: number): number => ((degrees % 360) + 360) % 360;
/** Whether a direction lies in the arc from one to another, clockwise. */
const within = (degrees: number, from: number, to: number): boolean =>
  norm(degrees - from) <= norm(to - from);

interface Free {
  gone: ReadonlySet<Contact>;
  standing: ReadonlySet<Contact>;
  pinned: ReadonlySet<Contact>;
}

function repostsFor(
  degrees: number,
  joints: Record<string, Point3>,
  stature: number,
  { gone, standing, pinned }: Free,
): Repost[] {
  const found: Repost[] = [];
  const offer = (contact: Contact, reach: number, from: Point3 = joints.hips!) => {
    if (reach > 0) found.push({ contact, at: placed(from, degrees, reach), reach });
  };
  for (const side of ['L', 'R'] as const) {
    const turn = side === 'R' ? degrees : norm(-degrees);
    const hand: Contact = `hand${side}`;
    // A hand reaches to its own side, a little across in front, and a little behind.
    if (!gone.has(hand) && !gone.has(`arm${side}`) && within(turn, 330, 140))
      offer(hand, handReach(joints, degrees, stature));
    const foot: Contact = `foot${side}`;
    const other: Contact = `foot${side === 'R' ? 'L' : 'R'}`;
    // A foot that stands can step out to its own side, while the other one stands too; kneeling legs do not step.
    const steps =
      standing.has(foot) && standing.has(other) && !standing.has(`leg${side}`) && !standing.has('hips');
    if (steps && !pinned.has(foot) && within(turn, 320, 200)) offer(foot, 0.33 * stature);
  }
  if (!gone.has('head') && !standing.has('head') && within(degrees, 315, 45))
    offer('head', headReach(joints, stature));
  return found;
}
