import {
  HOLD_ACTIONS,
  type HoldPattern,
  indexMap,
  PARTS,
  patternWords,
  REACTION_GROUPS,
  type Reaction,
} from '@aftersquall/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import { HoldsField } from '../../../components/fields/HoldsField.tsx';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField, wordChoices } from '../../../components/fields/SelectField.tsx';
import { SignsField } from '../../../components/fields/SignsField.tsx';
import type { SheetProps } from './Sheet.tsx';
import { listOf, useSaver } from './useSaver.ts';

/** Reactions belong to no position, so their near side is the right, as the catalogue is written. */
const CONTEXT = { leadSide: 'R' } as const;

export function ReactionSheet({ id, map, select }: SheetProps & { id: string }) {
  const reaction = indexMap(map).reaction.get(id);
  const save = useSaver('reaction', reaction);
  if (!reaction) return null;
  const used = map.positions.filter((position) =>
    position.looks.some((look) => look.reactions.some((ref) => ref.id === id)),
  );
  return (
    <>
      <div className="fields">
        <SavedField label="What top does" value={reaction.name} onSave={(name) => save({ name })} />
        <SelectField
          label="Group"
          value={reaction.group}
          choices={wordChoices(REACTION_GROUPS)}
          onChange={(group) => save({ group: group as Reaction['group'] })}
        />
        <SavedField
          label="How bottom feels it coming"
          lines={2}
          value={reaction.feel}
          onSave={(feel) => save({ feel })}
        />
        <SavedField
          label="How a partner gives it in a drill"
          lines={2}
          value={reaction.script}
          onSave={(script) => save({ script })}
        />
        <SavedField
          label="Other names, with commas"
          value={reaction.aliases.join(', ')}
          onSave={(text) => save({ aliases: listOf(text) })}
        />
      </div>
      <h3>What changes</h3>
      <SignsField label="Signs after it" signs={reaction.changes} onChange={(changes) => save({ changes })} />
      <h3>Which of our holds it breaks</h3>
      <Breaks breaks={reaction.breaks} onChange={(breaks) => save({ breaks })} />
      <h3>What top takes</h3>
      <HoldsField
        label="Holds that top takes"
        by="top"
        holds={reaction.topTakes}
        context={CONTEXT}
        onChange={(topTakes) => save({ topTakes })}
      />
      <h3>Where it is listed</h3>
      <div className="chip-field">
        {used.map((position) => (
          <button
            key={position.id}
            type="button"
            className="chip"
            onClick={() => select({ kind: 'position', id: position.id })}
          >
            {position.name}
          </button>
        ))}
        {used.length === 0 && <span className="soft">Nowhere yet: add it to a look of a position.</span>}
      </div>
    </>
  );
}

function Breaks({ breaks, onChange }: { breaks: HoldPattern[]; onChange: (breaks: HoldPattern[]) => void }) {
  const [action, setAction] = useState('');
  const [part, setPart] = useState('');
  const [side, setSide] = useState('');
  const add = () =>
    onChange([
      ...breaks,
      { ...(action && { action }), ...(part && { part }), ...(side && { side }) } as HoldPattern,
    ]);
  return (
    <div className="chip-field">
      {breaks.map((pattern, place) => (
        <span key={place} className="chip">
          {patternWords(pattern, CONTEXT)}
          <button
            type="button"
            className="bare"
            aria-label={`Take out: ${patternWords(pattern, CONTEXT)}`}
            onClick={() => onChange(breaks.toSpliced(place, 1))}
          >
            <X size={13} aria-hidden />
          </button>
        </span>
      ))}
      <span className="pair">
        <SelectField
          label="Action"
          hideLabel
          value={action}
          choices={[{ value: '', name: 'any hold' }, ...wordChoices(HOLD_ACTIONS)]}
          onChange={setAction}
        />
        <SelectField
          label="Part"
          hideLabel
          value={part}
          choices={[{ value: '', name: 'anywhere' }, ...wordChoices(PARTS)]}
          onChange={setPart}
        />
        <SelectField
          label="Side"
          hideLabel
          value={side}
          choices={[
            { value: '', name: 'either side' },
            { value: 'R', name: 'near' },
            { value: 'L', name: 'far' },
          ]}
          onChange={setSide}
        />
        <button type="button" className="btn btn-sm btn-plain" disabled={!action && !part} onClick={add}>
          Add
        </button>
      </span>
    </div>
  );
}
