import { reactionName } from '@aftersquall/core/body';
import { batch, type Command, edit, put } from '@aftersquall/core/documents';
import { type GuardMap, type ReactionRef, reactionKey } from '@aftersquall/core/model';
import { matchSorter } from 'match-sorter';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { ChoiceSearch } from '../../../components/ChoiceSearch.tsx';
import { newReaction } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { say } from '../words.ts';
import type { BoardRow } from './boardModel.ts';

interface Props {
  map: GuardMap;
  row: BoardRow;
  onHide: () => void;
  onAdded: (column: string) => void;
}

/** What top does about a look: found in the catalogue by any of its names, on either side, or new. */
export function ReactionDialog({ map, row, onHide, onAdded }: Props) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState('');
  const look = row.kind === 'move' ? row.look : row.position.looks[0];
  const mirrored = typed.trimStart().startsWith('~');
  const name = typed.trim().replace(/^~\s*/, '');
  const listed = new Set(look?.reactions.map(reactionKey));
  const matches = matchSorter(map.reactions, name, {
    keys: ['name', 'aliases', 'group'],
    threshold: matchSorter.rankings.CONTAINS,
  })
    .map((reaction) => ({ reaction, ref: { id: reaction.id, ...(mirrored && { mirrored }) } as ReactionRef }))
    .filter(({ ref }) => !listed.has(reactionKey(ref)))
    .slice(0, 8);
  const exact = matches.some(({ reaction }) => reaction.name.toLowerCase() === name.toLowerCase());
  const choices = matches.map(({ reaction }) => ({
    key: reaction.id,
    name: reactionName(map, { id: reaction.id, mirrored }, row.position),
    what: reaction.group as string,
  }));
  if (name && !exact) choices.push({ key: 'new', name, what: 'new reaction' });

  const add = (place: number) => {
    if (!look) return;
    const commands: Command[] = [];
    let ref = matches[place]?.ref;
    if (!ref) {
      if (!name) return;
      const reaction = newReaction(map, name);
      commands.push(put('reaction', reaction));
      ref = { id: reaction.id, ...(mirrored && { mirrored }) };
    }
    const reactions = [...look.reactions, ref];
    const looks = row.position.looks.map((other) => (other.id === look.id ? { ...look, reactions } : other));
    commands.push(edit('position', row.position, { ...row.position, looks }));
    if (dispatch(changeMap(batch(commands, say.whatTopDoes(row.position.name)))).length === 0)
      onAdded(reactionKey(ref));
  };
  return (
    <Modal show onHide={onHide} aria-labelledby="reaction-title" animation={false}>
      <Modal.Header closeButton>
        <Modal.Title id="reaction-title" as="h2">
          What does top do{look ? ` about “${look.name}”` : ''}?
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {look ? (
          <ChoiceSearch
            focused
            id="reaction-list"
            label="What top does"
            listLabel="Reactions"
            placeholder="posts, whizzer, stands up… (~ in front for the mirror image)"
            typed={typed}
            onType={setTyped}
            choices={choices}
            onPick={add}
          />
        ) : (
          <p>{say.addMoveFirstThen}</p>
        )}
      </Modal.Body>
    </Modal>
  );
}
