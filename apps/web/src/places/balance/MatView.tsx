import { heading, type Point, type TippingProfile, weakestArc } from '@aftersquall/core/balance';
import { contactName } from '@aftersquall/core/body';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import styles from './balance.module.scss';
import { say as texts } from './words.ts';

interface Props {
  profile: TippingProfile;
  degrees: number;
  /** The direction of the sweep it was opened from. */
  sweep?: number | undefined;
  label: string;
  onDegrees?: (degrees: number) => void;
  /** The centre of mass was moved by so much from where the stance has it. */
  onLean?: (by: Point) => void;
}

/** Metres that are shown to each side of the hips. */
const REACH = 1.15;
const SCALE = 100;
const BONES: [string, string][] = [
  ['hips', 'shoulders'],
  ['shoulders', 'crown'],
  ['hipL', 'hipR'],
  ['shoulderL', 'shoulderR'],
  ...(['L', 'R'] as const).flatMap((side): [string, string][] => [
    [`hip${side}`, `knee${side}`],
    [`knee${side}`, `ankle${side}`],
    [`heel${side}`, `toe${side}`],
    [`shoulder${side}`, `elbow${side}`],
    [`elbow${side}`, `wrist${side}`],
    [`wrist${side}`, `hand${side}`],
  ]),
];

/** Metres to the picture: top's front is down, towards bottom, so that the coach sees the mat from bottom's end. */
const place = ([x, y]: Point): Point => [-x * SCALE, y * SCALE];
const say = (points: readonly Point[]): string => points.map((point) => place(point).join(',')).join(' ');

/** Top from above at true scale: what stands on the mat, the centre of mass, how far to the edge all round, re-posts. */
export function MatView({ profile, degrees, sweep, label, onDegrees, onLean }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const dragged = useRef<Point>(undefined);
  const { com, polygon, patches, joints, directions } = profile;
  const arc = weakestArc(profile);
  const here = directions.find((direction) => direction.degrees === degrees);
  const round = [...directions].sort((a, b) => a.degrees - b.degrees);
  const rim = (length: (direction: (typeof directions)[number]) => number): Point[] =>
    round.map((direction) => tip(com, direction.degrees, Math.max(0, length(direction))));

  const at = (event: PointerEvent): Point => {
    const box = svg.current!.getBoundingClientRect();
    const size = (2 * REACH) / box.width;
    return [-((event.clientX - box.left) * size - REACH), (event.clientY - box.top) * size - REACH];
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step: Record<string, Point> = {
      ArrowLeft: [0.02, 0],
      ArrowRight: [-0.02, 0],
      ArrowUp: [0, -0.02],
      ArrowDown: [0, 0.02],
    };
    const by = step[event.key];
    if (!by || !onLean) return;
    event.preventDefault();
    onLean(by);
  };
  const size = REACH * SCALE;
  return (
    <svg
      ref={svg}
      className={styles['mat-view']}
      viewBox={`${-size} ${-size} ${2 * size} ${2 * size}`}
      role="group"
      aria-label={label}
      onPointerMove={(event) => {
        if (!dragged.current || !onLean) return;
        const now = at(event);
        onLean([now[0] - dragged.current[0], now[1] - dragged.current[1]]);
        dragged.current = now;
      }}
      onPointerUp={() => {
        dragged.current = undefined;
      }}
    >
      {[-1, -0.5, 0, 0.5, 1].map((metre) => (
        <g key={metre} className={styles.tatami}>
          <path d={`M${-size} ${metre * SCALE}H${size}M${metre * SCALE} ${-size}V${size}`} />
        </g>
      ))}
      <text x={-size + 6} y={size - 6} className={styles.scale}>
        ½ m a line
      </text>
      <text x={0} y={size - 6} textAnchor="middle" className={styles.scale}>
        top’s front, bottom is here
      </text>
      <g className={styles.bones}>
        {BONES.map(([from, to]) => {
          const [a, b] = [joints[from]!, joints[to]!];
          const [p, q] = [place([a[0], a[1]]), place([b[0], b[1]])];
          return <path key={`${from}${to}`} className={styles.bone} d={`M${p.join(' ')}L${q.join(' ')}`} />;
        })}
      </g>
      <polygon points={say(polygon)} className={styles.base} />
      {patches.map(({ contact, points }) => (
        <polygon key={contact} points={say(hullOrder(points))} className={styles.patch}>
          <title>{contactName(contact)}</title>
        </polygon>
      ))}
      <polygon points={say(rim(({ guarded }) => guarded))} className={`${styles.rose} ${styles.guarded}`} />
      <polygon points={say(rim(({ margin }) => margin))} className={styles.rose} />
      {directions.map((direction) => {
        const [x1, y1] = place(com);
        const weak = arc.has(direction.degrees);
        const [x2, y2] = place(tip(com, direction.degrees, weak ? 0.95 : Math.max(0.04, direction.margin)));
        const chosen = direction.degrees === degrees;
        return (
          <g
            key={direction.degrees}
            className={`${styles.ray} ${weak ? styles.weak : ''} ${chosen ? 'chosen' : ''}`}
          >
            <path d={`M${x1} ${y1}L${x2} ${y2}`} />
            {onDegrees && (
              // biome-ignore lint/a11y/noStaticElementInteractions: a ray is made wide for the finger; the slider under it has the keys
              <path
                className="finger"
                d={`M${x1} ${y1}L${place(tip(com, direction.degrees, 1.05)).join(' ')}`}
                onClick={() => onDegrees(direction.degrees)}
              />
            )}
          </g>
        );
      })}
      {here?.reposts.map(({ contact, at: spot }, i) => {
        const [x, y] = place(spot);
        const [x1, y1] = place([joints.hips![0], joints.hips![1]]);
        return (
          <g key={contact} className={styles.repost}>
            <path d={`M${x1} ${y1}L${x} ${y}`} />
            <circle cx={x} cy={y} r="6" />
            <text x={x + 9} y={y + (i % 2 === 0 ? -3 : 11)}>
              {contact.replace(/[LR]$/, '')}
            </text>
          </g>
        );
      })}
      {sweep !== undefined && (
        <path
          className={styles.sweep}
          d={`M${place(tip(com, sweep, 0.2)).join(' ')}L${place(tip(com, sweep, 0.9)).join(' ')}`}
          markerEnd="url(#sweep-end)"
        />
      )}
      <defs>
        <marker
          id="sweep-end"
          viewBox="0 0 8 8"
          refX="6"
          refY="4"
          markerWidth="4"
          markerHeight="4"
          orient="auto"
        >
          <path d="M0 0 8 4 0 8Z" />
        </marker>
      </defs>
      <g
        className={styles.com}
        transform={`translate(${place(com).join(' ')})`}
        {...(onLean && {
          role: 'button',
          tabIndex: 0,
          'aria-label': texts.centreMassDragLean,
          onKeyDown,
          onPointerDown: (event: PointerEvent<SVGGElement>) => {
            dragged.current = at(event);
            svg.current?.setPointerCapture(event.pointerId);
          },
        })}
      >
        <circle r="13" className="finger" />
        <circle r="6" />
        <path d="M-9 0H9M0 -9V9" />
      </g>
    </svg>
  );
}

const tip = ([x, y]: Point, degrees: number, length: number): Point => {
  const [dx, dy] = heading(degrees);
  return [x + dx * length, y + dy * length];
};

/** Corners of a patch in turn, so that it is drawn as an area. */
function hullOrder(points: readonly Point[]): Point[] {
  const x = points.reduce((sum, p) => sum + p[0], 0) / points.length;
  const y = points.reduce((sum, p) => sum + p[1], 0) / points.length;
  return [...points].sort((a, b) => Math.atan2(a[1] - y, a[0] - x) - Math.atan2(b[1] - y, b[0] - x));
}
