import styles from './bodyPlan.module.scss';
import { byKey } from './byKey.ts';
import { type Body, jointAt, type Point, type Region } from './geometry.ts';

const REGION_NAMES: Record<Region, string> = {
  head: 'head and neck',
  trunk: 'trunk',
  armL: 'left arm',
  armR: 'right arm',
  legL: 'left leg',
  legR: 'right leg',
};

const path = (...points: Point[]): string => `M${points.map((point) => point.join(' ')).join(' L')}`;

function shapeOf(body: Body, region: Region): { d: string; width: number; head?: Point } {
  const [x, y] = jointAt(body, 'L', 'head');
  const side = region.endsWith('L') ? 'L' : 'R';
  const at = (joint: Parameters<typeof jointAt>[2], of: 'L' | 'R' = side) => jointAt(body, of, joint);
  switch (region) {
    case 'head':
      return { d: '', width: 0, head: [x, y] };
    case 'trunk':
      return {
        d: `${path(at('shoulder', 'L'), at('shoulder', 'R'), at('hip', 'R'), at('hip', 'L'))}Z`,
        width: 14,
      };
    case 'armL':
    case 'armR':
      return { d: path(at('shoulder'), at('elbow'), at('wrist'), at('hand')), width: 17 };
    case 'legL':
    case 'legR':
      return { d: path(at('hip'), at('knee'), at('ankle'), at('toes')), width: 20 };
  }
}

interface Props {
  body: Body;
  region: Region;
  here: boolean;
  marked: boolean;
  onPick: (() => void) | undefined;
}

/** A part of a body: looked at, or picked to say what is seen of it. */
export function RegionShape({ body, region, here, marked, onPick }: Props) {
  const { d, width, head } = shapeOf(body, region);
  const name = `${body === 'top' ? "top's" : 'our'} ${REGION_NAMES[region]}`;
  const shape = head ? (
    <circle cx={head[0]} cy={head[1]} r={body === 'top' ? 21 : 19} />
  ) : (
    <path d={d} strokeWidth={width} className={region === 'trunk' ? styles.trunk : 'limb'} />
  );
  return (
    <g
      className={`${styles.region} ${here ? 'here' : ''} ${marked ? styles.marked : ''}`}
      {...(onPick && {
        role: 'button',
        tabIndex: 0,
        'aria-label': name,
        'aria-pressed': here,
        onClick: onPick,
        onKeyDown: byKey(onPick),
      })}
    >
      {shape}
      {!head && region !== 'trunk' && <path d={d} className={styles.core} />}
    </g>
  );
}
