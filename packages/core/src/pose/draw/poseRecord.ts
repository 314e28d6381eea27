import { mirror } from '../../body/mirror.ts';
import { seedOf } from '../../game/seeded.ts';
import type { PoseRecord } from '../../model/poseRecord.ts';
import type { Position } from '../../model/position.ts';
import { betweenPoses } from '../bodies/betweenPoses.ts';
import { Body } from '../bodies/body.ts';
import { allOf, fleshOf } from '../bodies/flesh.ts';
import { mirrorPoint, mirrorPose } from '../bodies/mirrorPose.ts';
import { BOTTOM, type Pair, type PairState, TOP } from '../bodies/pair.ts';
import { AVERAGE_BUILD, type PoseBuild } from '../bodies/skeleton.ts';
import type { Rotation, Vec3 } from '../bodies/vec3.ts';
import { addOverlaps, belowMat } from '../solve/collisions.ts';
import { POSE_VERSION, type PoseRequest, poseBodies } from '../solve/poseBodies.ts';
import { posedHolds } from '../solve/poseProblem.ts';
import { chooseView } from './chooseView.ts';
import { type DrawnBodies, type DrawOptions, drawBodies } from './drawBodies.ts';
import { poseScene } from './poseScene.ts';
import type { View } from './view.ts';

/** A picture whose pose asks more than this of the bodies is uncertain. */
const UNCERTAIN = 40;

type Pictured = Pick<Position, 'id' | 'holds' | 'topHolds' | 'signs' | 'pose'>;
type Builds = readonly [PoseBuild, PoseBuild];
const AVERAGE: Builds = [AVERAGE_BUILD, AVERAGE_BUILD];

/** All that a pose hangs on, as text. */
function asked({ holds, topHolds, signs, pose }: Pictured, builds: Builds): string {
  const held = (list: Pictured['holds']) =>
    list.map(({ contacts, action, target, depth }) => [contacts, action, target, depth]);
  const { view: _, ...hints } = pose ?? {};
  const said = Object.entries(signs).sort(([a], [b]) => (a < b ? -1 : 1));
  return JSON.stringify([POSE_VERSION, held(holds), held(topHolds), said, hints, builds]);
}

/** A position on the side that is solved: of it and its mirror image the one whose text comes first. */
function canonicalSide(position: Pictured, builds: Builds = AVERAGE) {
  // What a picture does not hang on need not be there.
  const other = mirror('position', { ...position, looks: [] } as unknown as Position);
  const [plain, mirrored] = [asked(position, builds), asked(other, builds)];
  return mirrored < plain
    ? { position: other, mirrored: true, text: mirrored }
    : { position, mirrored: false, text: plain };
}

/** The name under which a pose is kept: the same for everything that looks the same, on either side. */
export function poseKey(position: Pictured, builds: Builds = AVERAGE): string {
  const { text } = canonicalSide(position, builds);
  const hex = (seed: string) =>
    seedOf(seed + text)
      .toString(16)
      .padStart(8, '0');
  return hex('') + hex('second');
}

// Adding nothing makes a plain zero of a negative one, which files do not tell apart.
const rounded = (value: number): number => Math.round(value * 1e5) / 1e5 + 0;

/** Solves a position on its canonical side. */
export function solvePose(position: Pictured, request: PoseRequest = {}): PoseRecord {
  const { position: canonical } = canonicalSide(position, request.builds);
  // The seed is the key's: what looks the same is posed the same.
  const { state, energy, holds } = poseBodies(
    { ...canonical, id: poseKey(position, request.builds) },
    request,
  );
  const body = ({ place, turn, angles }: PairState[number]) => ({
    place: place.map(rounded) as [number, number, number],
    turn: turn.map(rounded),
    angles: Array.from(angles, rounded),
  });
  return {
    energy: rounded(energy),
    bottom: body(state[BOTTOM]),
    top: body(state[TOP]),
    holds: holds.map(({ distance, at }) => ({
      distance: rounded(distance),
      ...(at && { at: at.map(rounded) as [number, number, number] }),
    })),
  };
}

/** A position with its kept pose. */
interface Posed {
  position: Pictured;
  record: PoseRecord;
}

/**
 * A first answer for a position that is a little different from one that is posed already, in a fraction of the time: solved
 * from there, without looking elsewhere. What is kept is solved from nothing, so that it hangs on the position alone.
 */
export function solveFrom(position: Pictured, before: Posed): PoseRecord {
  const start = poseStart(before.record);
  const turned = canonicalSide(before.position).mirrored !== canonicalSide(position).mirrored;
  return solvePose(position, { start: turned ? mirrorPose(start) : start, kicks: 0 });
}

/** A kept pose as the state of two bodies, on the side it was solved: to draw it, or to begin another one from. */
export const poseStart = ({ bottom, top }: PoseRecord): PairState => {
  const body = ({ place, turn, angles }: PoseRecord['top']) => ({
    place: place as Vec3,
    turn: turn as unknown as Rotation,
    angles: Float64Array.from(angles),
  });
  return [body(bottom), body(top)];
};

/** The scene of a kept pose on the side that the position is on. */
function sceneOf(position: Pictured, record: PoseRecord, builds: Builds = AVERAGE) {
  const { mirrored } = canonicalSide(position, builds);
  const state = poseStart(record);
  const points = posedHolds(position).map(({ hold, by }, i) => {
    const at = record.holds[i]?.at as Vec3 | undefined;
    return { id: hold.id, by, at: at && mirrored ? mirrorPoint(at) : at };
  });
  return poseScene(position, mirrored ? mirrorPose(state) : state, points, builds);
}

/** A picture of a position, with where it is looked at from and whether it is to be believed. */
export interface PosePicture extends DrawnBodies {
  view: View;
  uncertain: boolean;
  /** Of an uncertain one: the hold that is met least, by its id, and how far off it is, metres; none where all are met. */
  worst?: { id: string; distance: number } | undefined;
}

/** A hold this far off is not met, metres. */
const OFF = 0.02;

function worstHold(position: Pictured, { holds }: PoseRecord): PosePicture['worst'] {
  const off = posedHolds(position)
    .map(({ hold }, i) => ({ id: hold.id, distance: holds[i]?.distance ?? 0 }))
    .sort((a, b) => b.distance - a.distance)[0];
  return off && off.distance > OFF ? off : undefined;
}

/** Where a kept pose is looked at from: as the position says, else where most is seen. */
export const viewOf = (position: Pictured, record: PoseRecord, scene = sceneOf(position, record)): View =>
  position.pose?.view ?? chooseView(scene);

/**
 * Draws a kept pose.
 * @param view the position's own, else the best where nothing is said
 */
export function drawPose(
  position: Pictured,
  record: PoseRecord,
  {
    view: wanted,
    builds = AVERAGE,
    ...options
  }: DrawOptions & { view?: View | undefined; builds?: Builds } = {},
): PosePicture {
  const scene = sceneOf(position, record, builds);
  const view = wanted ?? viewOf(position, record, scene);
  const uncertain = record.energy > UNCERTAIN;
  return {
    ...drawBodies(scene, view, options),
    view,
    uncertain,
    ...(uncertain && { worst: worstHold(position, record) }),
  };
}

/** How deep a kept pose sinks into the mat and into itself, metres. */
export function poseMeasures(
  record: PoseRecord,
  builds: Builds = AVERAGE,
): { sunk: number; overlap: number } {
  const bodies: Pair = [new Body(builds[BOTTOM]), new Body(builds[TOP])];
  for (const [who, state] of poseStart(record).entries()) bodies[who]!.load(state);
  return {
    sunk: Math.max(0, belowMat(bodies)),
    overlap: addOverlaps(bodies, { between: 1, within: 1 }, 1),
  };
}

/**
 * A movement between two positions as pictures that follow one another, seen from one place, in one frame.
 * @param count of pictures, both ends included; at least 2
 */
export function drawBetween(from: Posed, to: Posed, count: number, options: DrawOptions = {}): PosePicture[] {
  const view = viewOf(from.position, from.record);
  const [start, end] = [from, to].map(({ position, record }) => {
    const { mirrored } = canonicalSide(position);
    return mirrored ? mirrorPose(poseStart(record)) : poseStart(record);
  }) as [PairState, PairState];
  const scenes = Array.from({ length: count }, (_, i) =>
    poseScene(from.position, betweenPoses(start, end, i / (count - 1)), []),
  );
  const room = allOf(scenes.map(({ bodies, fists }) => fleshOf(bodies, fists, 0.4)));
  const uncertain = Math.max(from.record.energy, to.record.energy) > UNCERTAIN;
  return scenes.map((scene) => ({ ...drawBodies(scene, view, { ...options, room }), view, uncertain }));
}
