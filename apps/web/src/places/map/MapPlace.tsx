import { duplicateSystem, put, remove } from '@aftersquall/core/documents';
import { type GuardMap, type System } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { History, Plus, ScrollText } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { ButtonGroup, Dropdown } from 'react-bootstrap';
import { useHotkeys } from 'react-hotkeys-hook';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { Explained } from '../../components/Explained.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { NameDialog } from '../../components/NameDialog.tsx';
import { SaveState } from '../../components/SaveState.tsx';
import { UndoButtons } from '../../components/UndoButtons.tsx';
import { useLayer } from '../../components/useLayer.ts';
import { useEditedDocument } from '../../store/documents/useDocument.ts';
import { newPosition, newReaction } from '../../store/newThings.ts';
import { changeMap, selectMap } from '../../store/openMap.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useFindings } from '../../workers/useFindings.ts';
import { useMapWeighing } from '../../workers/useMapWeighing.ts';
import { boardOf } from './board/boardModel.ts';
import { boardWorths } from './board/boardWorths.ts';
import type { Spot } from './board/useSpot.ts';
import { ChartLegend } from './chart/ChartLegend.tsx';
import { CurrentsChart } from './chart/CurrentsChart.tsx';
import { chartGraph } from './chart/chartGraph.ts';
import { tideOf } from './chart/tide.ts';
import { FilterChoice } from './FilterChoice.tsx';
import { FindingsButton } from './FindingsButton.tsx';
import { MapMenu } from './MapMenu.tsx';
import styles from './map.module.scss';
import { Pane } from './Pane.tsx';
import { SystemDialog } from './SystemDialog.tsx';
import { positionOf, type Selection, useSelection } from './selection.ts';
import { Sheet } from './sheet/Sheet.tsx';
import { Teaching } from './Teaching.tsx';
import { type MapPane, shownBy, useView } from './useView.ts';
import { say } from './words.ts';

const AnswerBoard = lazy(async () => ({ default: (await import('./board/AnswerBoard.tsx')).AnswerBoard }));

const Handbook = lazy(async () => ({ default: (await import('./book/Handbook.tsx')).Handbook }));

type Naming = 'position' | 'reaction' | 'system' | 'positions of system';
const TITLES: Record<'position' | 'reaction', string> = {
  position: 'New position',
  reaction: say.newReactionWhatDoes,
};

/** The system of a coach: as currents or as an answer board, with what there is to say about it at its sides. */
export function MapPlace() {
  const map = useAppSelector(selectMap)!;
  useEditedDocument('map', map.id);
  const rules = useAppSelector(({ settings }) => SHIPPED_PROFILES.find(({ id }) => id === settings.rules));
  const dispatch = useAppDispatch();
  const [selection, select] = useSelection();
  const { view, layout, pane, spot, filters, set } = useView();
  const [naming, setNaming] = useState<Naming>();
  // What has just been made is what the next key is for.
  const [made, setMade] = useState('');
  const { system } = filters;
  const shown = useMemo(() => shownBy(map, filters), [map, filters]);
  const graph = useMemo(() => {
    if (view !== 'currents') return undefined;
    const beyond = shownBy(map, { ...filters, system: '', holes: false });
    return chartGraph(map, { shown, beyond, system, rules, folded: filters.folded });
  }, [map, shown, system, rules, filters, view]);
  const board = useMemo(
    () => (view === 'board' ? boardOf(map, shown, layout) : undefined),
    [map, shown, view, layout],
  );
  const { weighing, stale } = useMapWeighing(map);
  const { findings, fresh, failed } = useFindings(map, rules, weighing);
  const tide = useMemo(() => graph && weighing && tideOf(graph, weighing), [graph, weighing]);
  const worths = useMemo(() => weighing && boardWorths(weighing), [weighing]);
  const empty = !map.positions.some(shown);

  useHotkeys('n', () => setNaming('position'), { preventDefault: true, useKey: true });
  useHotkeys('b', () => set({ view: view === 'board' ? undefined : 'board' }), { useKey: true });
  useLayer(Boolean(pane), () => set({ pane: undefined }));
  useLayer(Boolean(selection), () => select(undefined));

  const create = (name: string) => {
    if (naming === 'position') {
      const position = newPosition(map, name, system || undefined);
      dispatch(changeMap(put('position', position)));
      select({ kind: 'position', id: position.id });
      setMade(position.id);
    } else if (naming === 'reaction') {
      const reaction = newReaction(map, name);
      dispatch(changeMap(put('reaction', reaction)));
      select({ kind: 'reaction', id: reaction.id });
      setMade(reaction.id);
    }
    setNaming(undefined);
  };
  const chosen = map.systems.find(({ id }) => id === system);
  const copySystem = () => {
    const copy = duplicateSystem(map, system);
    if (dispatch(changeMap(copy.command)).length === 0) set({ system: copy.id });
  };
  const removeSystem = () => {
    dispatch(
      changeMap(remove('system', system), {
        announce: `Removed the system “${chosen?.name}”. Its positions stay.`,
      }),
    );
    set({ system: undefined });
  };
  const flip = (which: MapPane) => set({ pane: pane === which ? undefined : which });

  return (
    <>
      <title>{`Map · ${map.name}`}</title>
      <header className="place-bar">
        <MapMenu map={map} system={chosen} />
        <ChoiceToggle
          label={say.viewMap}
          value={view}
          choices={[
            ['currents', 'Chart'],
            ['board', 'Board'],
            ['handbook', 'Handbook'],
          ]}
          onChange={(next) => set({ view: next === 'currents' ? undefined : next })}
        />
        <SystemChoice
          systems={map.systems}
          system={system}
          onShow={(id) => set({ system: id, cell: undefined })}
          onNew={() => setNaming('system')}
        />
        <FilterChoice filters={filters} set={set} />
        <span className="push" />
        <SaveState />
        <div className="btn-group btn-group-sm" role="group" aria-label="About the map">
          <FindingsButton
            findings={findings}
            fresh={fresh}
            on={pane === 'findings'}
            onClick={() => flip('findings')}
          />
          <button
            type="button"
            className={`btn ${pane === 'lines' ? 'btn-dark' : 'btn-plain'}`}
            aria-pressed={pane === 'lines'}
            title={say.mapLinesText}
            onClick={() => flip('lines')}
          >
            <ScrollText size={15} aria-hidden /> Lines
          </button>
          <button
            type="button"
            className={`btn ${pane === 'history' ? 'btn-dark' : 'btn-plain'}`}
            aria-pressed={pane === 'history'}
            aria-label="History"
            title={say.historyWhoChangedWhat}
            onClick={() => flip('history')}
          >
            <History size={15} aria-hidden />
          </button>
        </div>
        <UndoButtons />
        <Dropdown as={ButtonGroup} size="sm">
          <button type="button" className="btn btn-sm btn-now" onClick={() => setNaming('position')}>
            <Plus size={14} aria-hidden /> Position
          </button>
          <Dropdown.Toggle split className="btn-now" aria-label="Add something else" />
          <Dropdown.Menu align="end">
            <Dropdown.Item onClick={() => setNaming('position')}>Position</Dropdown.Item>
            <Dropdown.Item onClick={() => setNaming('reaction')}>Reaction</Dropdown.Item>
            <Dropdown.Item onClick={() => setNaming('system')}>Guard system</Dropdown.Item>
            {chosen && (
              <>
                <Dropdown.Divider />
                <Dropdown.Item onClick={() => setNaming('positions of system')}>
                  Positions of “{chosen.name}”…
                </Dropdown.Item>
                <Dropdown.Item onClick={copySystem}>Duplicate “{chosen.name}”</Dropdown.Item>
                <Dropdown.Item onClick={removeSystem}>
                  Remove “{chosen.name}”, not its positions
                </Dropdown.Item>
              </>
            )}
          </Dropdown.Menu>
        </Dropdown>
      </header>
      {map.positions.length > 0 && (
        <Explained term={view === 'board' || view === 'handbook' ? view : 'chart'} />
      )}
      {map.positions.length > 0 && !board && view !== 'handbook' && <ChartLegend weighed={Boolean(tide)} />}
      <div className={styles['map-body']}>
        {pane && (
          <Pane
            pane={pane}
            map={map}
            findings={findings}
            fresh={fresh}
            failed={failed}
            positions={map.positions.filter(shown).map(({ id }) => id)}
            draft={`${map.id}.${system}`}
            onClose={() => set({ pane: undefined })}
            onJump={(next, cell) =>
              set({
                sel: `${next.kind}.${next.id}`,
                ...(cell && { view: 'board', cell: `${cell.row}.${cell.column}`, system: undefined }),
              })
            }
          />
        )}
        {empty ? (
          <Teaching
            filtered={map.positions.length > 0}
            inSystem={Boolean(system)}
            unknown={Boolean(system) && !map.systems.some(({ id }) => id === system)}
            onName={() => setNaming('position')}
            onLines={() => set({ pane: 'lines' })}
          />
        ) : view === 'handbook' ? (
          <Suspense fallback={null}>
            <Handbook map={map} system={chosen} positions={map.positions.filter(shown)} />
          </Suspense>
        ) : board ? (
          <Suspense fallback={<div className="board" />}>
            <AnswerBoard
              map={map}
              board={board}
              onLayout={(next) => set({ board: next === 'tables' ? undefined : next })}
              worths={worths}
              stale={stale}
              system={system || undefined}
              asked={spot ?? spotOf(map, selection)}
              onSpot={({ row, column }) => set({ cell: `${row}.${column}` }, { replace: true })}
              selected={selection}
              select={select}
            />
          </Suspense>
        ) : (
          graph && (
            <CurrentsChart
              graph={graph}
              tide={tide}
              stale={stale}
              failingFaded={filters.failingFaded}
              selected={positionOf(map, selection)}
              onSelect={(id) => select(id ? { kind: 'position', id } : undefined)}
              onSystem={(id) => set({ system: id })}
            />
          )
        )}
        {selection && (
          <Sheet
            key={selection.id}
            map={map}
            selection={selection}
            select={select}
            withFocus={made === selection.id}
          />
        )}
      </div>
      {(naming === 'position' || naming === 'reaction') && (
        <NameDialog title={TITLES[naming]} onName={create} onHide={() => setNaming(undefined)} />
      )}
      {(naming === 'system' || naming === 'positions of system') && (
        <SystemDialog
          map={map}
          system={naming === 'system' ? undefined : chosen}
          onDone={(id) => {
            setNaming(undefined);
            if (id) set({ system: id });
          }}
        />
      )}
    </>
  );
}

/** Where the board begins when the address says nothing of it: at what is selected. */
const spotOf = (map: GuardMap, selection: Selection | undefined): Spot | undefined => {
  const row = selection?.kind === 'move' ? selection.id : positionOf(map, selection);
  return row ? { row, column: 'head' } : undefined;
};

interface SystemProps {
  systems: readonly System[];
  system: string;
  onShow: (id: string) => void;
  onNew: () => void;
}

/** One system or all of them; a new one at the end of the list. */
function SystemChoice({ systems, system, onShow, onNew }: SystemProps) {
  return (
    <SelectField
      label="Guard system shown"
      hideLabel
      value={system}
      choices={[
        { value: '', name: 'All systems' },
        ...systems.map(({ id, name }) => ({ value: id, name })),
        { value: '+', name: '+ new system…' },
      ]}
      onChange={(id) => (id === '+' ? onNew() : onShow(id))}
    />
  );
}
