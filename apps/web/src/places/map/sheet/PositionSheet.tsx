import { holes } from '@aftersquall/core/check';
import { batch, edit, type Issue, put } from '@aftersquall/core/documents';
import { freshId, indexMap, type Landing, type Position, SHORT_LIMIT } from '@aftersquall/core/model';
import { ChoiceToggle } from '../../../components/ChoiceToggle.tsx';
import { Explained } from '../../../components/Explained.tsx';
import { FaultsField } from '../../../components/fields/FaultsField.tsx';
import { FitsField } from '../../../components/fields/FitsField.tsx';
import { LoadsField } from '../../../components/fields/LoadsField.tsx';
import { landingChoices, landingOf, landingValue } from '../../../components/fields/landingChoices.ts';
import { readNumber, SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField, wordChoices } from '../../../components/fields/SelectField.tsx';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { say } from '../words.ts';
import { AddMove } from './AddMove.tsx';
import { BodiesPart } from './BodiesPart.tsx';
import { AliasesField, NameFields, NoteField } from './CommonFields.tsx';
import { LookPart } from './LookPart.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';
import { linesOf, useSaver } from './useSaver.ts';

export function PositionSheet({ id, map, select }: SheetProps & { id: string }) {
  const index = indexMap(map);
  const position = index.position.get(id);
  const save = useSaver('position', position);
  const dispatch = useAppDispatch();
  if (!position) return null;
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
      <div className={styles['sheet-head']}>
        <div className={styles.grow}>
          <NameFields of={position} save={save} />
        </div>
      </div>
      <BodiesPart key={position.id} position={position} save={save} />

      <h3>Moves and answers</h3>
      <Explained term="look" />
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
      <div className={styles.fields}>
        <SavedField
          label={say.cuesOneLine}
          lines={3}
          value={position.cues.join('\n')}
          onSave={(text) => save({ cues: linesOf(text) })}
        />
        <SavedField
          label={say.whatMostRoomsCall}
          limit={SHORT_LIMIT}
          value={position.usual ?? ''}
          onSave={(usual) => save({ usual: usual.trim() || undefined })}
        />
        <AliasesField aliases={position.aliases} save={save} />
        <GamePart game={position.game} onChange={(game) => save({ game })} />
        <NoteField note={position.note} save={save} />
        <LoadsField loads={position.loads} onChange={(loads) => save({ loads })} />
        <div>
          <div className="label-small">Guard systems</div>
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
        </div>
        {position.systems.map((system) => (
          <SystemName key={system} id={system} map={map} />
        ))}
        <div className="two">
          <SavedField
            label={say.roundsStartHereWeight}
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
            above={say.nearSideTops}
            value={position.leadSide}
            choices={[
              ['L', 'left'],
              ['R', 'right'],
            ]}
            onChange={(leadSide) => save({ leadSide })}
          />
        </div>
        <SelectField
          label="If you wait"
          value={landingValue(position.drift)}
          choices={[
            { value: '', name: 'nothing in particular' },
            ...landingChoices(map).filter(({ value }) => value !== `position:${id}`),
          ]}
          onChange={(value) => save({ drift: landingOf(value) as Landing })}
        />
        <SavedField
          label={say.pointsWaitingHere}
          value={String(position.rest ?? '')}
          type="number"
          placeholder="the map’s"
          onSave={(text) => save({ rest: readNumber(text) })}
        />
      </div>
      <h3>Faults</h3>
      <FaultsField
        map={map}
        faults={position.faults}
        reactions={position.looks.flatMap(({ reactions }) => reactions.map(({ id }) => id))}
        onChange={(faults) => save({ faults })}
      />
      <h3>Whom it suits</h3>
      <FitsField fits={position.fits} onChange={(fits) => save({ fits })} />
    </>
  );
}

/** What a game is won by where nobody says more. */
const USUAL_GAME = {
  bottom: say.topBackThreeSeconds,
  top: say.passFlattenThemThree,
};

/** A game from here: what wins it for each. */
function GamePart({
  game,
  onChange,
}: {
  game: Position['game'];
  onChange: (game: Position['game']) => Issue[];
}) {
  const { bottom = '', top = '', time } = game ?? {};
  const set = (changes: Partial<NonNullable<Position['game']>>) => {
    const next = { bottom, top, time, ...changes };
    if (!next.bottom && !next.top) return onChange(undefined);
    return onChange({
      bottom: next.bottom || USUAL_GAME.bottom,
      top: next.top || USUAL_GAME.top,
      time: next.time,
    });
  };
  return (
    <>
      <div className="two">
        <SavedField
          label={say.gameHereBottomWins}
          lines={2}
          value={bottom}
          onSave={(text) => set({ bottom: text })}
        />
        <SavedField label="Top wins" lines={2} value={top} onSave={(text) => set({ top: text })} />
      </div>
      {game && (
        <SavedField
          label={say.bottomWinsTimeToo}
          placeholder="20 s not passed"
          value={time ?? ''}
          onSave={(text) => set({ time: text.trim() || undefined })}
        />
      )}
    </>
  );
}

function SystemName({ id, map }: { id: string; map: SheetProps['map'] }) {
  const system = indexMap(map).system.get(id);
  const save = useSaver('system', system);
  return system ? (
    <SavedField label={say.nameSystem(system.name)} value={system.name} onSave={(name) => save({ name })} />
  ) : null;
}
