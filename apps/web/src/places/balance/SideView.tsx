import { heading, type ProfileDirection, type TippingProfile } from '@aftersquall/core/balance';
import styles from './balance.module.scss';
import { say } from './words.ts';

interface Props {
  profile: TippingProfile;
  direction: ProfileDirection;
  pushHeight: number;
}

const SCALE = 100;
const LINKS: string[][] = [
  ['crown', 'shoulders', 'hips'],
  ['hipL', 'kneeL', 'ankleL', 'toeL'],
  ['hipR', 'kneeR', 'ankleR', 'toeR'],
  ['shoulderL', 'elbowL', 'wristL', 'handL'],
  ['shoulderR', 'elbowR', 'wristR', 'handR'],
];

/** Top from the side, looking across the push: the centre of mass, the edge it has to pass, the angle that takes. */
export function SideView({ profile, direction, pushHeight }: Props) {
  const { joints, com, height } = profile;
  const [dx, dy] = heading(direction.degrees);
  const along = (x: number, y: number): number => (x * dx + y * dy) * SCALE;
  const middle = along(com[0], com[1]);
  const edge = middle + direction.margin * SCALE;
  const up = (z: number): number => -z * SCALE;
  return (
    <svg
      className={styles['side-view']}
      viewBox="-120 -185 240 205"
      role="img"
      aria-label={say.topSidePushGoing}
    >
      <path className={styles.floor} d="M-120 0H120" />
      {LINKS.map((link) => (
        <polyline
          key={link[1]}
          className={styles.bone}
          points={link
            .map((name) => `${along(joints[name]![0], joints[name]![1])},${up(joints[name]![2])}`)
            .join(' ')}
        />
      ))}
      <path className={styles.plumb} d={`M${middle} ${up(height)}V0`} />
      {direction.margin > 0 && <path className={styles.tilt} d={`M${edge} 0L${middle} ${up(height)}`} />}
      <circle className="edge" cx={edge} cy="0" r="4" />
      <circle className={styles.com} cx={middle} cy={up(height)} r="6" />
      <path className="push" d={`M${middle - 52} ${up(pushHeight)}h34`} markerEnd="url(#sweep-end)" />
      <text x={edge + 6} y="14">
        {direction.margin > 0 ? `${direction.tipAngle.toFixed(0)}°` : 'falling'}
      </text>
    </svg>
  );
}
