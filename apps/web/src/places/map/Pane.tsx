import type { Finding } from '@aftersquall/core/check';
import type { GuardMap } from '@aftersquall/core/model';
import { X } from 'lucide-react';
import { lazy, Suspense } from 'react';
import type { Spot } from './board/useSpot.ts';
import { FindingsPane } from './findings/FindingsPane.tsx';
import { HistoryPane } from './history/HistoryPane.tsx';
import styles from './map.module.scss';
import type { Selection } from './selection.ts';
import type { MapPane } from './useView.ts';

const LinesPane = lazy(async () => ({ default: (await import('./lines/LinesPane.tsx')).LinesPane }));

const NAMES: Record<MapPane, string> = {
  findings: 'What needs work',
  history: 'History',
  lines: 'Lines',
};

interface Props {
  pane: MapPane;
  map: GuardMap;
  findings: readonly Finding[];
  fresh: boolean;
  failed: boolean;
  positions: readonly string[];
  draft: string;
  onClose: () => void;
  onJump: (selection: Selection, spot?: Spot) => void;
}

/** The strip on the left: findings, history, or the same map as lines. */
export function Pane({ pane, map, findings, fresh, failed, positions, draft, onClose, onJump }: Props) {
  return (
    <aside className={`${styles.pane} ${pane}`} aria-label={NAMES[pane]}>
      <div className="d-flex align-items-center mb-2">
        <h2 className="mb-0">{NAMES[pane]}</h2>
        <button type="button" className="bare ms-auto" aria-label={`Close: ${NAMES[pane]}`} onClick={onClose}>
          <X size={18} aria-hidden />
        </button>
      </div>
      {pane === 'findings' && (
        <FindingsPane map={map} findings={findings} fresh={fresh} failed={failed} onJump={onJump} />
      )}
      {pane === 'history' && <HistoryPane map={map} />}
      {pane === 'lines' && (
        <Suspense fallback={null}>
          <LinesPane key={draft} map={map} positions={positions} draft={draft} />
        </Suspense>
      )}
    </aside>
  );
}
