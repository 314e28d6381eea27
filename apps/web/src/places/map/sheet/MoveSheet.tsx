import { wordContext } from '@aftersquall/core/body';
import { put } from '@aftersquall/core/documents';
import {
  FALLS,
  type Fall,
  indexMap,
  MOVE_KIND_WORDS,
  MOVE_KINDS,
  type Move,
  reactionKey,
  TEXT_LIMIT,
} from '@aftersquall/core/model';
import { Scale } from 'lucide-react';
import { Link } from 'react-router';
import { mapAddress } from '../../../components/addresses.ts';
import { Explained } from '../../../components/Explained.tsx';
import { FalsePositivesField } from '../../../components/fields/FalsePositivesField.tsx';
import { FaultsField } from '../../../components/fields/FaultsField.tsx';
import { FitsField } from '../../../components/fields/FitsField.tsx';
import { HazardsField } from '../../../components/fields/HazardsField.tsx';
import { LoadsField } from '../../../components/fields/LoadsField.tsx';
import { reactionChoices, reactionOf } from '../../../components/fields/landingChoices.ts';
import { readNumber, SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField, wordChoices } from '../../../components/fields/SelectField.tsx';
import { Hazards } from '../../../components/Hazards.tsx';
import { TakeOut } from '../../../components/TakeOut.tsx';
import { newExchange } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { say } from '../words.ts';
import { AliasesField, NameFields, NoteField } from './CommonFields.tsx';
import { ExchangeLine } from './ExchangeLine.tsx';
import { MechanicsField } from './MechanicsField.tsx';
import { NeedsEditor } from './NeedsEditor.tsx';
import { StepsEditor } from './StepsEditor.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';
import { linesOf, useSaver } from './useSaver.ts';
import { VariantsEditor } from './VariantsEditor.tsx';

const FALL_NAMES: Record<Fall, string> = {
  none: 'not at all',
  side: 'to the side',
  back: 'backwards',
  forward: 'forwards',
  over: 'over a shoulder',
};

export function MoveSheet({ id, map, select }: SheetProps & { id: string }) {
  const index = indexMap(map);
  const move = index.move.get(id);
  const save = useSaver('move', move);
  const dispatch = useAppDispatch();
  if (!move) return null;
  const position = index.position.get(move.position);
  const looks = position?.looks ?? [];
  const context = position ? wordContext(position) : ({ leadSide: 'R' } as const);
  const exchanges = index.exchangesOf(id);
  const answered = new Set(exchanges.map(({ reaction }) => reactionKey(reaction)));
  const addAnswer = (value: string) => {
    const exchange = newExchange(map, move, reactionOf(value));
    dispatch(changeMap(put('exchange', exchange)));
    select({ kind: 'exchange', id: exchange.id });
  };
  return (
    <>
      <div className={styles.fields}>
        <NameFields of={move} save={save} />
        <div className="two">
          <SelectField
            label="Kind"
            value={move.kind}
            choices={MOVE_KINDS.map((kind) => ({ value: kind, name: MOVE_KIND_WORDS[kind] }))}
            onChange={(kind) => save({ kind: kind as Move['kind'] })}
          />
          <SelectField
            label="Starts like"
            value={move.look}
            choices={looks.map((look) => ({ value: look.id, name: look.name }))}
            onChange={(look) => save({ look })}
          />
        </div>
        <div className="chip-field">
          <button
            type="button"
            className={`chip ${move.foundation ? 'on' : ''}`}
            aria-pressed={Boolean(move.foundation)}
            onClick={() => save({ foundation: move.foundation ? undefined : true })}
          >
            Taught first in its system
          </button>
        </div>
        {(move.kind === 'connect' || move.kind === 'provoke') && <Explained term={move.kind} />}
        {move.hazards.length > 0 && (
          <div className="chip-field">
            <Hazards tags={move.hazards} />
            <span className="soft small">{say.finishSlowlyReleaseTap}</span>
          </div>
        )}
      </div>

      <h3>Where it leads</h3>
      {exchanges.map((exchange) => (
        <ExchangeLine
          key={exchange.id}
          map={map}
          exchange={exchange}
          onPick={() => select({ kind: 'exchange', id: exchange.id })}
        />
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
      <StepsEditor steps={move.steps} context={context} onChange={(steps) => save({ steps })} />

      <h3>Where coaches differ</h3>
      <VariantsEditor move={move} context={context} onChange={save} />

      <h3>What it needs</h3>
      <NeedsEditor map={map} move={move} context={context} onChange={save} />

      <h3>About it</h3>
      <div className={styles.fields}>
        <SavedField
          label={say.cuesOneLine}
          lines={2}
          value={move.cues.join('\n')}
          onSave={(text) => save({ cues: linesOf(text) })}
        />
        <AliasesField aliases={move.aliases} save={save} />
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
            placeholder="0 = forwards, 90 = to their right"
            onSave={(text) => save({ direction: readNumber(text) })}
          />
        </div>
        <SelectField
          label="Its moment"
          value={move.window ?? ''}
          choices={[
            { value: '', name: 'not said' },
            { value: 'open', name: 'stays open' },
            { value: 'brief', name: 'passes in a moment' },
          ]}
          onChange={(window) => save({ window: (window || undefined) as Move['window'] })}
        />
        <div className="two">
          <SelectField
            label="Played in"
            value={move.apparel ?? ''}
            choices={[
              { value: '', name: 'as its position' },
              { value: 'gi', name: 'gi only' },
              { value: 'no-gi', name: 'no-gi only' },
            ]}
            onChange={(apparel) => save({ apparel: (apparel || undefined) as Move['apparel'] })}
          />
          <SelectField
            label="Level"
            value={move.level ?? ''}
            choices={[
              { value: '', name: 'as its position' },
              ...wordChoices(['novice', 'intermediate', 'expert']),
            ]}
            onChange={(level) => save({ level: (level || undefined) as Move['level'] })}
          />
        </div>
        <div className="two">
          <SelectField
            label="Top goes down"
            value={move.fall ?? ''}
            choices={[
              { value: '', name: 'as the direction says' },
              ...FALLS.map((fall) => ({ value: fall, name: FALL_NAMES[fall] })),
            ]}
            onChange={(fall) => save({ fall: (fall || undefined) as Move['fall'] })}
          />
          <SavedField
            label={say.whatShowsSkill}
            limit={TEXT_LIMIT}
            lines={2}
            value={move.test ?? ''}
            onSave={(test) => save({ test: test || undefined })}
          />
        </div>
        {(move.hazards.length > 0 || move.tap) && (
          <SavedField
            label={say.whenWhoeverCaughtTaps}
            limit={TEXT_LIMIT}
            value={move.tap ?? ''}
            onSave={(tap) => save({ tap: tap || undefined })}
          />
        )}
        {(move.hazards.length > 0 || move.escapes.length > 0) && (
          <div>
            <div className="label-small">Ways out of it</div>
            <div className="chip-field" role="group" aria-label={say.waysOut}>
              {move.escapes.map((out, place) => (
                <span key={out} className="chip">
                  <button type="button" className="bare" onClick={() => select({ kind: 'move', id: out })}>
                    {index.move.get(out)?.name ?? out}
                  </button>
                  <TakeOut
                    label={`Remove: ${index.move.get(out)?.name ?? out}`}
                    onClick={() => save({ escapes: move.escapes.toSpliced(place, 1) })}
                  />
                </span>
              ))}
              <SelectField
                label="Another way out"
                hideLabel
                value=""
                choices={[
                  { value: '', name: '+ way out' },
                  ...map.moves
                    .filter(({ id: other, kind }) => kind === 'retention' && !move.escapes.includes(other))
                    .map(({ id: other, name }) => ({ value: other, name })),
                ]}
                onChange={(out) => out && save({ escapes: [...move.escapes, out] })}
              />
            </div>
          </div>
        )}
        <LoadsField loads={move.loads} onChange={(loads) => save({ loads })} />
        <div>
          <div className="label-small">What the body does</div>
          <MechanicsField map={map} move={move} select={select} />
        </div>
        <NoteField note={move.note} save={save} />
      </div>
      {move.kind === 'sweep' && (
        <Link to={`${mapAddress(map.id, 'balance')}?move=${id}`} className="btn btn-sm btn-plain mt-2">
          <Scale size={14} aria-hidden /> {say.whichWayDoFall}
        </Link>
      )}
      <h3>Faults</h3>
      <FaultsField
        map={map}
        faults={move.faults}
        reactions={looks.find(({ id }) => id === move.look)?.reactions.map(({ id }) => id)}
        onChange={(faults) => save({ faults })}
      />
      <h3>Fake success</h3>
      <FalsePositivesField
        found={move.falsePositives}
        onChange={(falsePositives) => save({ falsePositives })}
      />
      <h3>Hazards</h3>
      <HazardsField hazards={move.hazards} onChange={(hazards) => save({ hazards })} />
      <h3>Whom it suits</h3>
      <FitsField fits={move.fits} onChange={(fits) => save({ fits })} />
    </>
  );
}
