import './read.scss';
import {
  indexMap,
  isOutcome,
  type Landing,
  OUTCOME_WORDS,
  readReaction,
  SHIPPED_PROFILES,
} from '@aftersquall/core';
import { ArrowLeft, FlipHorizontal2 } from 'lucide-react';
import { useMemo } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSearchParams } from 'react-router';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { reactionOf, reactionValue } from '../../components/fields/landingChoices.ts';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { selectMap } from '../../store/mapSession.ts';
import { setApparel, setRules } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Answers } from './Answers.tsx';
import { PositionPicker } from './PositionPicker.tsx';
import { ReactionPicker } from './ReactionPicker.tsx';

/** "I hold these, they did that: what now?" — position, reaction, answers, each one tap. */
export function ReadPlace() {
  const map = useAppSelector(selectMap)!;
  const { apparel, rules } = useAppSelector((state) => state.settings);
  const dispatch = useAppDispatch();
  const [params, setParams] = useSearchParams();
  const position = indexMap(map).position.get(params.get('at') ?? '');
  const mirrored = params.get('side') === 'other';
  const met = params.get('met') ?? '';
  const profile = SHIPPED_PROFILES.find(({ id }) => id === rules);

  const set = (changes: Record<string, string>) =>
    setParams((old) => {
      for (const [key, value] of Object.entries(changes)) {
        if (value) old.set(key, value);
        else old.delete(key);
      }
      return old;
    });
  const flip = () => {
    const reaction = met && met !== 'none' ? reactionOf(met) : undefined;
    const turned =
      reaction && reaction !== 'none'
        ? reactionValue({ id: reaction.id, mirrored: !reaction.mirrored })
        : met;
    set({ side: mirrored ? '' : 'other', met: turned });
  };
  useHotkeys('f', flip);
  useHotkeys('g', () => void dispatch(setApparel(apparel === 'gi' ? 'no-gi' : 'gi')));
  useHotkeys('esc', () => set({ at: '', met: '', side: '', ended: '' }));

  const reading = useMemo(() => {
    if (!position || !met) return undefined;
    const known = met === 'none' || indexMap(map).reaction.has(met.replace('~', ''));
    if (!known) return undefined;
    return readReaction(map, {
      position: position.id,
      mirrored,
      reaction: reactionOf(met),
      apparel,
      ...(profile && { rules: profile }),
    });
  }, [map, position, mirrored, met, apparel, profile]);

  const take = (landing: Landing) => {
    if (isOutcome(landing)) set({ at: '', met: '', side: '', ended: landing.outcome });
    else set({ at: landing.position, met: '', side: landing.mirrored ? 'other' : '', ended: '' });
  };
  const ended = params.get('ended');

  return (
    <>
      <header className="place-bar">
        <h1>Read</h1>
        <ChoiceToggle
          label="Apparel"
          value={apparel}
          choices={[
            ['gi', 'Gi'],
            ['no-gi', 'No-gi'],
          ]}
          onChange={(value) => dispatch(setApparel(value))}
        />
        <button
          type="button"
          className={`btn btn-sm ${mirrored ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={mirrored}
          onClick={flip}
        >
          <FlipHorizontal2 size={15} aria-hidden /> Other side
        </button>
        <SelectField
          label="Rules"
          hideLabel
          value={rules}
          choices={[
            { value: '', name: 'No rules profile' },
            ...SHIPPED_PROFILES.map(({ id, name }) => ({ value: id, name: `Rules: ${name}` })),
          ]}
          onChange={(value) => dispatch(setRules(value))}
        />
        {profile && <span className="soft small">The event’s current rule book decides.</span>}
      </header>
      <div className={`read-body ${position ? (reading ? 'at-answer' : 'at-reaction') : 'at-position'}`}>
        <section className="read-column" aria-label="Where are we?">
          <h2>Where are we?</h2>
          {ended && (
            <p>
              Last one ended: <b>{OUTCOME_WORDS[ended as keyof typeof OUTCOME_WORDS] ?? ended}</b>.
            </p>
          )}
          <PositionPicker
            map={map}
            chosen={position?.id}
            onChoose={(id) => set({ at: id, met: '', ended: '' })}
          />
        </section>
        <section className="read-column" aria-label="What did top do?">
          <h2>
            <button
              type="button"
              className="btn btn-plain back"
              aria-label="Back to positions"
              onClick={() => set({ at: '', met: '' })}
            >
              <ArrowLeft size={18} aria-hidden />
            </button>
            What did top do?
          </h2>
          {position ? (
            <ReactionPicker
              map={map}
              position={position}
              mirrored={mirrored}
              met={met}
              onChoose={(value) => set({ met: value })}
            />
          ) : (
            <p className="soft">First say where you are.</p>
          )}
        </section>
        <section className="read-column answers" aria-label="Answers" aria-live="polite">
          <h2>
            <button
              type="button"
              className="btn btn-plain back"
              aria-label="Back to reactions"
              onClick={() => set({ met: '' })}
            >
              <ArrowLeft size={18} aria-hidden />
            </button>
            What now
          </h2>
          {reading && position ? (
            <Answers map={map} reading={reading} position={position} mirrored={mirrored} onTake={take} />
          ) : (
            <p className="soft">The answers stand here, the one that is ready and worth most on top.</p>
          )}
        </section>
      </div>
    </>
  );
}
