import { OUTCOME_WORDS } from '@aftersquall/core/body';
import { asPosition, type Ending, indexMap, OUTCOMES, type Position } from '@aftersquall/core/model';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { TakeOut } from '../../../components/TakeOut.tsx';
import { say } from '../words.ts';
import { BodiesPart } from './BodiesPart.tsx';
import { NameFields, NoteField } from './CommonFields.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';
import { useSaver } from './useSaver.ts';

/** How an outcome looks: who holds what there, and whether only some moves end so. */
export function EndingSheet({ id, map, select }: SheetProps & { id: string }) {
  const index = indexMap(map);
  const ending = index.ending.get(id);
  const save = useSaver('ending', ending);
  if (!ending) return null;
  const savePicture = ({ holds, topHolds, signs, ...rest }: Partial<Position>) =>
    save({
      ...(holds && { holds }),
      ...(topHolds && { topHolds }),
      ...(signs && { signs }),
      ...('pose' in rest && { pose: rest.pose }),
    });
  const open = map.moves.filter(
    (move) =>
      !ending.moves.includes(move.id) &&
      index.exchangesOf(move.id).some(({ to }) => 'outcome' in to && to.outcome === ending.outcome),
  );
  return (
    <>
      <div className={styles.fields}>
        <NameFields of={ending} save={save} />
        <SelectField
          label="Shows the outcome"
          value={ending.outcome}
          choices={OUTCOMES.map((outcome) => ({ value: outcome, name: OUTCOME_WORDS[outcome] }))}
          onChange={(outcome) => save({ outcome: outcome as Ending['outcome'] })}
        />
      </div>
      <BodiesPart position={asPosition(ending)} save={savePicture} />
      <h3>Only for these moves</h3>
      <div className="chip-field" role="group" aria-label={say.movesEndSo}>
        {ending.moves.map((move, place) => (
          <span key={move} className="chip">
            <button type="button" className="bare" onClick={() => select({ kind: 'move', id: move })}>
              {index.move.get(move)?.name ?? move}
            </button>
            <TakeOut
              label={`Remove: ${index.move.get(move)?.name ?? move}`}
              onClick={() => save({ moves: ending.moves.toSpliced(place, 1) })}
            />
          </span>
        ))}
        {ending.moves.length === 0 && <span className="soft">{say.everyMoveEndsSo}</span>}
        <SelectField
          label={say.anotherMoveEndsSo}
          hideLabel
          value=""
          choices={[
            { value: '', name: '+ move' },
            ...open.map((move) => ({ value: move.id, name: move.name })),
          ]}
          onChange={(move) => move && save({ moves: [...ending.moves, move] })}
        />
      </div>
      <NoteField note={ending.note} save={save} />
    </>
  );
}
