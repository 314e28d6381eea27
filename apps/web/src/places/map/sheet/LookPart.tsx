import { reactionName } from '@aftersquall/core/body';
import { type Hole } from '@aftersquall/core/check';
import { type Issue, put } from '@aftersquall/core/documents';
import {
  indexMap,
  type Look,
  MOVE_KIND_WORDS,
  type Move,
  type Position,
  reactionKey,
} from '@aftersquall/core/model';
import { Plus } from 'lucide-react';
import { ChoiceToggle } from '../../../components/ChoiceToggle.tsx';
import { reactionChoices, reactionOf } from '../../../components/fields/landingChoices.ts';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { PartScope } from '../../../components/fields/useDraft.tsx';
import { newExchange } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { say } from '../words.ts';
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
    <PartScope part={`look/${look.id}`}>
      <section aria-label={`What top sees: ${look.name}`}>
        <div className={styles['look-name']}>
          <div className="flex-grow-1">
            <SavedField
              label="What top sees"
              hideLabel
              value={look.name}
              onSave={(name) => change({ name })}
            />
          </div>
          <ChoiceToggle
            label={say.whenChooseMove}
            value={look.timing}
            choices={[
              ['hidden', 'before top moves'],
              ['seen', 'after you feel what top does'],
            ]}
            onChange={(timing) => change({ timing })}
          />
        </div>
        <SavedField
          label={say.whatTopSeesDo}
          placeholder="you reach for the far sleeve"
          value={look.topSees ?? ''}
          onSave={(text) => change({ topSees: text || undefined })}
        />
        <div className="chip-field my-2" role="group" aria-label={say.whatTopDoesAbout(look.name)}>
          {look.reactions.map((reaction) => (
            <button
              key={reactionKey(reaction)}
              type="button"
              className="chip of-top"
              onClick={() => select({ kind: 'reaction', id: reaction.id })}
            >
              {reactionName(map, reaction, position)}
            </button>
          ))}
          <SelectField
            label={say.addWhatTopDoes}
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
        {look.reactions.length > 0 && (
          <OwnWords map={map} look={look} position={position} onChange={change} />
        )}
      </section>
    </PartScope>
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
        {move.name} <span className="soft small fw-normal">{MOVE_KIND_WORDS[move.kind]}</span>
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
          <span className={styles.met}>{reactionName(map, hole.reaction, hole.position)}</span>
          <span>
            <Plus size={13} aria-hidden /> no answer yet
          </span>
        </button>
      ))}
    </div>
  );
}

interface OwnWordsProps {
  map: SheetProps['map'];
  look: Look;
  position: Position;
  onChange: (changes: Partial<Look>) => Issue[];
}

/** How each reaction feels and is given here, where the catalogue's words would be false or empty; and a note. */
function OwnWords({ map, look, position, onChange }: OwnWordsProps) {
  const index = indexMap(map);
  const own = look.reactions.filter(({ feel, script }) => feel || script).length;
  return (
    <details className="small mt-1">
      <summary>
        {say.ourWordsHere} {own === 0 ? 'none' : own}
      </summary>
      {look.reactions.map((ref, place) => {
        const general = index.reaction.get(ref.id);
        const save = (words: { feel?: string | undefined; script?: string | undefined }) =>
          onChange({ reactions: look.reactions.with(place, { ...ref, ...words }) });
        return (
          <div key={reactionKey(ref)} className="mb-2">
            <b className="top">{reactionName(map, ref, position)}</b>
            <SavedField
              label={`How ${reactionName(map, ref, position)} feels here`}
              hideLabel
              placeholder={general?.feel || 'how bottom feels it coming'}
              value={ref.feel ?? ''}
              onSave={(feel) => save({ feel: feel || undefined })}
            />
            <SavedField
              label={say.howPartnerGivesHere(reactionName(map, ref, position))}
              hideLabel
              placeholder={general?.script || 'how a partner gives it'}
              value={ref.script ?? ''}
              onSave={(script) => save({ script: script || undefined })}
            />
          </div>
        );
      })}
      <SavedField
        label={say.noteLook}
        value={look.note ?? ''}
        onSave={(note) => onChange({ note: note || undefined })}
      />
    </details>
  );
}
