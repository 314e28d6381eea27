import { roundsWords, timesInTen } from '@aftersquall/core/model';
import type { ChartEdge } from './chartGraph.ts';
import styles from './currents.module.scss';
import { edgeWidth, flowWidth } from './edgePaths.ts';

interface Props {
  edge: ChartEdge;
  /** How often it is gone along in a round, once that is known, and the most of any line. */
  rate: number | undefined;
  most: number;
  path: string | undefined;
  lit: boolean;
  /** Not drawn unless it is lit: one of many between whole systems. */
  quiet: boolean;
  /** Whether it goes to the same column: many of these lie on each other. */
  beside: boolean;
}

/** A line between two cards: as thick as the exchanges on it are likely, or as often as it is gone along. */
export function EdgeLine({ edge, rate, most, path, lit, quiet, beside }: Props) {
  if (!path || (quiet && !lit)) return null;
  const best = Math.max(0, ...edge.exchanges.map(({ chance }) => chance));
  const gone = rate === undefined ? '' : `, ${roundsWords(rate)}`;
  const count = `${edge.exchanges.length} ${edge.exchanges.length === 1 ? 'answer' : 'answers'}`;
  const words = {
    drift: 'If you wait',
    success: `${count}, the best works ${timesInTen(best)}${gone}`,
    failure: `${count} when they fail${gone}`,
  }[edge.by];
  return (
    <path
      d={path}
      className={`edge ${edge.by === 'success' ? '' : styles[edge.by]} ${edge.to.startsWith('outcome:') ? styles.ending : styles.onwards} ${beside ? 'beside' : ''} ${lit ? styles.lit : ''}`}
      strokeWidth={edge.by === 'drift' ? 1.4 : rate === undefined ? edgeWidth(edge) : flowWidth(rate, most)}
      markerEnd="url(#arrow)"
    >
      <title>{words}</title>
    </path>
  );
}
