import {
  batch,
  edit,
  freshId,
  type Hole,
  holes,
  indexMap,
  type Landing,
  type Look,
  landingWords,
  limbConflicts,
  type Move,
  type Position,
  put,
  reactionKey,
  reactionName,
  wordContext,
} from '@aftersquall/core';
import { Plus } from 'lucide-react';
import { HoldsPlan } from '../../../components/bodyPlan/HoldsPlan.tsx';
import { ChoiceToggle } from '../../../components/ChoiceToggle.tsx';
import { FaultsField } from '../../../components/fields/FaultsField.tsx';
import { FitsField } from '../../../components/fields/FitsField.tsx';
import { HoldsField } from '../../../components/fields/HoldsField.tsx';
import {
  landingChoices,
  landingOf,
  landingValue,
  reactionChoices,
  reactionOf,
} from '../../../components/fields/landingChoices.ts';
import { readNumber, SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField, wordChoices } from '../../../components/fields/SelectField.tsx';
import { SignsField } from '../../../components/fields/SignsField.tsx';
import { LimbGlyph } from '../../../components/LimbGlyph.tsx';
import { newExchange, newMove } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import type { SheetProps } from './sheetProps.ts';
import { linesOf, listOf, useSaver } from './useSaver.ts';

export function PositionSheet({ id, map, select }: SheetProps & { id: string }) {
  const index = indexMap(map);
  const position = index.position.get(id);
  const save = useSaver('position', position);
  const dispatch = useAppDispatch();
  if (!position) return null;
  const context = wordContext(position);
  const conflicts = [...limbConflicts(position.holds, context), ...limbConflicts(position.topHolds, context)];
  const open = holes(map).filter((hole) => hole.position.id === id);
  const flipSystem = (system: string) =>
    save({
      systems: position.systems.includes(system)
        ? position.systems.filter((other) => other !== system)
        : [...position.systems, system],
    });
  const addSystem = () => {
    const system = freshId('new-system', index.system.keys());
    dispatch(
      changeMap(
        batch([
          put('system', { id: system, name: 'New system', aliases: [], note: '' }),
          edit('position', position, { ...position, systems: [...position.systems, system] }),
        ]),
      ),
    );
  };
  return (
    <>
      <div className="sheet-head">
        <LimbGlyph holds={position.holds} context={context} width={76} />
        <div className="grow">
          <SavedField label="Name" value={position.name} onSave={(name) => save({ name })} />
        </div>
      </div>
      {conflicts.map((conflict) => (
        <p key={conflict.words} className="hazard mb-1">
          One limb, two holds: {conflict.words}.
        </p>
      ))}
      <HoldsPlan position={position} onChange={save} />
      <h3>Holds</h3>
      <HoldsField
        label="Holds of bottom"
        by="own"
        holds={position.holds}
        context={context}
        onChange={(holds) => save({ holds })}
      />
      <h3>Top’s holds and signs</h3>
      <HoldsField
        label="Holds of top"
        by="top"
        holds={position.topHolds}
        context={context}
        onChange={(topHolds) => save({ topHolds })}
      />
      <div className="mt-2">
        <SignsField label="Signs" signs={position.signs} onChange={(signs) => save({ signs })} />
      </div>

      <h3>Moves and answers</h3>
      {position.looks.map((look) => (
        <LookPart
          key={look.id}
          look={look}
          position={position}
          map={map}
          select={select}
          open={open.filter((hole) => hole.look.id === look.id)}
        />
      ))}
      <AddMove position={position} map={map} select={select} />

      <h3>About it</h3>
      <div className="fields">
        <SavedField
          label="Cues, one a line"
          lines={3}
          value={position.cues.join('\n')}
          onSave={(text) => save({ cues: linesOf(text) })}
        />
        <SavedField
          label="Other names, with commas"
          value={position.aliases.join(', ')}
          onSave={(text) => save({ aliases: listOf(text) })}
        />
        <div className="chip-field" role="group" aria-label="Guard systems">
          {map.systems.map((system) => (
            <button
              key={system.id}
              type="button"
              className={`chip ${position.systems.includes(system.id) ? 'on' : ''}`}
              aria-pressed={position.systems.includes(system.id)}
              onClick={() => flipSystem(system.id)}
            >
              {system.name}
            </button>
          ))}
          <button type="button" className="chip" onClick={addSystem}>
            + system
          </button>
        </div>
        {position.systems.map((system) => (
          <SystemName key={system} id={system} map={map} />
        ))}
        <div className="two">
          <SavedField
            label="Rounds start here (weight)"
            value={String(position.entry ?? '')}
            type="number"
            placeholder="0"
            onSave={(text) => save({ entry: readNumber(text) })}
          />
          <SelectField
            label="Level"
            value={position.level}
            choices={wordChoices(['novice', 'intermediate', 'expert'])}
            onChange={(level) => save({ level: level as Position['level'] })}
          />
          <SelectField
            label="Played in"
            value={position.apparel}
            choices={[
              { value: 'both', name: 'gi and no-gi' },
              { value: 'gi', name: 'gi only' },
              { value: 'no-gi', name: 'no-gi only' },
            ]}
            onChange={(apparel) => save({ apparel: apparel as Position['apparel'] })}
          />
          <ChoiceToggle
            label="Near side"
            above="Near side is top’s"
            value={position.leadSide}
            choices={[
              ['L', 'left'],
              ['R', 'right'],
            ]}
            onChange={(leadSide) => save({ leadSide })}
          />
        </div>
        <SelectField
          label="Waiting leads to"
          value={landingValue(position.drift)}
          choices={[
            { value: '', name: 'nothing in particular' },
            ...landingChoices(map).filter(({ value }) => value !== `position:${id}`),
          ]}
          onChange={(value) => save({ drift: landingOf(value) as Landing })}
        />
        <SavedField
          label="Worth of waiting here, in points"
          value={String(position.rest ?? '')}
          type="number"
          placeholder="the map’s"
          onSave={(text) => save({ rest: readNumber(text) })}
        />
      </div>
      <h3>Faults</h3>
      <FaultsField faults={position.faults} onChange={(faults) => save({ faults })} />
      <h3>Whom it suits</h3>
      <FitsField fits={position.fits} onChange={(fits) => save({ fits })} />
    </>
  );
}

function SystemName({ id, map }: { id: string; map: SheetProps['map'] }) {
  const system = indexMap(map).system.get(id);
  const save = useSaver('system', system);
  return system ? (
    <SavedField
      label={`Name of the system “${system.name}”`}
      value={system.name}
      onSave={(name) => save({ name })}
    />
  ) : null;
}

interface LookProps extends SheetProps {
  look: Look;
  position: Position;
  open: Hole[];
}

/** One look: what top may do about it, and each of its moves with where it leads. */
function LookPart({ look, position, map, select, open }: LookProps) {
  const index = indexMap(map);
  const save = useSaver('position', position);
  const moves = index.movesOf(position.id).filter((move) => move.look === look.id);
  const change = (changes: Partial<Look>) =>
    save({ looks: position.looks.map((other) => (other.id === look.id ? { ...look, ...changes } : other)) });
  return (
    <section aria-label={`Look: ${look.name}`}>
      <div className="look-name">
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
    <div className="move-row">
      <button type="button" className="thing name" onClick={() => select({ kind: 'move', id: move.id })}>
        {move.name} <span className="soft small fw-normal">{move.kind}</span>
      </button>
      {index.exchangesOf(move.id).map((exchange) => (
        <button
          key={exchange.id}
          type="button"
          className="thing answer"
          onClick={() => select({ kind: 'exchange', id: exchange.id })}
        >
          <span className="met">
            {exchange.reaction === 'none' ? 'unopposed' : reactionName(map, exchange.reaction)}
          </span>
          <span>→ {landingWords(map, exchange.to)}</span>
          <span className="chance">{Math.round(exchange.chance * 100)} %</span>
        </button>
      ))}
      {open.map((hole) => (
        <button
          key={reactionKey(hole.reaction)}
          type="button"
          className="thing answer open"
          onClick={() => answer(hole)}
        >
          <span className="met">{reactionName(map, hole.reaction)}</span>
          <span>
            <Plus size={13} aria-hidden /> no answer yet
          </span>
        </button>
      ))}
    </div>
  );
}

function AddMove({ position, map, select }: SheetProps & { position: Position }) {
  const dispatch = useAppDispatch();
  const add = (lookId: string) => {
    const { commands, move } = newMove(map, position, lookId || undefined);
    dispatch(changeMap(batch(commands, 'New move')));
    select({ kind: 'move', id: move.id });
  };
  return (
    <div className="chip-field mt-2">
      <button type="button" className="btn btn-sm btn-plain" onClick={() => add('')}>
        <Plus size={14} aria-hidden /> move with a look of its own
      </button>
      {position.looks.map((look) => (
        <button key={look.id} type="button" className="btn btn-sm btn-plain" onClick={() => add(look.id)}>
          <Plus size={14} aria-hidden /> move that looks like “{look.name}”
        </button>
      ))}
    </div>
  );
}
