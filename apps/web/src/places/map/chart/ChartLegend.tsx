import { Explained } from '../../../components/Explained.tsx';
import { say } from '../words.ts';
import styles from './currents.module.scss';
import { flowWidth } from './edgePaths.ts';

/** What the lines and signs of the chart mean, drawn as the chart draws them; one tap puts it away. */
export function ChartLegend({ weighed }: { weighed: boolean }) {
  return (
    <Explained term="chart-legend">
      <span className={styles.legend}>
        <Sign words={weighed ? say.thickOften : say.thickMany}>
          <path className="edge" d="M2 7H38" strokeWidth={flowWidth(0.7, 1)} />
        </Sign>
        <Sign words={say.dashedFails}>
          <path className={`edge ${styles.failure}`} d="M2 7H38" strokeWidth={flowWidth(0.1, 1)} />
        </Sign>
        <Sign words={say.dottedWait}>
          <path className={`edge ${styles.drift}`} d="M2 7H38" strokeWidth={1.4} />
        </Sign>
        <Sign words={say.ringHole}>
          <g className="hole" transform="translate(4 7)">
            <path d="M0 0h16" />
            <circle cx={20} r={4} />
          </g>
        </Sign>
        {weighed && <span>{say.figurePoints}</span>}
      </span>
    </Explained>
  );
}

const Sign = ({ words, children }: { words: string; children: React.ReactNode }) => (
  <span>
    <svg width={40} height={14} aria-hidden="true">
      {children}
    </svg>
    {words}
  </span>
);
