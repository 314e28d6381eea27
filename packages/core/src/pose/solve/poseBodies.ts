import { seeded, seedOf } from '../../game/seeded.ts';
import { signOf } from '../../model/signs.ts';
import type { Body } from '../bodies/body.ts';
import type { PairState } from '../bodies/pair.ts';
import { BOTTOM, type Pair, TOP, type Who } from '../bodies/pair.ts';
import { presetTurn, setLeg } from '../bodies/presets.ts';
import { AVERAGE_BUILD, LIMITS, type PoseBuild, SPINE, UNKNOWNS } from '../bodies/skeleton.ts';
import { clamp, type Vec3 } from '../bodies/vec3.ts';
import { addOverlaps, belowMat } from './collisions.ts';
import type { Posed } from './holdPart.ts';
import { createMinimiser } from './levenbergMarquardt.ts';
import { ALL_UNKNOWNS } from './normalEquations.ts';
import { outsideSide, type PoseProblem, poseProblem } from './poseProblem.ts';

/** Poses and pictures of another version are made again: it grows with every change of the solver or of the drawing. */
export const POSE_VERSION = 1;

export interface PoseRequest {
  /** Bottom and top; both average where nothing is said. */
  builds?: readonly [PoseBuild, PoseBuild] | undefined;
  seed?: number | undefined;
  /** A pose to begin from instead of from nothing: of the same position with other builds, or of one it is entered from. */
  start?: PairState | undefined;
  /** So many times the best pose is shaken and relaxed again; 12 where nothing is said. */
  kicks?: number | undefined;
}

export interface SolvedPose {
  state: PairState;
  /** Sum of squares of what is not met, in σ: under 20 good, above 40 doubtful. */
  energy: number;
  /** How far off each hold is, metres, and where it is held; of bottom's holds first. */
  holds: { id: string; by: Who; distance: number; at: Vec3 | undefined }[];
  /** The deepest overlap of flesh and the deepest under the mat, metres. */
  overlap: number;
  sunk: number;
  /** The most that a leg is short of having gone round, degrees. */
  unwound: number;
}

/** A leg that has not gone round as it should counts (missing/30°)²·3 against a pose. */
const UNWOUND = 30;
/** Bottom's yaw offsets of the starts, degrees. */
const YAWS = [0, 0, 30, -30, 60, -60, 0, 90, -90, 135, -135, 180];
const KICKS = 12;
const HOPELESS = 1.15;

interface Candidate {
  energy: number;
  state: PairState;
}

/**
 * The pose of both players from nothing but a position's holds and signs: least squares from seeded starts, flesh growing
 * in, then kicks. The same request gives the same pose.
 */
export function poseBodies(position: Posed, request: PoseRequest = {}): SolvedPose {
  const builds = request.builds ?? [AVERAGE_BUILD, AVERAGE_BUILD];
  const problem = poseProblem(position, builds);
  const { bodies, flesh, energy, holds } = problem;
  const { minimise } = createMinimiser(bodies, energy);
  const random = seeded(seedOf(`${position.id} ${request.seed ?? 0}`));
  const unwound = () => Math.max(0, ...holds.flatMap(({ windings }) => windings.map((missing) => missing())));
  const relax = (between: number, within: number, iterations: number, damping: number) => {
    flesh.between = between;
    flesh.within = within;
    return minimise(iterations, damping);
  };
  const penalty = () => 3 * (unwound() / UNWOUND) ** 2;
  const keep = (candidate: Candidate, reached: number) => {
    candidate.energy = reached + penalty();
    candidate.state = saved(bodies);
  };
  const each = (candidates: Candidate[], work: () => number) => {
    for (const candidate of candidates) {
      restore(bodies, candidate.state);
      keep(candidate, work());
    }
    candidates.sort((a, b) => a.energy - b.energy);
    return candidates;
  };

  const starts = request.start
    ? [{ energy: 0, state: request.start }]
    : YAWS.map((_, k): Candidate => {
        place(problem, k, random);
        return { energy: relax(0, 0.5, 20, 1e-1) + penalty(), state: saved(bodies) };
      }).sort((a, b) => a.energy - b.energy);
  const grown = each(starts.slice(0, 4), () => {
    relax(0.35, 0.7, 10, 1e-2);
    return relax(0.6, 0.7, 14, 1e-2);
  });
  const [best] = each(grown.slice(0, 2), () => {
    relax(0.7, 0.85, 12, 1e-2);
    relax(0.9, 0.85, 12, 1e-2);
    return relax(0.95, 0.9, 40, 1e-3);
  }) as [Candidate];
  for (let k = 0; k < (request.kicks ?? (request.start ? 2 : KICKS)); k++) {
    restore(bodies, best.state);
    shake(bodies, random);
    relax(0.2, 0.5, 12, 1e-1);
    // With less flesh it is easier: what is worse even so is not followed to its end.
    if (relax(0.6, 0.8, 10, 1e-2) + penalty() > HOPELESS * best.energy) continue;
    const reached = relax(0.95, 0.9, 24, 1e-3);
    if (reached + penalty() < best.energy) keep(best, reached);
  }
  restore(bodies, best.state);
  const reached = relax(0.95, 0.9, 15, 1e-3);
  return {
    state: saved(bodies),
    energy: reached + penalty(),
    holds: holds.map(({ hold, by, errors, mark }) => ({
      id: hold.id,
      by,
      distance: Math.max(0, ...errors.map((error) => error())),
      at: mark?.(),
    })),
    overlap: addOverlaps(bodies, { between: 1, within: 1 }, 1),
    sunk: Math.max(0, belowMat(bodies)),
    unwound: unwound(),
  };
}

const saved = ([bottom, top]: Pair): PairState => [bottom.save(), top.save()];
function restore(bodies: Pair, state: PairState): void {
  for (const who of [BOTTOM, TOP] as const) bodies[who].load(state[who]);
}

/** The k-th start: the presets, bottom turned by a yaw of the list, all of it a little off but for the first. */
function place(problem: PoseProblem, k: number, random: () => number): void {
  const { bodies, presets, places, signs, holds, supports, offset } = problem;
  const jitter = () => 2 * random() - 1;
  const loose = k > 1 ? 0.16 : 0.05;
  // Whose place is said is not looked for all round the other.
  const said = places.some(Boolean);
  for (const who of [BOTTOM, TOP] as const) {
    const body: Body = bodies[who];
    const preset = presets[who];
    for (let i = SPINE; i < UNKNOWNS; i++) {
      const [least, most] = LIMITS[i]!;
      body.angles[i] = clamp(preset.angles[i]! + (k > 0 ? jitter() * 0.25 : 0), least, most);
    }
    let { yaw } = preset;
    if (who === BOTTOM) {
      for (const { outside } of holds)
        if (outside !== 0) setLeg(body.angles, outsideSide(outside), [105, 48, 25, 95, 0]);
      const towards = signOf(signs, 'own.angle') === 'left' ? -1 : 1;
      if (k > 0) yaw += (said ? 0 : YAWS[k]!) * towards + jitter() * 8;
    } else if (k > 0) yaw += jitter() * 15;
    body.turn = presetTurn(preset, yaw);
    body.place = [0, 0, 1];
    body.forward();
    const lift = Math.min(...supports[who].map(({ frame, at, height }) => body.point(frame, at)[2] - height));
    const height = 1 - (supports[who].length > 0 ? lift : 0);
    body.place =
      who === BOTTOM
        ? [0, 0, height]
        : [
            offset + jitter() * loose,
            distanceOf(problem) + jitter() * loose - Math.abs(offset) * 0.5,
            height,
          ];
    const at = places[who];
    if (at)
      body.place = [at[0] + jitter() * (k > 0 ? loose : 0), at[1] + jitter() * (k > 0 ? loose : 0), at[2]];
    body.forward();
  }
}

/** From pelvis to pelvis to begin with, metres. */
function distanceOf({ signs }: PoseProblem): number {
  if (signOf(signs, 'top.stance') === 'seated') return 0.8;
  const range = { gripping: 0.72, 'out-of-reach': 1.4, chest: 0.5 }[
    signOf(signs, 'top.range') as 'gripping' | 'out-of-reach' | 'chest'
  ];
  return range - (signOf(signs, 'own.hips') === 'raised' ? 0.22 : 0);
}

/** Moves both bodies at random: centimetres, some degrees, limbs most. */
function shake(bodies: Pair, random: () => number): void {
  const step = new Float64Array(ALL_UNKNOWNS);
  const half = () => random() - 0.5;
  for (const who of [BOTTOM, TOP] as const) {
    const at = who * UNKNOWNS;
    for (let i = 0; i < 3; i++) step[at + i] = half() * 0.16;
    step.set([half() * 0.2, half() * 0.2, half() * 0.7], at + 3);
    for (let i = 12; i < UNKNOWNS; i++) step[at + i] = half() * 0.7;
  }
  for (const who of [BOTTOM, TOP] as const) bodies[who].move(step, who * UNKNOWNS);
}
