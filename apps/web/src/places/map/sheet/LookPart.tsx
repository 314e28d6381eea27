import {
  type Hole,
  indexMap,
  type Look,
  type Move,
  type Position,
  put,
  reactionKey,
  reactionName,
} from '@aftersquall/core';
import { Plus } from 'lucide-react';
import { ChoiceToggle } from '../../../components/ChoiceToggle.tsx';
import { reactionChoices, reactionOf } from '../../../components/fields/landingChoices.ts';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { newExchange } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { ExchangeLine } from './ExchangeLine.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';
import { useSaver } from './useSaver.ts';

interface Props extends SheetProps {
  look: Look;
  position: Position;
  open: Hole[];
}

/** One look: what top may do about it, and each of its moves with where it leads. */
export function LookPart({ look, position, map, select, open }: Props) {
  const index = indexMap(map);
  const save = useSaver('position', position);
  const moves = index.movesOf(position.id).filter((move) => move.look === look.id);
  const change = (changes: Partial<Look>) =>
    save({ looks: position.looks.map((other) => (other.id === look.id ? { ...look, ...changes } : other)) });
  return (
    <section aria-label={`Look: ${look.name}`}>
      <div className={styles['look-name']}>
        <div className="flex-grow-1">
          <SavedField label="What top sees" hideLabel value={look.name} onSave={(name) => change({ name })} />
        </div>
        <ChoiceToggle
          label="When the move is chosen"
          value={look.timing}
          choices={[
            ['hidden', 'we choose first'],
            ['seen', 'we feel first'],
          ]}
          onChange={(timing) => change({ timing })}
        />
      </div>
      <div className="chip-field mb-2" role="group" aria-label={`What top does about: ${look.name}`}>
        {look.reactions.map((reaction) => (
          <button
            key={reactionKey(reaction)}
            type="button"
            className="chip of-top"
            onClick={() => select({ kind: 'reaction', id: reaction.id })}
          >
            {reactionName(map, reaction)}
          </button>
        ))}
        <SelectField
          label="Add what top does"
          hideLabel
          value=""
          choices={[
            { value: '', name: '+ what top does' },
            ...reactionChoices(map).filter(
              ({ value }) => !look.reactions.some((known) => reactionKey(known) === value),
            ),
          ]}
          onChange={(value) => {
            const reaction = reactionOf(value);
            if (value && reaction !== 'none') change({ reactions: [...look.reactions, reaction] });
          }}
        />
      </div>
      {moves.map((move) => (
        <MoveRow
          key={move.id}
          move={move}
          map={map}
          select={select}
          open={open.filter((hole) => hole.move.id === move.id)}
        />
      ))}
    </section>
  );
}

function MoveRow({ move, map, select, open }: SheetProps & { move: Move; open: Hole[] }) {
  const index = indexMap(map);
  const dispatch = useAppDispatch();
  const answer = (hole: Hole) => {
    const exchange = newExchange(map, move, hole.reaction);
    dispatch(changeMap(put('exchange', exchange)));
    select({ kind: 'exchange', id: exchange.id });
  };
  return (
    <div className={styles['move-row']}>
      <button
        type="button"
        className={`${styles.thing} name`}
        onClick={() => select({ kind: 'move', id: move.id })}
      >
        {move.name} <span className="soft small fw-normal">{move.kind}</span>
      </button>
      {index.exchangesOf(move.id).map((exchange) => (
        <ExchangeLine
          key={exchange.id}
          map={map}
          exchange={exchange}
          onPick={() => select({ kind: 'exchange', id: exchange.id })}
        />
      ))}
      {open.map((hole) => (
        <button
          key={reactionKey(hole.reaction)}
          type="button"
          className={`${styles.thing} answer ${styles.open}`}
          onClick={() => answer(hole)}
        >
          <span className={styles.met}>{reactionName(map, hole.reaction)}</span>
          <span>
            <Plus size={13} aria-hidden /> no answer yet
          </span>
        </button>
      ))}
    </div>
  );
}
