import { PositionPicture } from '../../../components/PositionPicture.tsx';
import { ShortName } from '../../../components/ShortName.tsx';
import { Worth } from '../../../components/Worth.tsx';
import type { ChartNode } from './chartGraph.ts';
import styles from './currents.module.scss';
import type { Placed } from './layoutChart.ts';
import { SystemCard } from './SystemCard.tsx';

interface Props {
  node: ChartNode;
  /** Points, once that is known. */
  value: number | undefined;
  /** Of a system: where it ends best. */
  bestEnd: string | undefined;
  place: Placed;
  state: string;
  onPick: (node: ChartNode) => void;
  onPoint: ((id: string | undefined) => void) | undefined;
}

const holeWords = (count: number): string => `${count} ${count === 1 ? 'hole' : 'holes'}`;

/** A position, a folded system or an outcome where the layout put it. */
export function ChartCard({ node, value, bestEnd, place, state, onPick, onPoint }: Props) {
  const { x, y, width, height } = place;
  if (node.kind === 'outcome') {
    const sign = { own: '▲', top: '▼', even: '◆' }[node.good];
    return (
      <g className={`${styles.outcome} ${node.good} ${state}`} transform={`translate(${x} ${y})`}>
        <rect width={width} height={height} rx={height / 2} />
        <foreignObject width={width} height={height}>
          <div className={styles['outcome-text']}>
            <span aria-hidden>{sign}</span> {node.name}
          </div>
        </foreignObject>
      </g>
    );
  }
  const open = node.kind === 'position' ? node.holes.length : node.kind === 'system' ? node.holes : 0;
  const entry = node.kind === 'position' && (node.position.entry ?? 0) > 0;
  return (
    <g transform={`translate(${x} ${y})`} className={`card-group ${node.kind} ${state}`}>
      {open > 0 && (
        <g className="hole" transform={`translate(${width} ${height - 14})`}>
          <path d="M0 0h7m5 0h5" />
          <circle cx="23" r="5" />
          <title>{`${open} ${open === 1 ? 'hole' : 'holes'} here`}</title>
        </g>
      )}
      <foreignObject width={width} height={height}>
        <button
          type="button"
          className={`position-card ${entry ? styles['is-entry'] : ''} ${node.kind === 'system' && node.gate ? styles['is-gate'] : ''}`}
          aria-pressed={state === 'selected'}
          onClick={() => onPick(node)}
          onPointerEnter={() => onPoint?.(node.id)}
          onPointerLeave={() => onPoint?.(undefined)}
        >
          {node.kind === 'system' && !node.gate ? (
            <SystemCard node={node} value={value} bestEnd={bestEnd} />
          ) : (
            <span className={styles['row-one']}>
              {node.kind === 'position' && <PositionPicture position={node.position} width={72} />}
              <span className="name">
                <ShortName of={node.kind === 'system' ? node.system : node.position} />
              </span>
            </span>
          )}
          {node.kind === 'position' && (
            <span className={styles['row-two']}>
              {entry && <b>start</b>}
              <span>
                {node.moves} {node.moves === 1 ? 'move' : 'moves'}
              </span>
              {value !== undefined && <Worth value={value} />}
              {open > 0 && <span className={styles['open-count']}>{holeWords(open)}</span>}
            </span>
          )}
        </button>
      </foreignObject>
    </g>
  );
}
