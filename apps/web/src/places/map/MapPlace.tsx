import './map.scss';
import {
  batch,
  duplicateSystem,
  type Finding,
  freshId,
  put,
  removeWithUsers,
  SHIPPED_PROFILES,
  type System,
} from '@aftersquall/core';
import { History, ListFilter, Plus, Redo2, ScrollText, Stethoscope, Undo2 } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { ButtonGroup, Dropdown } from 'react-bootstrap';
import { useHotkeys } from 'react-hotkeys-hook';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { SaveState } from '../../shell/SaveState.tsx';
import { changeMap, redoChange, selectMap, selectSession, told, undoChange } from '../../store/mapSession.ts';
import { setRules } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useFindings } from '../../workers/useFindings.ts';
import { boardOf } from './board/boardModel.ts';
import { CurrentsChart } from './chart/CurrentsChart.tsx';
import { chartGraph } from './chart/chartGraph.ts';
import { MapMenu } from './MapMenu.tsx';
import { NameDialog } from './NameDialog.tsx';
import { newPosition, newReaction } from './newThings.ts';
import { Pane } from './Pane.tsx';
import { positionOf, useSelection } from './selection.ts';
import { Sheet } from './sheet/Sheet.tsx';
import { type MapPane, shownBy, useView } from './useView.ts';

const AnswerBoard = lazy(async () => ({ default: (await import('./board/AnswerBoard.tsx')).AnswerBoard }));

type Naming = 'position' | 'reaction' | 'system';
const TITLES: Record<Naming, string> = {
  position: 'New position',
  reaction: 'New reaction: what does top do?',
  system: 'New guard system',
};

/** The system of a coach: as currents or as an answer board, with what there is to say about it at its sides. */
export function MapPlace() {
  const map = useAppSelector(selectMap)!;
  const rules = useAppSelector(({ settings }) => SHIPPED_PROFILES.find(({ id }) => id === settings.rules));
  const dispatch = useAppDispatch();
  const [selection, select] = useSelection();
  const { view, pane, spot, filters, set } = useView();
  const [naming, setNaming] = useState<Naming>();
  const { system } = filters;
  const shown = useMemo(() => shownBy(map, filters), [map, filters]);
  const graph = useMemo(() => {
    if (view !== 'currents') return undefined;
    const beyond = shownBy(map, { ...filters, system: '', holes: false });
    return chartGraph(map, { shown, beyond, system, rules, folded: filters.folded });
  }, [map, shown, system, rules, filters, view]);
  const board = useMemo(() => (view === 'board' ? boardOf(map, shown) : undefined), [map, shown, view]);
  const { findings, fresh } = useFindings(map, rules);
  const empty = !map.positions.some(shown);

  useHotkeys('n', () => setNaming('position'), { preventDefault: true });
  useHotkeys('b', () => set({ view: view === 'board' ? undefined : 'board' }));
  useHotkeys('esc', () => select(undefined), { enabled: !naming });

  const create = (name: string) => {
    if (naming === 'position') {
      const position = newPosition(map, name, system || undefined);
      dispatch(changeMap(put('position', position)));
      select({ kind: 'position', id: position.id });
    } else if (naming === 'reaction') {
      const reaction = newReaction(map, name);
      dispatch(changeMap(put('reaction', reaction)));
      select({ kind: 'reaction', id: reaction.id });
    } else {
      const id = freshId(
        name,
        map.systems.map((known) => known.id),
      );
      dispatch(changeMap(batch([put('system', { id, name, aliases: [], note: '' })])));
      set({ system: id });
    }
    setNaming(undefined);
  };
  const known = map.systems.find(({ id }) => id === system);
  const copySystem = () => {
    const copy = duplicateSystem(map, system);
    if (dispatch(changeMap(copy.command)).length === 0) set({ system: copy.id });
  };
  const removeSystem = () => {
    dispatch(changeMap(removeWithUsers(map, 'system', system)));
    dispatch(told(`Removed the system “${known?.name}”; its positions are still there.`));
    set({ system: undefined });
  };
  const flip = (which: MapPane) => set({ pane: pane === which ? undefined : which });

  return (
    <>
      <header className="place-bar">
        <MapMenu map={map} />
        <ChoiceToggle
          label="View of the map"
          value={view}
          choices={[
            ['currents', 'Currents'],
            ['board', 'Board'],
          ]}
          onChange={(next) => set({ view: next === 'board' ? 'board' : undefined })}
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
            title="The same as lines of text"
            onClick={() => flip('lines')}
          >
            <ScrollText size={15} aria-hidden /> Lines
          </button>
          <button
            type="button"
            className={`btn ${pane === 'history' ? 'btn-dark' : 'btn-plain'}`}
            aria-pressed={pane === 'history'}
            aria-label="History"
            title="History: who changed what"
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
            {known && (
              <>
                <Dropdown.Divider />
                <Dropdown.Item onClick={copySystem}>Duplicate “{known.name}”</Dropdown.Item>
                <Dropdown.Item onClick={removeSystem}>Remove “{known.name}”, not its positions</Dropdown.Item>
              </>
            )}
          </Dropdown.Menu>
        </Dropdown>
      </header>
      <div className="map-body">
        {pane && (
          <Pane
            pane={pane}
            map={map}
            findings={findings}
            fresh={fresh}
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
            onName={() => setNaming('position')}
            onLines={() => set({ pane: 'lines' })}
          />
        ) : board ? (
          <Suspense fallback={<div className="board" />}>
            <AnswerBoard
              map={map}
              board={board}
              system={system || undefined}
              asked={spot}
              onSpot={({ row, column }) => set({ cell: `${row}.${column}` }, { replace: true })}
              selected={selection}
              select={select}
            />
          </Suspense>
        ) : (
          graph && (
            <CurrentsChart
              graph={graph}
              selected={positionOf(map, selection)}
              onSelect={(id) => select(id ? { kind: 'position', id } : undefined)}
              onSystem={(id) => set({ system: id })}
            />
          )
        )}
        {selection && <Sheet map={map} selection={selection} select={select} />}
      </div>
      {naming && <NameDialog title={TITLES[naming]} onName={create} onHide={() => setNaming(undefined)} />}
    </>
  );
}

function UndoButtons() {
  const dispatch = useAppDispatch();
  const { undo, redo } = useAppSelector(selectSession);
  return (
    <div className="btn-group btn-group-sm">
      <button
        type="button"
        className="btn btn-plain"
        aria-label="Undo"
        title="Undo (Ctrl Z)"
        disabled={undo.length === 0}
        onClick={() => dispatch(undoChange())}
      >
        <Undo2 size={15} aria-hidden />
      </button>
      <button
        type="button"
        className="btn btn-plain"
        aria-label="Redo"
        title="Redo (Ctrl Shift Z)"
        disabled={redo.length === 0}
        onClick={() => dispatch(redoChange())}
      >
        <Redo2 size={15} aria-hidden />
      </button>
    </div>
  );
}

interface FindingsButtonProps {
  findings: readonly Finding[];
  fresh: boolean;
  on: boolean;
  onClick: () => void;
}

/** How many holes and errors there are; the rest behind it. */
function FindingsButton({ findings, fresh, on, onClick }: FindingsButtonProps) {
  const holes = findings.filter(({ code }) => code === 'hole').length;
  const errors = findings.filter(({ severity }) => severity === 'error').length;
  return (
    <button
      type="button"
      className={`btn ${on ? 'btn-dark' : 'btn-plain'} ${fresh ? '' : 'stale'}`}
      aria-pressed={on}
      title="What deserves a look"
      aria-label={`What deserves a look: ${holes} ${holes === 1 ? 'hole' : 'holes'}, ${errors} ${errors === 1 ? 'error' : 'errors'}`}
      onClick={onClick}
    >
      <Stethoscope size={15} aria-hidden /> {holes} {holes === 1 ? 'hole' : 'holes'}
      {errors > 0 && (
        <b className="hazard">
          , {errors} {errors === 1 ? 'error' : 'errors'}
        </b>
      )}
    </button>
  );
}

interface TeachingProps {
  filtered: boolean;
  inSystem: boolean;
  onName: () => void;
  onLines: () => void;
}

function Teaching({ filtered, inSystem, onName, onLines }: TeachingProps) {
  return (
    <div className="teach flex-grow-1">
      <h1>
        {filtered
          ? inSystem
            ? 'No position in this system yet'
            : 'Nothing fits the filters'
          : 'An empty map'}
      </h1>
      <p>
        Begin where rounds begin: name the position you coach from most often, say what bottom holds there,
        then what top does about it.
      </p>
      <p>
        Or write it down in lines, as you would say it:
        <br />
        <code>Knee shield: underhook | crossface -&gt; passed 30% else Knee shield</code>
      </p>
      <div className="d-flex gap-2">
        <button type="button" className="btn btn-now" onClick={onName}>
          <Plus size={14} aria-hidden /> Name the first position
        </button>
        <button type="button" className="btn btn-plain" onClick={onLines}>
          Write lines
        </button>
      </div>
    </div>
  );
}

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

function FilterChoice({ filters, set }: Pick<ReturnType<typeof useView>, 'filters' | 'set'>) {
  const dispatch = useAppDispatch();
  const { rules } = useAppSelector(({ settings }) => settings);
  const count = [filters.wear, filters.level, filters.holes, rules].filter(Boolean).length;
  const [open, setOpen] = useState(false);
  return (
    <div className="filters">
      <button
        type="button"
        className={`btn btn-sm ${count > 0 ? 'btn-dark' : 'btn-plain'}`}
        aria-expanded={open}
        aria-label={`Filters, ${count} in use`}
        title="Filters"
        onClick={() => setOpen(!open)}
      >
        <ListFilter size={15} aria-hidden /> {count > 0 && count}
      </button>
      {open && (
        <div className="filter-box" role="group" aria-label="Filters">
          <SelectField
            label="Played in"
            value={filters.wear}
            choices={[
              { value: '', name: 'gi or no-gi' },
              { value: 'gi', name: 'gi' },
              { value: 'no-gi', name: 'no-gi' },
            ]}
            onChange={(wear) => set({ wear })}
          />
          <SelectField
            label="Level"
            value={filters.level}
            choices={[
              { value: '', name: 'every level' },
              { value: 'novice', name: 'novice' },
              { value: 'intermediate', name: 'up to intermediate' },
            ]}
            onChange={(level) => set({ level })}
          />
          <SelectField
            label="Rules"
            value={rules}
            choices={[
              { value: '', name: 'none' },
              ...SHIPPED_PROFILES.map(({ id, name }) => ({ value: id, name })),
            ]}
            onChange={(id) => dispatch(setRules(id))}
          />
          <SelectField
            label="Systems in the currents"
            value={filters.folded === undefined ? '' : filters.folded ? 'all' : 'none'}
            choices={[
              { value: '', name: 'as fits' },
              { value: 'all', name: 'one card each' },
              { value: 'none', name: 'with every position' },
            ]}
            onChange={(fold) => set({ fold })}
          />
          <label className="form-check small mb-0">
            <input
              type="checkbox"
              className="form-check-input"
              checked={filters.holes}
              onChange={(event) => set({ holes: event.target.checked ? 'only' : undefined })}
            />{' '}
            Only positions with holes
          </label>
        </div>
      )}
    </div>
  );
}
