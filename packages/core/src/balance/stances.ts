/** A direction in space: azimuth (0 = front, 90 = top's right) and elevation (90 = up, −90 = down), degrees. */
export type Aim = readonly [azimuth: number, elevation: number];

/** The joint angles of one side. A foot is aimed from the heel to the toes. */
interface LegAngles {
  thigh: Aim;
  shank: Aim;
  foot: Aim;
}
export interface ArmAngles {
  upper: Aim;
  fore: Aim;
  /** Where the hand points; along the forearm when absent. */
  hand?: Aim;
}
/** A stance as joint angles; azimuths of the left side are mirrored, so both sides are written as a right one. */
export interface Stance {
  name: string;
  /** From the hips to the shoulders. */
  trunk: Aim;
  /** From the shoulders to the crown. */
  head: Aim;
  legR: LegAngles;
  legL: LegAngles;
  armR: ArmAngles;
  armL: ArmAngles;
}

const HANGING: ArmAngles = { upper: [20, -75], fore: [0, -40] };
const FORWARD: ArmAngles = { upper: [5, -35], fore: [0, -25] };
const PLANTED: ArmAngles = { upper: [10, -80], fore: [0, -88], hand: [15, 0] };

const both = (
  name: string,
  trunk: Aim,
  head: Aim,
  leg: LegAngles,
  arm: ArmAngles,
  changes: Partial<Stance> = {},
): Stance => ({ name, trunk, head, legL: leg, legR: leg, armL: arm, armR: arm, ...changes });

const ONE_LEG_UP = both(
  'right leg lifted',
  [0, 86],
  [0, 84],
  { thigh: [15, -18], shank: [0, -8], foot: [0, 45] },
  FORWARD,
  // The standing leg comes in under the body, or nobody would stand.
  { legL: { thigh: [-50, -68], shank: [-120, -84], foot: [8, 0] } },
);

/** The postures of top as joint angles (common practice, no published source): what touches the mat follows from them. */
export const STANCES = {
  standing: both(
    'standing',
    [0, 72],
    [0, 70],
    { thigh: [25, -72], shank: [160, -84], foot: [12, 0] },
    FORWARD,
  ),
  upright: both(
    'standing upright',
    [0, 90],
    [0, 90],
    { thigh: [0, -90], shank: [0, -90], foot: [0, 0] },
    {
      upper: [0, -90],
      fore: [0, -90],
    },
  ),
  staggered: both(
    'staggered',
    [0, 68],
    [0, 65],
    { thigh: [12, -52], shank: [178, -84], foot: [5, 0] },
    FORWARD,
    { legL: { thigh: [160, -74], shank: [172, -62], foot: [10, -25] } },
  ),
  squatting: both(
    'squatting',
    [0, 62],
    [0, 65],
    { thigh: [32, -12], shank: [195, -68], foot: [28, 0] },
    FORWARD,
  ),
  'half-kneeling': both(
    'half kneeling',
    [0, 78],
    [0, 75],
    { thigh: [15, 3], shank: [180, -88], foot: [8, 0] },
    FORWARD,
    { legL: { thigh: [10, -86], shank: [180, -4], foot: [180, -10] } },
  ),
  kneeling: both(
    'kneeling',
    [0, 62],
    [0, 60],
    { thigh: [28, -72], shank: [176, -2], foot: [178, -6] },
    FORWARD,
  ),
  'kneeling-upright': both(
    'kneeling upright',
    [0, 88],
    [0, 88],
    { thigh: [28, -78], shank: [176, -2], foot: [178, -6] },
    HANGING,
  ),
  'kneeling-sat-back': both(
    'kneeling, sat back',
    [180, 86],
    [0, 85],
    { thigh: [24, -14], shank: [172, -3], foot: [176, -6] },
    FORWARD,
  ),
  'all-fours': both(
    'all fours',
    [0, 14],
    [0, 10],
    { thigh: [12, -86], shank: [178, -2], foot: [180, -6] },
    PLANTED,
  ),
  tripod: both(
    'tripod, hips high',
    [0, -38],
    [0, -45],
    { thigh: [24, -70], shank: [160, -68], foot: [8, -25] },
    { upper: [12, -62], fore: [5, -70], hand: [10, 0] },
  ),
  'leg-lifted': ONE_LEG_UP,
  'left-leg-lifted': {
    ...ONE_LEG_UP,
    name: 'left leg lifted',
    legL: ONE_LEG_UP.legR,
    legR: ONE_LEG_UP.legL,
  },
  seated: both(
    'seated',
    [180, 74],
    [0, 85],
    { thigh: [28, 30], shank: [10, -36], foot: [15, 0] },
    { upper: [150, -65], fore: [160, -62], hand: [170, 0] },
  ),
  'on-back': both(
    'on the back',
    [180, 0],
    [180, 4],
    { thigh: [24, 40], shank: [8, -45], foot: [10, 0] },
    { upper: [60, 20], fore: [20, 40] },
  ),
} as const satisfies Record<string, Stance>;
export type StanceName = keyof typeof STANCES;
export const STANCE_NAMES = Object.keys(STANCES) as StanceName[];
