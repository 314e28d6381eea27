import {
  freshId,
  HAZARD_TAGS,
  indexMap,
  type Landing,
  landingWords,
  MOVE_KINDS,
  type Move,
  put,
  type Step,
} from '@aftersquall/core';
import { Plus, X } from 'lucide-react';
import { reactionChoices, reactionOf, reactionValue } from '../../../components/fields/landingChoices.ts';
import { readNumber, SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField, wordChoices } from '../../../components/fields/SelectField.tsx';
import { Hazards } from '../../../components/Hazards.tsx';
import { changeMap } from '../../../store/mapSession.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { newExchange } from '../newThings.ts';
import type { SheetProps } from './Sheet.tsx';
import { linesOf, listOf, useSaver } from './useSaver.ts';

export function MoveSheet({ id, map, select }: SheetProps & { id: string }) {
  const index = indexMap(map);
  const move = index.move.get(id);
  const save = useSaver('move', move);
  const dispatch = useAppDispatch();
  if (!move) return null;
  const looks = index.position.get(move.position)?.looks ?? [];
  const exchanges = index.exchangesOf(id);
  const answered = new Set(exchanges.map(({ reaction }) => reactionValue(reaction)));
  const addAnswer = (value: string) => {
    const exchange = newExchange(map, move, reactionOf(value));
    dispatch(changeMap(put('exchange', exchange)));
    select({ kind: 'exchange', id: exchange.id });
  };
  const setSteps = (steps: Step[]) => save({ steps });
  return (
    <>
      <div className="fields">
        <SavedField label="Name" value={move.name} onSave={(name) => save({ name })} />
        <div className="two">
          <SelectField
            label="Kind"
            value={move.kind}
            choices={wordChoices(MOVE_KINDS)}
            onChange={(kind) => save({ kind: kind as Move['kind'] })}
          />
          <SelectField
            label="Looks like"
            value={move.look}
            choices={looks.map((look) => ({ value: look.id, name: look.name }))}
            onChange={(look) => save({ look })}
          />
        </div>
        {move.hazards.length > 0 && (
          <div className="chip-field">
            <Hazards tags={move.hazards} />
            <span className="soft small">Finish slowly; release at the tap of hand, foot or voice.</span>
          </div>
        )}
      </div>

      <h3>Where it leads</h3>
      {exchanges.map((exchange) => (
        <button
          key={exchange.id}
          type="button"
          className="thing answer"
          onClick={() => select({ kind: 'exchange', id: exchange.id })}
        >
          <span className="met">
            {exchange.reaction === 'none' ? 'unopposed' : index.reaction.get(exchange.reaction.id)?.name}
          </span>
          <span>→ {landingWords(map, exchange.to as Landing)}</span>
          <span className="chance">{Math.round(exchange.chance * 100)} %</span>
        </button>
      ))}
      <SelectField
        label="Add an answer"
        hideLabel
        value=""
        choices={[
          { value: '', name: '+ when top…' },
          { value: 'none', name: 'does nothing' },
          ...reactionChoices(map),
        ].filter(({ value }) => !answered.has(value))}
        onChange={(value) => value && addAnswer(value)}
      />

      <h3>Steps</h3>
      <ol className="list-unstyled mb-1">
        {move.steps.map((step, place) => (
          <li key={step.id} className="step-row">
            <b>{place + 1}</b>
            <SavedField
              label={`Step ${place + 1}`}
              hideLabel
              lines={2}
              value={step.text}
              onSave={(text) => setSteps(move.steps.with(place, { ...step, text }))}
            />
            <SavedField
              label={`Seconds of step ${place + 1}`}
              hideLabel
              type="number"
              unit="s"
              value={String(step.seconds)}
              onSave={(text) => setSteps(move.steps.with(place, { ...step, seconds: readNumber(text) ?? 2 }))}
            />
            <button
              type="button"
              className="bare"
              aria-label={`Take out step ${place + 1}`}
              onClick={() => setSteps(move.steps.toSpliced(place, 1))}
            >
              <X size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="btn btn-sm btn-plain"
        onClick={() =>
          setSteps([
            ...move.steps,
            {
              id: freshId(
                `s${move.steps.length + 1}`,
                move.steps.map((step) => step.id),
              ),
              text: 'New step',
              take: [],
              release: [],
              seconds: 2,
            },
          ])
        }
      >
        <Plus size={14} aria-hidden /> step
      </button>
      {move.variants.length > 0 && (
        <>
          <h3>Where coaches differ</h3>
          {move.variants.map((variant) => (
            <p key={variant.id} className="mb-1">
              <b>{variant.name}</b>
              {variant.id === move.houseVariant && <span className="chip ms-1">the house’s</span>}
              <br />
              <span className="soft">{variant.why}</span>
            </p>
          ))}
        </>
      )}

      <h3>About it</h3>
      <div className="fields">
        <SavedField
          label="Cues, one a line"
          lines={2}
          value={move.cues.join('\n')}
          onSave={(text) => save({ cues: linesOf(text) })}
        />
        <SavedField
          label="Other names, with commas"
          value={move.aliases.join(', ')}
          onSave={(text) => save({ aliases: listOf(text) })}
        />
        <div className="two">
          <SavedField
            label="Takes, without steps"
            value={String(move.seconds ?? '')}
            type="number"
            unit="s"
            placeholder="8"
            onSave={(text) => save({ seconds: readNumber(text) })}
          />
          <SavedField
            label="Top falls towards"
            value={String(move.direction ?? '')}
            type="number"
            unit="°"
            placeholder="0 = front, 90 = right"
            onSave={(text) => save({ direction: readNumber(text) })}
          />
        </div>
        <div className="chip-field" role="group" aria-label="Hazards">
          {HAZARD_TAGS.map((tag) => (
            <button
              key={tag}
              type="button"
              className={`chip ${move.hazards.includes(tag) ? 'on' : ''}`}
              aria-pressed={move.hazards.includes(tag)}
              onClick={() =>
                save({
                  hazards: move.hazards.includes(tag)
                    ? move.hazards.filter((other) => other !== tag)
                    : [...move.hazards, tag],
                })
              }
            >
              {tag.replaceAll('-', ' ')}
            </button>
          ))}
        </div>
      </div>
    </>
  );
}
