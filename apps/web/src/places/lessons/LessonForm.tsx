import { type LastClass } from '@aftersquall/core/lesson';
import { type Beginning } from '@aftersquall/core/log';
import { type GuardMap, indexMap, METHODS, type Practice } from '@aftersquall/core/model';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { ApparelChoice } from '../../components/ApparelChoice.tsx';
import { FiguresChoice } from '../../components/FiguresChoice.tsx';
import { rootChoices } from '../../components/fields/rootChoices.ts';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { Proposals } from '../../components/proposals/Proposals.tsx';
import { useProposals } from '../../components/proposals/useProposals.ts';
import { RulesChoice } from '../../components/RulesChoice.tsx';
import { SidesChoice } from '../../components/SidesChoice.tsx';
import { changeGoal } from '../../store/classGoal.ts';
import type { DatedClass } from '../../store/classHead.ts';
import type { AskedLesson } from '../../store/classRequest.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useAskedLesson } from '../../store/useAskedLesson.ts';
import { wholeNumber } from './GoalField.tsx';
import { GoalNumbers } from './GoalNumbers.tsx';
import styles from './lessons.module.scss';
import { say } from './words.ts';

const LessonGoal = z.object({
  minutes: wholeNumber(5, 240, 'minutes'),
  people: wholeNumber(1, 200, 'people'),
});

/** Chains stand among the positions under ids of this beginning, which no position has. */
const CHAIN = 'chain:';

const LEVELS = ['novice', 'intermediate', 'expert'] as const;
const METHOD_WORDS = {
  'reps-first': say.repsFirstEachLink,
  mixed: say.mixedRepsThenChoices,
  'games-first': say.taskFirstFewWords,
} as const;

interface Props {
  map: GuardMap;
  trouble: string;
  /** What the log says it begins from; nothing where nothing is recorded. */
  beginning: Beginning | undefined;
  practice: Practice | undefined;
  /** The class that was held last, and the next one of the term that is made already. */
  last: LastClass | undefined;
  planned: DatedClass | undefined;
  onBuild: (asked: AskedLesson) => Promise<void>;
}

/** What a class is about in one line, and who comes: the whole class is made of that. */
export function LessonForm({ map, trouble, beginning, practice, last, planned, onBuild }: Props) {
  const dispatch = useAppDispatch();
  const goal = useAppSelector((state) => state.classGoal);
  const form = useForm({
    resolver: zodResolver(LessonGoal),
    defaultValues: goal as z.input<typeof LessonGoal>,
  });
  const field = (name: 'minutes' | 'people') =>
    form.register(name, { onChange: ({ target }) => dispatch(changeGoal({ [name]: target.value })) });
  const { errors, isSubmitting } = form.formState;
  const index = indexMap(map);
  const [params, set] = useAddress();
  const [opened, setOpened] = useState(params.has('root'));
  const asked = params.get('root') ?? goal.root;
  const root = index.position.has(asked) ? asked : '';
  const roots = rootChoices(map);
  const chain = map.chains.find(({ id }) => asked === CHAIN + id);
  const [backward, setBackward] = useState(false);
  const { askedFor, figured } = useAskedLesson(map, practice, beginning);
  const build = form.handleSubmit((numbers) =>
    onBuild({
      ...askedFor(numbers),
      // A chain says itself where it begins.
      root: chain ? '' : root || undefined,
      chain: chain && { name: chain.name, turns: chain.exchanges, backward },
    }),
  );
  const numbers = LessonGoal.safeParse(goal).data;
  const most = planned ? 2 : 3;
  const proposals = useProposals(figured, numbers && askedFor(numbers), {
    last: planned ? undefined : last,
    without: planned?.lesson ? [planned.lesson.root] : [],
    most,
  });
  const nothingProposed = !numbers || (proposals?.length === 0 && !planned);
  return (
    <Form onSubmit={build} noValidate className={styles['goal-form']} aria-label="New class">
      <div className={styles['goal-line']}>
        <GoalNumbers errors={errors} field={field} />
        <SelectField
          label="Level"
          value={goal.level}
          choices={LEVELS.map((value) => ({ value, name: value }))}
          onChange={(level) => dispatch(changeGoal({ level: level as (typeof LEVELS)[number] }))}
        />
        <ApparelChoice above="Apparel" />
      </div>
      {roots.length > 0 && !nothingProposed && (
        <Proposals
          map={map}
          proposals={proposals}
          planned={planned}
          most={most}
          busy={isSubmitting}
          onTake={({ root }) => void form.handleSubmit((given) => onBuild({ ...askedFor(given), root }))()}
        />
      )}
      <details open={opened || nothingProposed} onToggle={(event) => setOpened(event.currentTarget.open)}>
        <summary>Something else</summary>
        <div className={styles['goal-line']}>
          <div className={styles.wide}>
            <SelectField
              label="Starts from"
              value={chain ? asked : root}
              choices={[
                { value: '', name: say.whatWouldHelpMost },
                ...map.chains.map(({ id, name }) => ({
                  value: CHAIN + id,
                  name,
                  group: 'Your kept chains',
                })),
                ...roots,
              ]}
              onChange={(next) => {
                set({ root: undefined });
                dispatch(changeGoal({ root: next }));
              }}
            />
          </div>
          {chain && (
            <SelectField
              label="Taught"
              value={backward ? 'end' : 'start'}
              choices={[
                { value: 'start', name: 'from its start' },
                { value: 'end', name: 'from its end' },
              ]}
              onChange={(from) => setBackward(from === 'end')}
            />
          )}
          <SelectField
            label="Method"
            value={goal.method}
            choices={METHODS.map((value) => ({ value, name: METHOD_WORDS[value] }))}
            onChange={(method) => dispatch(changeGoal({ method: method as (typeof METHODS)[number] }))}
          />
        </div>
        <div className={styles['goal-line']}>
          <SidesChoice value={goal.sides} onChange={(sides) => dispatch(changeGoal({ sides }))} />
          <RulesChoice />
          <FiguresChoice value={goal.figures} onChange={(figures) => dispatch(changeGoal({ figures }))} />
          <label className={`form-check ${styles.youth}`}>
            <input
              type="checkbox"
              className="form-check-input"
              checked={goal.youth}
              onChange={({ target }) => dispatch(changeGoal({ youth: target.checked }))}
            />{' '}
            Youth class
          </label>
        </div>
        {beginning && (
          <label className={`form-check ${styles.beginning}`}>
            <input
              type="checkbox"
              className="form-check-input"
              checked={goal.fromLog}
              onChange={({ target }) => dispatch(changeGoal({ fromLog: target.checked }))}
            />{' '}
            Start with: {beginningWords(beginning)}
          </label>
        )}
        <div className={styles['goal-go']}>
          <button type="submit" className="btn btn-now" disabled={roots.length === 0 || isSubmitting}>
            {isSubmitting ? 'Choosing…' : 'Make the class'}
          </button>
          {roots.length === 0 && <span>{say.mapHasNoMoves}</span>}
        </div>
      </details>
      {trouble && (
        <p className="hazard" role="alert">
          {trouble}
        </p>
      )}
    </Form>
  );
}

/** "3 faults come first, then what fades or was carried over (5 moves, as far as there is time). 36 moves count as known." */
function beginningWords({ known, returns, faults }: Beginning): string {
  const first = faults.length === 1 ? 'the fault you saw most' : `the ${faults.length} faults you saw most`;
  const moves = `${returns.length} ${returns.length === 1 ? 'answer' : 'answers'}, if there is time`;
  const back =
    returns.length === 0 ? 'nothing is fading' : `then what was not reached or is fading (${moves})`;
  return say.alreadyKnowMoves(first, back, known.length);
}
