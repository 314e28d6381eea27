import { landingScene } from '@aftersquall/core/body';
import { put } from '@aftersquall/core/documents';
import {
  type Exchange,
  exchangeSeconds,
  indexMap,
  isOutcome,
  type Landing,
  type Outcome,
  type Position,
  reactionKey,
  reactionWords,
} from '@aftersquall/core/model';
import {
  landingChoices,
  landingOf,
  landingValue,
  reactionChoices,
  reactionOf,
} from '../../../components/fields/landingChoices.ts';
import { readNumber, SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { MovementPicture } from '../../../components/MovementPicture.tsx';
import { HoldScoreView } from '../../../components/score/HoldScoreView.tsx';
import { newEnding } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { say } from '../words.ts';
import { NoteField } from './CommonFields.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';
import { useSaver } from './useSaver.ts';

const BASES = [
  { value: 'coach', name: 'your guess' },
  { value: 'logged', name: 'the log' },
  { value: 'blended', name: 'guess and count' },
];

export function ExchangeSheet({ id, map, select }: SheetProps & { id: string }) {
  const index = indexMap(map);
  const exchange = index.exchange.get(id);
  const apparel = useAppSelector(({ settings }) => settings.apparel);
  const save = useSaver('exchange', exchange);
  if (!exchange) return null;
  const move = index.move.get(exchange.move)!;
  const reaction = exchange.reaction === 'none' ? undefined : index.reaction.get(exchange.reaction.id);
  const words = exchange.reaction === 'none' ? undefined : reactionWords(map, move, exchange.reaction);
  const here = index.position.get(move.position)!;
  const there = landingScene(map, exchange);
  const outcome = isOutcome(exchange.to) ? exchange.to.outcome : undefined;
  const saveChance = (text: string) => {
    const percent = readNumber(text.replace('%', ''));
    if (percent === undefined || !(percent >= 0 && percent <= 100)) return say.giveChance0100;
    // What the coach types is the coach's, also where a blend stood.
    return save({ chance: percent / 100, ...(exchange.basis && { basis: 'coach' as const }) });
  };
  return (
    <>
      <h2>
        <button type="button" className={styles.thing} onClick={() => select({ kind: 'move', id: move.id })}>
          {move.name}
        </button>
      </h2>
      {there && (
        <MovementPicture key={exchange.id} from={here} to={there} seconds={exchangeSeconds(move, exchange)} />
      )}
      {outcome && (
        <EndingLine map={map} exchange={exchange} outcome={outcome} shown={there} select={select} />
      )}
      <div className={`${styles.fields} mt-2`}>
        <SelectField
          label="When top"
          value={reactionKey(exchange.reaction)}
          choices={[{ value: 'none', name: 'does nothing' }, ...reactionChoices(map)]}
          onChange={(value) => save({ reaction: reactionOf(value) })}
        />
        <SelectField
          label="If it works"
          value={landingValue(exchange.to)}
          choices={landingChoices(map)}
          onChange={(value) => save({ to: landingOf(value) as Landing })}
        />
        <div className="two">
          <SavedField
            label="Chance"
            type="number"
            unit="%"
            value={String(Math.round(exchange.chance * 1000) / 10)}
            onSave={saveChance}
          />
          <SelectField
            label="Figure from"
            value={exchange.basis ?? ''}
            choices={[...(exchange.basis ? [] : [{ value: '', name: 'not said' }]), ...BASES]}
            onChange={(basis) => save({ basis: basis as Exchange['basis'] })}
          />
        </div>
        <SelectField
          label="If it fails"
          value={landingValue(exchange.otherwise)}
          choices={[{ value: '', name: 'you are still here' }, ...landingChoices(map)]}
          onChange={(value) => save({ otherwise: landingOf(value) as Landing })}
        />
        <div className="two">
          <SavedField
            label="Takes"
            type="number"
            unit="s"
            placeholder={String(exchangeSeconds(move, { ...exchange, seconds: undefined }))}
            value={String(exchange.seconds ?? '')}
            onSave={(text) => save({ seconds: readNumber(text) })}
          />
          <SavedField
            label="Stops after step"
            type="number"
            placeholder="all of them"
            value={String(exchange.stops ?? '')}
            onSave={(text) => save({ stops: readNumber(text) })}
          />
          {move.variants.length > 0 && (
            <SelectField
              label="Variation"
              value={exchange.variant ?? ''}
              choices={[
                { value: '', name: 'any variation' },
                ...move.variants.map((variant) => ({ value: variant.id, name: variant.name })),
              ]}
              onChange={(value) => save({ variant: value || undefined })}
            />
          )}
        </div>
        <NoteField note={exchange.note} save={save} />
      </div>
      {reaction && (
        <>
          <h3>
            <button
              type="button"
              className={`${styles.thing} top`}
              onClick={() => select({ kind: 'reaction', id: reaction.id })}
            >
              {reaction.name}
            </button>
          </h3>
          {words?.feel && <p className="mb-1">Feels like: {words.feel}</p>}
          {words?.script && <p className="mb-0 soft">Partner: {words.script}</p>}
        </>
      )}
      <HoldScoreView map={map} exchanges={[id]} apparel={apparel} />
    </>
  );
}

interface EndingLineProps extends SheetProps {
  exchange: Exchange;
  outcome: Outcome;
  /** What the outcome is shown with, if the map says how it looks. */
  shown: Position | undefined;
}

/** Which ending the movement leads to, to be looked at and changed; or the way to a first one. */
function EndingLine({ map, exchange, outcome, shown, select }: EndingLineProps) {
  const dispatch = useAppDispatch();
  const add = () => {
    const ending = newEnding(map, exchange, outcome);
    if (dispatch(changeMap(put('ending', ending))).length === 0) select({ kind: 'ending', id: ending.id });
  };
  if (!shown)
    return (
      <button type="button" className="btn btn-sm btn-plain" onClick={add}>
        Say how it looks at the end
      </button>
    );
  return (
    <button type="button" className="chip" onClick={() => select({ kind: 'ending', id: shown.id })}>
      ends in: {shown.name}
    </button>
  );
}
