import type { Contact, Facet, GripPlace, Part, Side, Target } from '@aftersquall/core/model';

/**
 * Where everything is on the two-body plan, seen with bottom's eyes: bottom lies at the foot of the picture with the
 * feet away from us, top faces us. So bottom's left is left, top's right is left too, and a cross grip is a line that
 * crosses. Points are given for the half at the left (bottom's left, top's right); the other half is its mirror.
 */
export const PLAN = { width: 320, height: 466 } as const;
export type Point = [x: number, y: number];
export type Body = 'top' | 'own';
/** What can be tapped as a whole; the parts are chosen in it. */
export type Region = 'head' | 'trunk' | 'armL' | 'armR' | 'legL' | 'legR';
export const REGIONS: readonly Region[] = ['head', 'trunk', 'armL', 'armR', 'legL', 'legR'];

/** Joints of the half at the left; the middle of the body is x = 160. */
const JOINTS = {
  top: {
    head: [160, 42],
    shoulder: [121, 86],
    elbow: [82, 126],
    wrist: [94, 168],
    hand: [99, 182],
    hip: [141, 180],
    knee: [103, 206],
    ankle: [91, 252],
    toes: [86, 268],
  },
  own: {
    head: [160, 434],
    shoulder: [125, 394],
    elbow: [94, 362],
    wrist: [104, 330],
    hand: [108, 317],
    hip: [143, 330],
    knee: [119, 290],
    ankle: [131, 258],
    toes: [134, 243],
  },
} as const satisfies Record<Body, Record<string, Point>>;
export type Joint = keyof (typeof JOINTS)['top'];

/** Whether a side of a body is on the left of the picture. */
const onLeft = (body: Body, side: Side): boolean => (body === 'own') === (side === 'L');
const turned = ([x, y]: Point): Point => [PLAN.width - x, y];

/** A joint of a body on one of its sides. */
export function jointAt(body: Body, side: 'L' | 'R', joint: Joint): Point {
  const point = JOINTS[body][joint] as unknown as Point;
  return onLeft(body, side) ? point : turned(point);
}

const between = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
];

/** Where a contact of a body is: the dot that is tapped. */
export function contactAt(body: Body, contact: Contact): Point {
  const side = contact.endsWith('L') ? 'L' : 'R';
  const [headX, headY] = JOINTS[body].head;
  const down = body === 'top' ? 1 : -1;
  switch (contact) {
    case 'handL':
    case 'handR':
      return jointAt(body, side, 'hand');
    case 'armL':
    case 'armR':
      return jointAt(body, side, 'elbow');
    case 'footL':
    case 'footR':
      return jointAt(body, side, 'toes');
    case 'legL':
    case 'legR':
      return jointAt(body, side, 'knee');
    case 'head':
      return [headX, headY];
    // Beside the middle line, so that a thumb on the trunk meets the trunk.
    case 'chest':
      return [188, headY + down * 60];
    case 'back':
      return [184, headY + down * 90];
    case 'hips':
      return [180, headY + down * 120];
  }
}

type Place = (body: Body, side: 'L' | 'R') => Point;
const joint =
  (name: Joint, shift: Point = [0, 0]): Place =>
  (body, side) => {
    const [x, y] = jointAt(body, side, name);
    const out = onLeft(body, side) ? 1 : -1;
    return [x + out * shift[0], y + (body === 'top' ? 1 : -1) * shift[1]];
  };
const along =
  (a: Joint, b: Joint, t: number): Place =>
  (body, side) =>
    between(jointAt(body, side, a), jointAt(body, side, b), t);
/** On the middle line, or beside it for a part that has a side. */
const middle =
  (fromHead: number, beside = 0): Place =>
  (body, side) => [
    160 + (onLeft(body, side) ? -beside : beside),
    JOINTS[body].head[1] + (body === 'top' ? 1 : -1) * fromHead,
  ];

const PLACES: Record<Exclude<Part, 'mat'>, Place> = {
  collar: middle(38, 15),
  lapel: middle(64, 18),
  sleeve: along('elbow', 'wrist', 0.6),
  trousers: along('knee', 'ankle', 0.4),
  belt: middle(118, 8),
  'jacket-back': middle(86, 20),
  skirt: middle(134, 20),
  wrist: joint('wrist'),
  forearm: along('elbow', 'wrist', 0.5),
  elbow: joint('elbow'),
  'upper-arm': along('shoulder', 'elbow', 0.55),
  shoulder: joint('shoulder'),
  armpit: joint('shoulder', [9, 20]),
  neck: middle(28, 6),
  head: middle(4, 8),
  chest: middle(72, 14),
  back: middle(92, 14),
  waist: middle(112, 10),
  hip: joint('hip'),
  thigh: along('hip', 'knee', 0.5),
  knee: joint('knee'),
  'knee-crook': joint('knee', [8, 8]),
  shin: along('knee', 'ankle', 0.5),
  ankle: joint('ankle'),
  heel: joint('ankle', [8, 5]),
  toes: joint('toes'),
};
const AT: Partial<Record<`${Part}.${GripPlace}`, Place>> = {
  'sleeve.cuff': along('elbow', 'wrist', 0.9),
  'sleeve.elbow': along('elbow', 'wrist', 0.15),
  'trousers.cuff': along('knee', 'ankle', 0.85),
  'trousers.knee': joint('knee', [4, 6]),
  'trousers.hip': along('hip', 'knee', 0.2),
  'trousers.waist': middle(124, 14),
};

/** Where a target is; the mat has no place of its own and is drawn beside what is on it. */
export function targetAt(target: Target): Point | undefined {
  if (target.part === 'mat' || target.of === 'mat') return undefined;
  const body: Body = target.of === 'top' ? 'top' : 'own';
  const place = (target.at && AT[`${target.part}.${target.at}`]) ?? PLACES[target.part];
  if (target.side !== 'C') return place(body, target.side);
  const [x1, y1] = place(body, 'L');
  const [x2, y2] = place(body, 'R');
  return [(x1 + x2) / 2, (y1 + y2) / 2];
}

/** The region that a contact is part of. */
export function regionAt(contact: Contact): Region {
  const side = contact.endsWith('L') ? 'L' : 'R';
  if (/^(hand|arm)[LR]$/.test(contact)) return `arm${side}`;
  if (/^(foot|leg)[LR]$/.test(contact)) return `leg${side}`;
  return contact === 'head' ? 'head' : 'trunk';
}

interface PartChoice {
  part: Part;
  at?: GripPlace;
  side: Side;
}

const ARM: [Part, GripPlace?][] = [
  ['sleeve', 'cuff'],
  ['sleeve', 'elbow'],
  ['wrist'],
  ['forearm'],
  ['elbow'],
  ['upper-arm'],
  ['armpit'],
  ['shoulder'],
];
const LEG: [Part, GripPlace?][] = [
  ['trousers', 'cuff'],
  ['trousers', 'knee'],
  ['trousers', 'hip'],
  ['trousers', 'waist'],
  ['thigh'],
  ['knee'],
  ['knee-crook'],
  ['shin'],
  ['ankle'],
  ['heel'],
  ['toes'],
  ['hip'],
];

/** What can be taken in a region. */
export function partsIn(region: Region): PartChoice[] {
  const sided = (list: [Part, GripPlace?][], side: Side) =>
    list.map(([part, at]): PartChoice => ({ part, side, ...(at && { at }) }));
  switch (region) {
    case 'head':
      return sided([['head'], ['neck']], 'C');
    case 'trunk':
      return [
        ...sided([['collar'], ['lapel'], ['skirt']], 'L'),
        ...sided([['collar'], ['lapel'], ['skirt']], 'R'),
        ...sided([['chest'], ['back'], ['jacket-back'], ['waist'], ['belt'], ['thigh']], 'C'),
      ];
    case 'armL':
    case 'armR':
      return sided(ARM, region.endsWith('L') ? 'L' : 'R');
    case 'legL':
    case 'legR':
      return sided(LEG, region.endsWith('L') ? 'L' : 'R');
  }
}

/** Which signs are seen in a region. */
export function facetsIn(body: Body, region: Region): Facet[] {
  const side = region.endsWith('L') ? 'L' : 'R';
  if (body === 'own') {
    if (region === 'trunk') return ['own.torso', 'own.angle', 'own.hips'];
    if (region.startsWith('leg')) return [`own.kneeElbow${side}`, `own.heel${side}`, `own.kneeLine${side}`];
    return [];
  }
  switch (region) {
    case 'head':
      return ['top.head', 'top.neck', 'top.facing'];
    case 'trunk':
      return [
        'top.stance',
        'top.posture',
        'top.weight',
        'top.lean',
        'top.base',
        'top.range',
        'top.line',
        'top.back',
      ];
    case 'armL':
    case 'armR':
      return [`top.hand${side}`, `top.elbow${side}`];
    case 'legL':
    case 'legR':
      return [`top.leg${side}`, `top.knee${side}`, `top.heel${side}`, `top.kneeLine${side}`];
  }
}

/** The region that a facet belongs to, for the label of a sign. */
export function regionOf(facet: Facet): { body: Body; region: Region } {
  for (const body of ['top', 'own'] as const) {
    for (const region of REGIONS) if (facetsIn(body, region).includes(facet)) return { body, region };
  }
  return { body: 'top', region: 'trunk' };
}
