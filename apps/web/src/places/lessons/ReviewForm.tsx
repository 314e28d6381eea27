import { answerName, doneName, landingWords, playable } from '@aftersquall/core/body';
import { exchangeOf, type GuardMap, indexMap } from '@aftersquall/core/model';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { useSearchParams } from 'react-router';
import { z } from 'zod';
import { ApparelChoice } from '../../components/ApparelChoice.tsx';
import { SidesChoice } from '../../components/SidesChoice.tsx';
import { changeGoal } from '../../store/classGoal.ts';
import type { Goal, ReviewRequest } from '../../store/classRequest.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { GoalField, wholeNumber } from './GoalField.tsx';
import { GoalNumbers } from './GoalNumbers.tsx';
import styles from './lessons.module.scss';
import { say as texts } from './words.ts';

const GoalSchema = z.object({
  name: z.string().trim().max(120, 'at most 120 characters'),
  minutes: wholeNumber(5, 240, 'minutes'),
  people: wholeNumber(1, 200, 'people'),
});

interface Props {
  map: GuardMap;
  onBuild: (order: { name: string; goal: Goal; request: ReviewRequest }) => Promise<void>;
}

/** What a review goes through: a whole system or chosen exchanges; the minutes, the people, the apparel. */
export function ReviewForm({ map, onBuild }: Props) {
  const apparel = useAppSelector((state) => state.settings.apparel);
  const dispatch = useAppDispatch();
  const goal = useAppSelector((state) => state.classGoal);
  const [params] = useSearchParams();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set((params.get('goal') ?? '').split(',').filter((id) => indexMap(map).exchange.has(id))),
  );
  const form = useForm({
    resolver: zodResolver(GoalSchema),
    defaultValues: goal as z.input<typeof GoalSchema>,
  });
  // Every key counts, also one that comes while this form is being shown anew.
  const field = (name: 'name' | 'minutes' | 'people') =>
    form.register(name, { onChange: ({ target }) => dispatch(changeGoal({ [name]: target.value })) });
  const { errors, isSubmitting } = form.formState;
  const positions = useMemo(() => positionsWithExchanges(map), [map]);
  const systems = map.systems.map((system) => ({
    ...system,
    exchanges: positions
      .filter(({ position }) => position.systems.includes(system.id))
      .flatMap(({ exchanges }) => exchanges.map(({ id }) => id)),
  }));

  const covers = [
    ...systems.map(({ id, name, exchanges }) => ({
      key: `system ${id}`,
      words: `Cover all of ${name}`,
      exchanges,
    })),
    ...map.chains.map(({ id, name, exchanges }) => ({
      key: `chain ${id}`,
      words: `Chain: ${name}`,
      exchanges: exchanges.flatMap((turn) => exchangeOf(turn) ?? []),
    })),
  ];

  const flip = (ids: readonly string[]) => {
    const next = new Set(chosen);
    const all = ids.every((id) => next.has(id));
    for (const id of ids) all ? next.delete(id) : next.add(id);
    setChosen(next);
  };
  /** What the class is called when the coach does not say: the systems it covers, or where it begins. */
  const suggested = (): string => {
    const whole = systems.filter(
      ({ exchanges }) => exchanges.length > 0 && exchanges.every((id) => chosen.has(id)),
    );
    const first = positions.find(({ exchanges }) => exchanges.some(({ id }) => chosen.has(id)));
    return whole.map(({ name }) => name).join(', ') || first?.position.name || 'Class';
  };
  const build = form.handleSubmit(({ name, minutes, people }) =>
    onBuild({
      name: name || suggested().slice(0, 120),
      goal: { name: name || suggested(), exchanges: [...chosen] },
      request: { exchanges: [...chosen], minutes, people, apparel, sides: goal.sides },
    }),
  );

  return (
    <Form onSubmit={build} noValidate className={styles['goal-form']} aria-label="New class">
      <h2>{texts.whatDoWantGo}</h2>
      <div className={styles['goal-line']}>
        <GoalField
          label="Name"
          id="class-name"
          error={errors.name?.message}
          input={field('name')}
          wide
          placeholder={chosen.size > 0 ? suggested() : undefined}
        />
        <GoalNumbers errors={errors} field={field} />
        <ApparelChoice above="Apparel" />
        <SidesChoice value={goal.sides} onChange={(sides) => dispatch(changeGoal({ sides }))} />
      </div>
      <div className="chip-field my-2" role="group" aria-label="Whole systems">
        {covers.map(({ key, words, exchanges }) => {
          const all = exchanges.length > 0 && exchanges.every((exchange) => chosen.has(exchange));
          return (
            <button
              key={key}
              type="button"
              className={`chip ${all ? 'on' : ''}`}
              aria-pressed={all}
              onClick={() => flip(exchanges)}
            >
              {words} ({exchanges.length})
            </button>
          );
        })}
      </div>
      <div className={styles['goal-go']}>
        <button type="submit" className="btn btn-now" disabled={chosen.size === 0 || isSubmitting}>
          {isSubmitting ? 'Building…' : 'Build the class'}
        </button>
        <span className="soft">
          {chosen.size === 0
            ? texts.chooseSystemAnswersBelow
            : `${chosen.size} ${chosen.size === 1 ? 'answer' : 'answers'} to cover`}
        </span>
      </div>
      {positions.length === 0 && <p>{texts.mapHasNoAnswers}</p>}
      <div className={styles['goal-positions']}>
        {positions.map(({ position, exchanges }) => (
          <PositionGoals
            key={position.id}
            map={map}
            name={position.name}
            exchanges={exchanges}
            chosen={chosen}
            flip={flip}
            apparel={apparel}
          />
        ))}
      </div>
    </Form>
  );
}

function positionsWithExchanges(map: GuardMap) {
  const index = indexMap(map);
  return map.positions
    .map((position) => ({
      position,
      exchanges: index.movesOf(position.id).flatMap((move) => index.exchangesOf(move.id)),
    }))
    .filter(({ exchanges }) => exchanges.length > 0);
}

interface GoalsProps {
  map: GuardMap;
  name: string;
  exchanges: ReturnType<typeof positionsWithExchanges>[number]['exchanges'];
  chosen: ReadonlySet<string>;
  flip: (ids: readonly string[]) => void;
  apparel: ReviewRequest['apparel'];
}

function PositionGoals({ map, name, exchanges, chosen, flip, apparel }: GoalsProps) {
  const _index = indexMap(map);
  const count = exchanges.filter(({ id }) => chosen.has(id)).length;
  const ids = exchanges.map(({ id }) => id);
  return (
    <div className={styles['goal-position']}>
      <input
        type="checkbox"
        className="form-check-input"
        aria-label={`All of ${name}`}
        checked={count === ids.length}
        ref={(box) => {
          if (box) box.indeterminate = count > 0 && count < ids.length;
        }}
        onChange={() => flip(ids)}
      />
      <details>
        <summary>
          {name}{' '}
          <span className="soft small">
            {count} of {ids.length}
          </span>
        </summary>
        {exchanges.map((exchange) => {
          const fits = playable(map, exchange, apparel);
          return (
            <label key={exchange.id} className={styles['goal-exchange']}>
              <input
                type="checkbox"
                className="form-check-input"
                checked={chosen.has(exchange.id)}
                onChange={() => flip([exchange.id])}
              />
              <span>
                {doneName(map, exchange)}
                {exchange.reaction !== 'none' && (
                  <span className="top"> · {answerName(map, exchange).meets}</span>
                )}
                <span className="soft"> → {landingWords(map, exchange.to)}</span>
                {!fits && <span className="soft small"> (not {apparel})</span>}
              </span>
            </label>
          );
        })}
      </details>
    </div>
  );
}
