import { writeAnswer } from '@aftersquall/core/formats';
import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { suggestAnswers } from '@aftersquall/core/read';
import { type KeyboardEvent, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { ChoiceList, stepped } from '../../../components/ChoiceList.tsx';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { say } from '../words.ts';
import { answerText, correction, nameAt, type Proposal, proposals, readAnswer } from './answerText.ts';
import type { BoardCell, BoardColumn, BoardRow } from './boardModel.ts';
import styles from './editors.module.scss';

/** Where one goes when an answer is written: to another cell, nowhere, or to another field by a click. */
export type Leaving = 'down' | 'right' | 'left' | 'stay' | 'away';

interface Props {
  map: GuardMap;
  row: Extract<BoardRow, { kind: 'move' }>;
  column: BoardColumn;
  cell: BoardCell;
  /** The key that opened it, if it was one; otherwise the answer there is. */
  text: string | undefined;
  left: number;
  onCommit: (after: Leaving) => void;
}

const MAX_OFFERS = 7;

/**
 * Where an answer is typed: "two on one 70% else knee line 8s". Names are proposed as they are typed; a hole also
 * shows which moves of other positions would answer it, and why. Enter goes down, Tab on, Escape leaves it.
 */
export function CellEditor({ map, row, column, cell, text, left, onCommit }: Props) {
  const dispatch = useAppDispatch();
  const input = useRef<HTMLInputElement>(null);
  const exchange = cell.kind === 'answer' ? cell.exchange : undefined;
  const [value, setValue] = useState(text ?? (exchange ? answerText(map, exchange) : ''));
  const [caret, setCaret] = useState(value.length);
  const [chosen, setChosen] = useState(-1);
  const [trouble, setTrouble] = useState('');
  // Where the caret belongs once an inserted name is in the field; set before the next key can arrive.
  const pendingCaret = useRef<number | undefined>(undefined);
  useLayoutEffect(() => {
    const at = pendingCaret.current;
    if (at === undefined) return;
    pendingCaret.current = undefined;
    input.current?.setSelectionRange(at, at);
  });
  const token = nameAt(value, caret);
  const list = useMemo(
    () =>
      token && !(exchange && value === answerText(map, exchange)) ? withinReach(proposals(map, token)) : [],
    [map, token, exchange, value],
  );
  const meant = useMemo(
    () =>
      value.trim() === '' ? undefined : readAnswer(map, exchange ? correction(map, exchange, value) : value),
    [map, exchange, value],
  );
  const help = useMemo(
    () =>
      cell.kind === 'answer'
        ? []
        : suggestAnswers(map, row.position.id, column.reaction)
            .filter(({ like }) => like)
            .slice(0, 3),
    [map, row, column, cell.kind],
  );

  const insert = (word: string) => {
    if (!token) return;
    const sided = token.mirrored ? word.replace(/^(new )?/, '$1~') : word;
    const next = `${value.slice(0, token.from)}${sided} ${value.slice(caret)}`;
    setValue(next);
    setChosen(-1);
    setTrouble('');
    const at = token.from + sided.length + 1;
    setCaret(at);
    pendingCaret.current = at;
  };
  // Leaving the field commits too: what was committed by a key must not be committed again on the way out.
  const done = useRef(false);
  const leave = (after: Leaving) => {
    done.current = true;
    onCommit(after);
  };
  const commit = (after: Leaving, written = value) => {
    if (done.current) return;
    if (written.trim() === '' || (exchange && written === answerText(map, exchange))) return leave(after);
    const read = readAnswer(map, exchange ? correction(map, exchange, written) : written);
    if ('trouble' in read) return setTrouble(read.trouble);
    const at = { move: row.move.id, reaction: column.reaction, variant: exchange?.variant };
    const issues = dispatch(changeMap(writeAnswer(map, at, read.answer)));
    if (issues.length > 0) return setTrouble(issues.map(({ message }) => message).join('; '));
    leave(after);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const { key } = event;
    const next = stepped(key, chosen, list.length, -1);
    if (next !== undefined) {
      event.preventDefault();
      setChosen(next);
    } else if (key === 'Enter' || key === 'Tab') {
      event.preventDefault();
      if (chosen >= 0 && key === 'Enter') insert(list[chosen]!.word);
      else commit(key === 'Enter' ? 'down' : event.shiftKey ? 'left' : 'right');
    } else if (key === 'Escape') {
      event.preventDefault();
      event.stopPropagation();
      leave('stay');
    }
  };
  const follow = () => setCaret(input.current?.selectionStart ?? value.length);

  return (
    <div className={styles['cell-editor']} style={{ left }}>
      <input
        ref={input}
        className={`form-control form-control-sm ${trouble ? 'is-invalid' : ''}`}
        aria-label={`Answer of ${row.move.name}, ${column.name}`}
        aria-describedby="cell-editor-help"
        role="combobox"
        aria-expanded={list.length > 0}
        aria-controls="cell-editor-list"
        aria-autocomplete="list"
        aria-activedescendant={chosen >= 0 ? `cell-editor-list-${chosen}` : undefined}
        autoFocus
        spellCheck={false}
        placeholder="where to, 60% else where 8s"
        value={value}
        onChange={(event) => {
          setValue(event.target.value);
          setCaret(event.target.selectionStart ?? event.target.value.length);
          setChosen(-1);
          setTrouble('');
        }}
        onKeyDown={onKeyDown}
        onKeyUp={follow}
        onClick={follow}
        onBlur={() => commit('away')}
      />
      <div id="cell-editor-help" aria-live="polite">
        {trouble ? (
          <div className="invalid-feedback d-block">{trouble}</div>
        ) : (
          meant && <Meant meant={meant} />
        )}
      </div>
      {list.length > 0 && (
        <ChoiceList
          id="cell-editor-list"
          label={say.whereMayLead}
          choices={list.map(({ word, name, what }) => ({ key: `${what} ${word}`, name, what }))}
          chosen={chosen}
          onPick={(place) => insert(list[place]!.word)}
        />
      )}
      {help.length > 0 && (
        <div className="suggested">
          <div className="label-small">This would answer it</div>
          {help.map(({ move, reasons, like }) => (
            <button
              key={move.id}
              type="button"
              tabIndex={-1}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => commit('stay', answerText(map, like!))}
            >
              <b>{move.name}</b>{' '}
              <span className="soft">from {indexMap(map).position.get(move.position)?.name}</span>
              <small>{reasons.slice(0, 3).join('; ')}</small>
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

/** The first proposals, and the position yet to be made, which stands last. */
const withinReach = (all: readonly Proposal[]): Proposal[] =>
  all.length <= MAX_OFFERS ? [...all] : [...all.slice(0, MAX_OFFERS - 1), all.at(-1)!];

/** What the text becomes when it is kept as it stands, or why it would not be. */
function Meant({ meant }: { meant: ReturnType<typeof readAnswer> }) {
  if ('trouble' in meant) return <div className={`${styles.meant} soft`}>{meant.trouble}</div>;
  const { answer, to, otherwise } = meant;
  return (
    <div className={styles.meant}>
      → <b>{to}</b>
      {answer.chance !== undefined && ` ${Math.round(answer.chance * 1e4) / 100} %`}
      {otherwise && (
        <>
          , else <b>{otherwise}</b>
        </>
      )}
    </div>
  );
}
