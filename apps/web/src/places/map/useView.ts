import { holes } from '@aftersquall/core/check';
import { type Apparel, type GuardMap, type Level, type Position } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { useAddress } from '../../store/useAddress.ts';
import type { BoardLayout } from './board/boardModel.ts';
import type { Spot } from './board/useSpot.ts';

type MapView = 'currents' | 'board' | 'handbook';
export type MapPane = 'findings' | 'history' | 'lines';

export interface Filters {
  system: string;
  /** Only what can be played in it. */
  wear: Apparel | '';
  /** Only what is meant for this level or below. */
  level: Level | '';
  /** Only positions in which something has no answer. */
  holes: boolean;
  /** Whether systems stand as single cards; undefined where the size of the map decides. */
  folded: boolean | undefined;
  /** Lines of what fails step back; they never go. */
  failingFaded: boolean;
}

const VIEWS = ['board', 'handbook'];
const LEVELS: readonly Level[] = ['novice', 'intermediate', 'expert'];

/** What of the map is shown and how, kept in the address. */
export function useView() {
  const [params, set] = useAddress();
  const text = (key: string) => params.get(key) ?? '';
  const [system, wear, level] = [text('system'), text('wear'), text('level')];
  const [open, fold, failing] = [text('holes'), text('fold'), text('failing')];
  const filters = useMemo(
    (): Filters => ({
      system,
      wear: wear as Apparel | '',
      level: level as Level | '',
      holes: open === 'only',
      folded: fold ? fold === 'all' : undefined,
      failingFaded: failing === 'faded',
    }),
    [system, wear, level, open, fold, failing],
  );
  const [row, column] = text('cell').split('.');
  return {
    view: (VIEWS.includes(text('view')) ? text('view') : 'currents') as MapView,
    layout: (text('board') === 'grid' ? 'grid' : 'tables') as BoardLayout,
    pane: (text('pane') || undefined) as MapPane | undefined,
    spot: row ? ({ row, column: column || 'head' } satisfies Spot) : undefined,
    filters,
    set,
  };
}

/** Which positions the filters leave. */
export function shownBy(
  map: GuardMap,
  { system, wear, level, holes: only }: Filters,
): (position: Position) => boolean {
  const open = only ? new Set(holes(map).map((hole) => hole.position.id)) : undefined;
  const least = level ? LEVELS.indexOf(level) : LEVELS.length;
  return (position) =>
    (!system || position.systems.includes(system)) &&
    (!wear || position.apparel === 'both' || position.apparel === wear) &&
    LEVELS.indexOf(position.level) <= least &&
    (!open || open.has(position.id));
}
