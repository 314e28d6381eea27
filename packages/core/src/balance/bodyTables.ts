export type Build = 'average' | 'men' | 'women';

/** The fourteen segments: head and trunk once, the others on each side. */
export const SEGMENTS = ['head', 'trunk', 'upperArm', 'forearm', 'hand', 'thigh', 'shank', 'foot'] as const;
export type BodySegment = (typeof SEGMENTS)[number];

/**
 * BodySegment masses in percent of the body, each limb segment once. Source: P. de Leva, "Adjustments to
 * Zatsiorsky-Seluyanov's segment inertia parameters", J. Biomechanics 29 (1996), quoted from memory.
 */
const MASS: Record<'men' | 'women', Record<BodySegment, number>> = {
  men: {
    head: 6.94,
    trunk: 43.46,
    upperArm: 2.71,
    forearm: 1.62,
    hand: 0.61,
    thigh: 14.16,
    shank: 4.33,
    foot: 1.37,
  },
  women: {
    head: 6.68,
    trunk: 42.57,
    upperArm: 2.55,
    forearm: 1.38,
    hand: 0.56,
    thigh: 14.78,
    shank: 4.81,
    foot: 1.29,
  },
};
const isPaired = (segment: BodySegment): boolean => segment !== 'head' && segment !== 'trunk';

/** Mass of each segment as a share of the body; all of them, limbs twice, sum to exactly 1. */
export function segmentShares(build: Build): Record<BodySegment, number> {
  const raw = (segment: BodySegment): number =>
    build === 'average' ? (MASS.men[segment] + MASS.women[segment]) / 2 : MASS[build][segment];
  const total = SEGMENTS.reduce((sum, segment) => sum + raw(segment) * (isPaired(segment) ? 2 : 1), 0);
  return Object.fromEntries(SEGMENTS.map((segment) => [segment, raw(segment) / total])) as Record<
    BodySegment,
    number
  >;
}

/**
 * Where each segment's centre of mass lies, as a share of its length from the upper end (men's values, de Leva
 * 1996; head and hand, which the table measures from other marks, from the middle).
 */
export const COM_SHARE: Record<BodySegment, number> = {
  head: 0.5,
  trunk: 0.4486,
  upperArm: 0.5772,
  forearm: 0.4574,
  hand: 0.5,
  thigh: 0.4095,
  shank: 0.4459,
  foot: 0.4415,
};

/**
 * Lengths as shares of stature. Source: Drillis & Contini (1966), in D. A. Winter, Biomechanics and Motor Control
 * of Human Movement, quoted from memory. Trunk and head are differences of the heights given there.
 */
export const LENGTH = {
  foot: 0.152,
  footBreadth: 0.055,
  ankleHeight: 0.039,
  shank: 0.246,
  thigh: 0.245,
  trunk: 0.818 - 0.53,
  head: 1 - 0.818,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  halfShoulders: 0.129,
  halfHips: 0.0955,
} as const;

/** Builds outside of these are not computed. */
export const STATURE_RANGE = [1.2, 2.2] as const;
export const MASS_RANGE = [25, 200] as const;
export const GRAVITY = 9.81;
