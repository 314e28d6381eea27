import { batch, edit, put } from '@aftersquall/core/documents';
import { type GuardMap, indexMap, type Move } from '@aftersquall/core/model';
import { useState } from 'react';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { NameDialog } from '../../../components/NameDialog.tsx';
import { TakeOut } from '../../../components/TakeOut.tsx';
import { newMechanic } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import type { Selection } from '../selection.ts';
import { say } from '../words.ts';

interface Props {
  map: GuardMap;
  move: Move;
  select: (selection: Selection) => void;
}

const NEW = '+new';

/** The movements that a move is made of: each opens its sheet; one is chosen from the map's or named anew. */
export function MechanicsField({ map, move, select }: Props) {
  const dispatch = useAppDispatch();
  const [naming, setNaming] = useState(false);
  const index = indexMap(map);
  const change = (mechanics: string[]) => dispatch(changeMap(edit('move', move, { ...move, mechanics })));
  const create = (name: string) => {
    const made = newMechanic(map, name);
    const command = batch(
      [put('mechanic', made), edit('move', move, { ...move, mechanics: [...move.mechanics, made.id] })],
      `New mechanic “${name}”`,
    );
    setNaming(false);
    if (dispatch(changeMap(command)).length === 0) select({ kind: 'mechanic', id: made.id });
  };
  return (
    <div className="chip-field" role="group" aria-label={say.whatBodyDoes}>
      {move.mechanics.map((id, place) => (
        <span key={id} className="chip">
          <button type="button" className="bare" onClick={() => select({ kind: 'mechanic', id })}>
            {index.mechanic.get(id)?.name ?? id}
          </button>
          <TakeOut
            label={`Remove: ${index.mechanic.get(id)?.name ?? id}`}
            onClick={() => change(move.mechanics.toSpliced(place, 1))}
          />
        </span>
      ))}
      <SelectField
        label="Another mechanic"
        hideLabel
        value=""
        choices={[
          { value: '', name: '+ mechanic' },
          { value: NEW, name: 'a new one…' },
          ...map.mechanics
            .filter(({ id }) => !move.mechanics.includes(id))
            .map(({ id, name }) => ({ value: id, name, group: say.mechanicsMap })),
        ]}
        onChange={(id) => (id === NEW ? setNaming(true) : id && change([...move.mechanics, id]))}
      />
      {naming && <NameDialog title="New mechanic" onName={create} onHide={() => setNaming(false)} />}
    </div>
  );
}
