import './map.scss';
import { batch, type Command, freshId, NameSchema, put, type System, validateMap } from '@aftersquall/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { Plus, Redo2, Undo2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Form, Modal } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSearchParams } from 'react-router';
import { z } from 'zod';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { SaveState } from '../../shell/SaveState.tsx';
import { changeMap, redoChange, selectMap, selectSession, undoChange } from '../../store/mapSession.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { CurrentsChart } from './chart/CurrentsChart.tsx';
import { chartGraph } from './chart/chartGraph.ts';
import { newPosition, newReaction } from './newThings.ts';
import { positionOf, useSelection } from './selection.ts';
import { Sheet } from './sheet/Sheet.tsx';

type Naming = 'position' | 'reaction' | 'system';
const TITLES: Record<Naming, string> = {
  position: 'New position',
  reaction: 'New reaction: what does top do?',
  system: 'New guard system',
};

export function MapPlace() {
  const map = useAppSelector(selectMap)!;
  const { undo, redo } = useAppSelector(selectSession);
  const dispatch = useAppDispatch();
  const [selection, select] = useSelection();
  const [params, setParams] = useSearchParams();
  const [naming, setNaming] = useState<Naming>();
  const system = params.get('system') ?? '';
  const graph = useMemo(() => chartGraph(map, system || undefined), [map, system]);
  const findings = useMemo(() => validateMap(map), [map]);
  const errors = findings.filter(({ severity }) => severity === 'error').length;
  const open = findings.filter(({ code }) => code === 'hole').length;

  useHotkeys('n', () => setNaming('position'), { preventDefault: true });
  useHotkeys('esc', () => select(undefined), { enabled: !naming });

  const showSystem = (id: string) =>
    setParams((old) => {
      if (id) old.set('system', id);
      else old.delete('system');
      return old;
    });
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
      const commands: Command[] = [put('system', { id, name, aliases: [], note: '' })];
      dispatch(changeMap(batch(commands)));
      showSystem(id);
    }
    setNaming(undefined);
  };

  return (
    <>
      <header className="place-bar">
        <h1>{map.name}</h1>
        <SystemChoice
          systems={map.systems}
          system={system}
          onShow={showSystem}
          onNew={() => setNaming('system')}
        />
        <span className="push soft small">
          <b>
            {open} {open === 1 ? 'hole' : 'holes'}
          </b>
          {errors > 0 && (
            <b className="hazard">
              , {errors} {errors === 1 ? 'error' : 'errors'}
            </b>
          )}
        </span>
        <SaveState />
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
        <button type="button" className="btn btn-sm btn-plain" onClick={() => setNaming('reaction')}>
          <Plus size={14} aria-hidden /> Reaction
        </button>
        <button type="button" className="btn btn-sm btn-now" onClick={() => setNaming('position')}>
          <Plus size={14} aria-hidden /> Position
        </button>
      </header>
      <div className="map-body">
        {graph.nodes.length === 0 ? (
          <div className="teach">
            <h1>{system ? 'No position in this system yet' : 'An empty map'}</h1>
            <p>
              Begin where rounds begin: name the position you coach from most often, say what bottom holds
              there, then what top does about it.
            </p>
            <button type="button" className="btn btn-now" onClick={() => setNaming('position')}>
              <Plus size={14} aria-hidden /> Name the first position
            </button>
          </div>
        ) : (
          <CurrentsChart
            graph={graph}
            selected={positionOf(map, selection)}
            onSelect={(id) => select(id ? { kind: 'position', id } : undefined)}
          />
        )}
        {selection && <Sheet map={map} selection={selection} select={select} />}
      </div>
      {naming && <NameDialog title={TITLES[naming]} onName={create} onHide={() => setNaming(undefined)} />}
    </>
  );
}

interface SystemProps {
  systems: readonly System[];
  system: string;
  onShow: (id: string) => void;
  onNew: () => void;
}

/** Chips while they fit on a line, a list once they do not. */
function SystemChoice({ systems, system, onShow, onNew }: SystemProps) {
  const choices = [{ id: '', name: 'All' }, ...systems];
  return (
    <div className="chip-field" role="group" aria-label="Guard system shown">
      {systems.length > 4 ? (
        <SelectField
          label="Guard system"
          hideLabel
          value={system}
          choices={choices.map(({ id, name }) => ({ value: id, name: id ? name : 'All systems' }))}
          onChange={onShow}
        />
      ) : (
        choices.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            className={`chip ${system === id ? 'on' : ''}`}
            aria-pressed={system === id}
            onClick={() => onShow(id)}
          >
            {name}
          </button>
        ))
      )}
      <button type="button" className="chip" onClick={onNew}>
        <Plus size={13} aria-hidden /> system
      </button>
    </div>
  );
}

const Named = z.object({ name: NameSchema });

function NameDialog({
  title,
  onName,
  onHide,
}: {
  title: string;
  onName: (name: string) => void;
  onHide: () => void;
}) {
  const form = useForm<z.infer<typeof Named>>({ resolver: zodResolver(Named), defaultValues: { name: '' } });
  const trouble = form.formState.errors.name?.message;
  return (
    <Modal show onHide={onHide} aria-labelledby="name-title">
      <Form onSubmit={form.handleSubmit(({ name }) => onName(name))} noValidate>
        <Modal.Header closeButton>
          <Modal.Title id="name-title" as="h2">
            {title}
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <Form.Group controlId="new-name">
            <Form.Label>Name</Form.Label>
            <Form.Control {...form.register('name')} isInvalid={Boolean(trouble)} autoFocus />
            <Form.Control.Feedback type="invalid">{trouble}</Form.Control.Feedback>
          </Form.Group>
        </Modal.Body>
        <Modal.Footer>
          <button type="button" className="btn btn-plain" onClick={onHide}>
            Cancel
          </button>
          <button type="submit" className="btn btn-now">
            Create
          </button>
        </Modal.Footer>
      </Form>
    </Modal>
  );
}
