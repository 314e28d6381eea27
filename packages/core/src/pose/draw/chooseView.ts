import { type Fists, type Flesh, fleshOf, PART, PARTS_OF_BODY } from '../bodies/flesh.ts';
import { BOTTOM, type Pair, TOP } from '../bodies/pair.ts';
import { ARM, FRAME, LEG, SIDES } from '../bodies/skeleton.ts';
import { dot, length, sub, unit, type Vec3 } from '../bodies/vec3.ts';
import type { PoseScene } from './poseScene.ts';
import { type Axes, axesOf, frameFor, splat, toPicture, type View } from './view.ts';

const SIZE = 64;
const STEP = 15;
const ELEVATIONS = [14, 26, 40];
/** Pixels of a part that is fully seen, in a picture of 96 by 96. */
const SEEN: readonly number[] = [250, 60, 70, 70, 120, 120, 16, 16, 16, 16];
const HEAD_SEEN = 70;

/** The view that shows most: contacts, holding hands and feet, heads and parts, limbs across the picture rather than towards it. */
export function chooseView(scene: PoseScene): View {
  const { bodies } = scene;
  const flesh = fleshOf(bodies, NO_FISTS, 0.5);
  let best: { view: View; score: number } | undefined;
  for (let azimuth = 0; azimuth < 360; azimuth += STEP)
    for (const elevation of ELEVATIONS) {
      const view = { azimuth, elevation };
      const score = scoreOf(scene, flesh, view);
      if (!best || score > best.score) best = { view, score };
    }
  return best!.view;
}

const NO_FISTS: Fists = [new Set(), new Set()];

function scoreOf({ bodies, contacts }: PoseScene, flesh: Flesh, view: View): number {
  const axes = axesOf(view);
  const frame = frameFor(flesh, axes, SIZE, SIZE, 2);
  const { depth, sphere } = splat(flesh, axes, frame);
  /** How far in front of a point something is, metres. */
  const covered = (p: Vec3): number => {
    const [x, y] = toPicture(p, axes, frame);
    return depth[Math.floor(y) * SIZE + Math.floor(x)]! - dot(p, axes.towards);
  };
  let score = 1;
  if (contacts.length > 0) {
    const tips = contacts.flatMap((contact) => contact.tips);
    const seen = contacts.reduce((sum, { at }) => sum + worthOf(covered(at)), 0) / contacts.length;
    const shown = tips.filter((tip) => covered(tip) < 0.075).length / Math.max(1, tips.length);
    score = 3 * (seen + 0.8 * shown);
  }
  const pixels = new Float64Array(2 * PARTS_OF_BODY);
  for (const i of sphere)
    if (i >= 0) {
      const part = flesh.whos[i]! * PARTS_OF_BODY + flesh.parts[i]!;
      pixels[part] = pixels[part]! + 1;
    }
  const usual = (SIZE / 96) ** 2;
  let parts = 0;
  for (const who of [BOTTOM, TOP])
    for (let part = 0; part < PARTS_OF_BODY; part++)
      parts += Math.min(1, pixels[who * PARTS_OF_BODY + part]! / (SEEN[part]! * usual));
  score += (parts / (2 * PARTS_OF_BODY)) * 2.2;
  for (const who of [BOTTOM, TOP])
    score += 0.25 * Math.min(1, pixels[who * PARTS_OF_BODY + PART.head]! / (HEAD_SEEN * usual));
  score += 4.5 * across(bodies, axes) + profile(bodies, axes);
  score += 0.22 * Math.min(1.6, frame.wide / Math.max(0.6, frame.high));
  return score + (view.elevation === 26 ? 0.12 : view.elevation === 14 ? 0.1 : 0);
}

const worthOf = (gap: number): number => (gap < 0.05 ? 1.6 : gap < 0.08 ? 1.1 : gap < 0.11 ? 0.4 : 0);

/** Bones that should lie across the picture, with their weights. */
const BONES: readonly (readonly [number, number, number])[] = [
  [FRAME.pelvis, FRAME.neck, 4],
  ...SIDES.flatMap((side) => [
    [LEG[side].thigh, LEG[side].shank, 1] as const,
    [LEG[side].shank, LEG[side].foot, 1] as const,
    [ARM[side].upper, ARM[side].fore, 0.7] as const,
    [ARM[side].fore, ARM[side].hand, 0.7] as const,
  ]),
];

/** How little is foreshortened, in [0, 1]. */
function across(bodies: Pair, { towards }: Axes): number {
  let sum = 0;
  let all = 0;
  for (const body of bodies)
    for (const [from, to, weight] of BONES) {
      const cosine = dot(unit(sub(body.origin(to), body.origin(from))), towards);
      sum += weight * Math.sqrt(Math.max(0, 1 - cosine * cosine));
      all += weight;
    }
  return sum / all;
}

/** How far the spine of bottom, the line between the two, and the way both face lie across the picture. */
function profile([bottom, top]: Pair, { right }: Axes): number {
  const level = (v: Vec3, whole: number) => {
    const flat: Vec3 = [v[0], v[1], 1e-3];
    return Math.abs(dot(unit(flat), right)) * Math.min(1, length([v[0], v[1], 0]) / whole);
  };
  return (
    1.1 * level(sub(bottom.origin(FRAME.neck), bottom.origin(FRAME.pelvis)), 0.35) +
    0.9 * level(sub(bottom.origin(FRAME.chest), top.origin(FRAME.chest)), 0.3) +
    0.35 * level(top.direction(FRAME.pelvis, [0, 1, 0]), 0.6) +
    0.35 * level(bottom.direction(FRAME.pelvis, [0, 1, 0]), 0.6)
  );
}
