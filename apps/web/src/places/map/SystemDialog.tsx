import { batch, type Command, edit, put } from '@aftersquall/core/documents';
import { allNames, freshId, type GuardMap, indexMap, NameSchema, type System } from '@aftersquall/core/model';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Form, Modal } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { searchNames } from '../../components/searchNames.ts';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import styles from './map.module.scss';

interface Props {
  map: GuardMap;
  /** The system whose positions are chosen; without one a new one is made. */
  system?: System | undefined;
  /** Called with the system once it is kept, or with nothing. */
  onDone: (system?: string) => void;
}

const Named = z.object({ name: NameSchema });

/** A guard system's name, and which of the map's positions are in it: all of it in one change. */
export function SystemDialog({ map, system, onDone }: Props) {
  const dispatch = useAppDispatch();
  const form = useForm<z.infer<typeof Named>>({
    resolver: zodResolver(Named),
    defaultValues: { name: system?.name ?? '' },
  });
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () =>
      new Set(map.positions.filter((one) => system && one.systems.includes(system.id)).map(({ id }) => id)),
  );
  const shown = typed.trim() ? searchNames(map.positions, typed, allNames) : map.positions;
  const flip = (ids: readonly string[], on: boolean) => {
    const next = new Set(chosen);
    for (const id of ids) on ? next.add(id) : next.delete(id);
    setChosen(next);
  };
  const keep = form.handleSubmit(({ name }) => {
    const id = system?.id ?? freshId(name, indexMap(map).system.keys());
    const commands: Command[] = system
      ? [edit('system', system, { ...system, name })]
      : [put('system', { id, name, aliases: [], note: '' })];
    for (const position of map.positions) {
      const inside = position.systems.includes(id);
      if (inside === chosen.has(position.id)) continue;
      const systems = inside ? position.systems.filter((other) => other !== id) : [...position.systems, id];
      commands.push(edit('position', position, { ...position, systems }));
    }
    const issues = dispatch(changeMap(batch(commands, `Guard system “${name}”`)));
    if (issues.length > 0)
      form.setError('name', { message: issues.map(({ message }) => message).join('; ') });
    else onDone(id);
  });
  const trouble = form.formState.errors.name?.message;
  const every = shown.every(({ id }) => chosen.has(id));
  return (
    <Modal
      show
      onHide={() => onDone()}
      animation={false}
      restoreFocus={false}
      aria-labelledby="system-title"
      scrollable
    >
      <Form onSubmit={keep} noValidate className={styles['system-form']}>
        <Modal.Header closeButton>
          <Modal.Title id="system-title" as="h2">
            {system ? 'Guard system' : 'New guard system'}
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <Form.Group controlId="system-name" className="mb-3">
            <Form.Label>Name</Form.Label>
            <Form.Control {...form.register('name')} isInvalid={Boolean(trouble)} autoFocus />
            <Form.Control.Feedback type="invalid">{trouble}</Form.Control.Feedback>
          </Form.Group>
          {map.positions.length > 0 && (
            <fieldset>
              <legend className="form-label">Its positions: {chosen.size}</legend>
              <div className="d-flex gap-2 mb-2">
                <input
                  type="search"
                  className="form-control form-control-sm"
                  aria-label="Find positions"
                  placeholder="by any of their names"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                />
                <button
                  type="button"
                  className="btn btn-sm btn-plain text-nowrap"
                  onClick={() =>
                    flip(
                      shown.map(({ id }) => id),
                      !every,
                    )
                  }
                >
                  {every ? 'none of these' : 'all of these'}
                </button>
              </div>
              {shown.map((position) => (
                <label key={position.id} className={styles['system-position']}>
                  <input
                    type="checkbox"
                    className="form-check-input"
                    checked={chosen.has(position.id)}
                    onChange={({ target }) => flip([position.id], target.checked)}
                  />
                  <span>{position.name}</span>
                  <small className="soft">
                    {position.systems.map((id) => indexMap(map).system.get(id)?.name ?? id).join(', ')}
                  </small>
                </label>
              ))}
            </fieldset>
          )}
        </Modal.Body>
        <Modal.Footer>
          <button type="button" className="btn btn-plain" onClick={() => onDone()}>
            Cancel
          </button>
          <button type="submit" className="btn btn-now">
            {system ? 'Save' : 'Create'}
          </button>
        </Modal.Footer>
      </Form>
    </Modal>
  );
}
