import { type Moment, mirror, OUTCOME_WORDS, sided } from '@aftersquall/core/body';
import { batch, put } from '@aftersquall/core/documents';
import {
  type ChainTurn,
  exchangeOf,
  indexMap,
  isOutcome,
  type Landing,
  reactionKey,
  readTurn,
  turnIn,
  turnText,
} from '@aftersquall/core/model';
import { type ReadOption, type ReadRequest, readAsTop, readReaction } from '@aftersquall/core/read';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { ArrowLeft, FlipHorizontal2, PersonStanding } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { ApparelChoice } from '../../components/ApparelChoice.tsx';
import { mapAddress } from '../../components/addresses.ts';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { Explained } from '../../components/Explained.tsx';
import { reactionOf } from '../../components/fields/landingChoices.ts';
import { RulesChoice } from '../../components/RulesChoice.tsx';
import { SaveState } from '../../components/SaveState.tsx';
import { UndoButtons } from '../../components/UndoButtons.tsx';
import { useLayer } from '../../components/useLayer.ts';
import { useEditedDocument } from '../../store/documents/useDocument.ts';
import { newPosition } from '../../store/newThings.ts';
import { changeMap, selectMap } from '../../store/openMap.ts';
import { readAt } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useMapWeighing } from '../../workers/useMapWeighing.ts';
import { Answers } from './Answers.tsx';
import { BuildChoice } from './BuildChoice.tsx';
import { MomentEditor } from './MomentEditor.tsx';
import { PositionWall } from './PositionWall.tsx';
import { ReactionPicker } from './ReactionPicker.tsx';
import styles from './read.module.scss';
import { TopAnswers } from './TopAnswers.tsx';
import { Trail } from './Trail.tsx';
import { WhereWeAre } from './WhereWeAre.tsx';
import { say } from './words.ts';

const EMPTY_MOMENT: Moment = { holds: [], topHolds: [], signs: {} };

/** "I hold these, they did that: what now?" — a position or a moment, a reaction, answers, each one tap. */
export function ReadPlace() {
  const map = useAppSelector(selectMap)!;
  useEditedDocument('map', map.id);
  const { apparel, rules, builds } = useAppSelector((state) => state.settings);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [params, set] = useAddress();
  const index = indexMap(map);
  const byHolds = params.get('by') === 'holds';
  const [moment, setMoment] = useState<Moment>(EMPTY_MOMENT);
  const position = byHolds ? undefined : index.position.get(params.get('at') ?? '');
  const mirrored = params.get('side') === 'other';
  const met = params.get('met') ?? '';
  const asTop = params.get('as') === 'top';
  const trail = (params.get('trail') ?? '')
    .split(',')
    .flatMap((text) => readTurn(text) ?? [])
    .filter((turn) => turnIn(map, turn));
  const { weighing, stale } = useMapWeighing(map);
  const profile = SHIPPED_PROFILES.find(({ id }) => id === rules);

  const flip = () => {
    const reaction = met && met !== 'none' ? reactionOf(met) : undefined;
    const turned =
      reaction && reaction !== 'none' ? reactionKey({ id: reaction.id, mirrored: !reaction.mirrored }) : met;
    if (byHolds) {
      setMoment({
        holds: moment.holds.map((hold) => mirror('hold', hold)),
        topHolds: moment.topHolds.map((hold) => mirror('hold', hold)),
        signs: mirror('signs', moment.signs),
      });
    }
    set({ side: mirrored ? undefined : 'other', met: turned });
  };
  useHotkeys('f', flip, { useKey: true });
  useHotkeys('t', () => set({ as: asTop ? undefined : 'top' }), { useKey: true });
  // One step back at a time: what top did, then where we are.
  useLayer(true, () => {
    // Pressed twice, it counts twice, however late the screen follows.
    set((now) =>
      now.get('met') || now.get('as')
        ? { met: '', as: undefined }
        : { at: '', side: '', ended: '', trail: '', by: '' },
    );
  });

  const request = useMemo(
    (): ReadRequest => ({
      ...(byHolds ? moment : { position: position?.id ?? '', mirrored }),
      apparel,
      athlete: builds,
      worths: weighing?.worths,
      ...(profile && { rules: profile }),
    }),
    [byHolds, moment, position, mirrored, apparel, builds, profile, weighing],
  );
  const where = byHolds || Boolean(position);
  const reading = useMemo(() => {
    if (!where) return undefined;
    const exists = met === '' || met === 'none' || index.reaction.has(met.replace('~', ''));
    return exists ? readReaction(map, { ...request, reaction: met ? reactionOf(met) : 'none' }) : undefined;
  }, [map, index, where, met, request]);
  const top = useMemo(
    () => (where && asTop ? readAsTop(map, request, true) : undefined),
    [map, where, asTop, request],
  );

  /** The nearest position stands in for the moment where words and pickers need one. */
  const near = reading?.nearest[0];
  const answering = reading?.answering ?? [];
  const here = position ?? near?.position;
  const hereMirrored = position ? mirrored : Boolean(near?.mirrored);

  /** Goes on from where a turn leads, on the side that one is on. */
  const go = (turn: ChainTurn, to: Landing) => {
    const next = { met: '', by: '', trail: [...trail, turn].map(turnText).join(',') };
    if (isOutcome(to)) set({ ...next, at: '', ended: to.outcome });
    else set({ ...next, at: to.position, side: to.mirrored ? 'other' : '', ended: '' });
  };
  const take = ({ exchange }: ReadOption) => exchange && go(exchange.id, exchange.to);
  const miss = ({ exchange, from }: ReadOption, after?: number) =>
    exchange &&
    go(
      { exchange: exchange.id, fails: true, ...(after && { after }) },
      exchange.otherwise ?? { position: from.position.id, mirrored: from.mirrored },
    );
  const stepBack = () => {
    const last = trail.at(-1);
    const turn = last && turnIn(map, last);
    if (!last || !turn) return;
    // What is written is of the written side: a turn that changes sides came from the other one.
    const before = mirrored !== (!isOutcome(turn.to) && Boolean(turn.to.mirrored));
    const exchange = index.exchange.get(exchangeOf(last) ?? '');
    const reaction = exchange && (before ? mirror('exchange', exchange) : exchange).reaction;
    set({
      trail: trail.slice(0, -1).map(turnText).join(','),
      at: turn.at,
      met: reaction ? reactionKey(reaction) : '',
      side: before ? 'other' : '',
      ended: '',
      by: '',
    });
  };
  const editMoment = () => {
    const from = position && sided('position', position, mirrored);
    if (from) setMoment({ holds: from.holds, topHolds: from.topHolds, signs: from.signs });
    set({ by: 'holds', at: '', side: '' });
  };
  const keepMoment = () => {
    const made = { ...newPosition(map, say.newPositionMoment), ...moment };
    if (dispatch(changeMap(batch([put('position', made)], say.positionMoment))).length === 0)
      navigate(`${mapAddress(map.id)}?sel=position.${made.id}`);
  };
  const ended = params.get('ended');
  const shown = useMemo(() => position && sided('position', position, mirrored), [position, mirrored]);
  const choose = (id: string) => {
    dispatch(readAt(id));
    set({ at: id, met: '', ended: '', ...(ended && { side: '' }) });
  };

  return (
    <>
      <title>{`Read · ${map.name}`}</title>
      <header className="place-bar">
        <h1>Read</h1>
        <ChoiceToggle
          label={say.howSayWhere}
          value={byHolds ? 'holds' : 'position'}
          choices={[
            ['position', 'Position'],
            ['holds', 'Holds'],
          ]}
          onChange={(by) => (by === 'holds' ? editMoment() : set({ by: undefined }))}
        />
        <ApparelChoice withKey />
        <button
          type="button"
          className={`btn btn-sm ${mirrored ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={mirrored}
          onClick={flip}
        >
          <FlipHorizontal2 size={15} aria-hidden /> Other side
        </button>
        <button
          type="button"
          className={`btn btn-sm ${asTop ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={asTop}
          title={say.sameMomentTopSees}
          onClick={() => set({ as: asTop ? undefined : 'top' })}
        >
          <PersonStanding size={15} aria-hidden /> As top
        </button>
        <BuildChoice />
        <RulesChoice inBar />
        <span className="push" />
        <SaveState />
        <UndoButtons />
      </header>
      <Explained term="read" />
      <Trail map={map} trail={trail} onBack={stepBack} />
      <div
        className={`${styles['read-body']} ${where ? (met || asTop ? styles['at-answer'] : styles['at-reaction']) : styles['at-position']} ${byHolds ? styles['by-holds'] : ''}`}
      >
        <section className={styles['read-column']} aria-label="Where are you?">
          <h2>Where are you?</h2>
          {ended && (
            <p>
              Last one ended: <b>{OUTCOME_WORDS[ended as keyof typeof OUTCOME_WORDS] ?? ended}</b>.
            </p>
          )}
          {byHolds ? (
            <MomentEditor
              moment={moment}
              nearest={reading?.nearest ?? []}
              map={map}
              onChange={setMoment}
              onGo={(go) => set({ by: '', at: go.position.id, side: go.mirrored ? 'other' : '' })}
              onKeep={keepMoment}
            />
          ) : shown ? (
            <WhereWeAre
              map={map}
              position={shown}
              onChoose={choose}
              onWait={position?.drift && shown.drift && (() => go({ waits: position.id }, shown.drift!))}
              onWall={() => set({ at: '', met: '' })}
            />
          ) : (
            <PositionWall map={map} onChoose={choose} />
          )}
        </section>
        <section className={styles['read-column']} aria-label={say.whatDidTopDo}>
          <h2>
            <button
              type="button"
              className={`btn btn-plain ${styles.back}`}
              aria-label="Back to positions"
              onClick={() => set({ at: '', met: '' })}
            >
              <ArrowLeft size={18} aria-hidden />
            </button>
            {say.whatDidTopDo}
          </h2>
          {here && where ? (
            <ReactionPicker
              map={map}
              position={here}
              mirrored={hereMirrored}
              met={met}
              moment={byHolds ? moment : undefined}
              like={byHolds ? answering : []}
              after={reading?.moment}
              onChoose={(value) => set({ met: value, as: undefined })}
            />
          ) : (
            <p className="soft">{say.firstSayWhere}</p>
          )}
        </section>
        <section
          className={`${styles['read-column']} ${styles.answers}`}
          aria-label="Answers"
          aria-live="polite"
        >
          <h2>
            <button
              type="button"
              className={`btn btn-plain ${styles.back}`}
              aria-label="Back to reactions"
              onClick={() => set({ met: '', as: undefined })}
            >
              <ArrowLeft size={18} aria-hidden />
            </button>
            {asTop ? say.whatHurtsBottomMost : 'What now'}
          </h2>
          {top ? (
            <TopAnswers
              map={map}
              options={top}
              at={here && indexMap(map).position.get(here.id)}
              mirrored={hereMirrored}
              onSee={(value) => set({ met: value, as: undefined })}
            />
          ) : reading && here && (met || byHolds) ? (
            <Answers
              map={map}
              reading={reading}
              met={met || 'none'}
              stale={stale}
              onTake={take}
              onMiss={miss}
              onBecome={({ position: { id }, mirrored: other }) =>
                set({ at: id, side: other ? 'other' : '', met: '', by: '' })
              }
            />
          ) : (
            <p className="soft">{say.answersAppearHereBest}</p>
          )}
        </section>
      </div>
    </>
  );
}
