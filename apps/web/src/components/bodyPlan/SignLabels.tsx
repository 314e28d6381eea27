import { signWords } from '@aftersquall/core/body';
import { type Facet, type Signs } from '@aftersquall/core/model';
import styles from './bodyPlan.module.scss';
import { type Body, jointAt, PLAN, type Point, regionOf } from './geometry.ts';

/** Signs in words where they are seen; those of the whole body stand at its head. */
export function SignLabels({ signs }: { signs: Signs }) {
  const lines: Record<Body, string[]> = { top: [], own: [] };
  const labels: { key: string; point: Point; text: string; anchor: 'start' | 'end'; body: Body }[] = [];
  const used = new Map<string, number>();
  for (const [facet, value] of Object.entries(signs)) {
    const { body, region } = regionOf(facet as Facet);
    const short = String(value).replaceAll('-', ' ');
    if (region === 'trunk' || region === 'head') {
      lines[body].push(
        [
          'top.weight',
          'top.base',
          'top.lean',
          'top.head',
          'top.neck',
          'top.back',
          'own.angle',
          'own.hips',
        ].includes(facet)
          ? `${facet.split('.')[1]} ${short}`
          : short,
      );
      continue;
    }
    const side = region.endsWith('L') ? 'L' : 'R';
    const [x, y] = jointAt(body, side, region.startsWith('arm') ? 'hand' : 'ankle');
    const left = x < 160;
    const row = used.get(`${body}${region}`) ?? 0;
    used.set(`${body}${region}`, row + 1);
    labels.push({
      key: facet,
      point: [left ? x - 14 : x + 14, y + 4 + row * 12],
      text: signWords(facet as Facet, String(value)).replace(/^(top's|our) (left |right )?/, ''),
      anchor: left ? 'end' : 'start',
      body,
    });
  }
  return (
    <g className={styles.signs} aria-hidden>
      {lines.top.map((text, i) => (
        <text key={text} x={PLAN.width - 6} y={16 + i * 13} textAnchor="end" className="top">
          {text}
        </text>
      ))}
      {lines.own.map((text, i) => (
        <text key={text} x={PLAN.width - 6} y={PLAN.height - 8 - i * 13} textAnchor="end" className="own">
          {text}
        </text>
      ))}
      {labels.map(({ key, point, text, anchor, body }) => (
        <text key={key} x={point[0]} y={point[1]} textAnchor={anchor} className={body}>
          {text}
        </text>
      ))}
    </g>
  );
}
