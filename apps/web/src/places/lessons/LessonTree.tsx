import { blockTime, lessonRulesWords, type PlannedLesson } from '@aftersquall/core/lesson';
import {
  type Block,
  type ClassPlan,
  type GuardMap,
  indexMap,
  isDrilled,
  type Lesson,
  type LessonStep,
} from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { signedPoints } from '@aftersquall/core/weigh';
import { Check, Pin, Plus, X } from 'lucide-react';
import { clock } from '../../components/clock.ts';
import { FIGURES_SENTENCE } from '../../components/FiguresChoice.tsx';
import { IconButton } from '../../components/IconButton.tsx';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { ShortName } from '../../components/ShortName.tsx';
import styles from './lessonTree.module.scss';
import { OtherThemes } from './OtherThemes.tsx';
import { say } from './words.ts';

/** More known moves than this are folded away. */
const FEW = 4;
/** A gain is told from so many points. */
const TOLD = 0.01;

interface Props {
  map: GuardMap;
  plan: ClassPlan;
  lesson: Lesson;
  next: PlannedLesson['next'];
  /** Chooses and builds anew with something pinned, left out or known. */
  onChange: (changes: Partial<Pick<Lesson, 'pinned' | 'out' | 'known' | 'chain'>>) => void;
  busy: boolean;
}

/** What the class teaches: where it starts, the way to the first ending, and what forks off, in the order it is taught. */
export function LessonTree({ map, plan, lesson, next, onChange, busy }: Props) {
  const index = indexMap(map);
  const root = index.position.get(lesson.root);
  const rules = lessonRulesWords({
    ...lesson,
    apparel: plan.apparel,
    rules: SHIPPED_PROFILES.find(({ id }) => id === lesson.rules),
  });
  const toggled = (list: readonly string[], id: string) =>
    list.includes(id) ? list.filter((one) => one !== id) : [...list, id];
  const said = (word: string, id: string) => (
    <button
      key={id}
      type="button"
      className="chip"
      title={say.chooseAgainItself}
      onClick={() =>
        onChange({
          known: lesson.known.filter((one) => one !== id),
          out: lesson.out.filter((one) => one !== id),
        })
      }
    >
      {word}: {index.move.get(id)?.name ?? id} <X size={12} aria-hidden />
    </button>
  );
  // What is said first is what everybody can do by the end.
  const [today] = plan.blocks;
  const aim = today?.kind === 'talk' ? today.text.split('\n')[0] : '';
  return (
    <section className={styles.lesson} aria-label="What it teaches" aria-busy={busy}>
      <p className={styles.worth}>
        {aim && <b>{aim}</b>}{' '}
        <small className="soft">
          {lesson.value - lesson.before >= TOLD &&
            say.classLiftsRound(signedPoints(lesson.before), signedPoints(lesson.value))}
          {lesson.figures && ` ${FIGURES_SENTENCE[lesson.figures]}`}
          {rules && ` By ${rules}; the event’s current rule book decides.`}
        </small>
      </p>
      <ol className={styles.tree}>
        {root && (
          <li className={styles.root}>
            <PositionPicture position={root} width={140} />
            <b>
              <ShortName of={root} />
            </b>
            <small className="soft">the start</small>
          </li>
        )}
        {lesson.steps.map((step, i) => (
          <StepCard
            key={step.move}
            number={i + 1}
            map={map}
            step={step}
            blocks={plan.blocks}
            plan={plan}
            pinned={lesson.pinned.includes(step.move)}
            onPin={() => onChange({ pinned: toggled(lesson.pinned, step.move) })}
            onKnown={() => onChange({ known: [...lesson.known, step.move] })}
            onOut={() =>
              onChange({
                out: [...lesson.out, step.move],
                pinned: lesson.pinned.filter((id) => id !== step.move),
              })
            }
          />
        ))}
      </ol>
      {lesson.chain ? (
        <div className="chip-field" role="group" aria-label={say.chainGoesAlong}>
          <button
            type="button"
            className="chip"
            onClick={() => onChange({ chain: { ...lesson.chain!, backward: !lesson.chain!.backward } })}
          >
            Along “{lesson.chain.name}”, from its {lesson.chain.backward ? 'end' : 'start'}: turn it round
          </button>
          <button type="button" className="chip" onClick={() => onChange({ chain: undefined })}>
            leave the chain <X size={12} aria-hidden />
          </button>
        </div>
      ) : (
        <OtherThemes map={map} plan={plan} lesson={lesson} onTake={(pinned) => onChange({ pinned })} />
      )}
      <div className="chip-field">
        {next && (
          <button
            type="button"
            className="chip"
            onClick={() => onChange({ pinned: [...lesson.pinned, next.move] })}
          >
            <Plus size={13} aria-hidden /> {next.name}, {signedPoints(next.adds)}
          </button>
        )}
        {lesson.out.map((id) => said('left out', id))}
        {lesson.known.length <= FEW && lesson.known.map((id) => said('known', id))}
      </div>
      {lesson.known.length > FEW && (
        <details>
          <summary>{lesson.known.length} moves they already know</summary>
          <div className="chip-field">{lesson.known.map((id) => said('known', id))}</div>
        </details>
      )}
    </section>
  );
}

interface StepProps {
  number: number;
  map: GuardMap;
  step: LessonStep;
  blocks: readonly Block[];
  plan: ClassPlan;
  pinned: boolean;
  onPin: () => void;
  onKnown: () => void;
  onOut: () => void;
}

function StepCard({ number, map, step, blocks, plan, pinned, onPin, onKnown, onOut }: StepProps) {
  const index = indexMap(map);
  const move = index.move.get(step.move);
  const position = move && index.position.get(move.position);
  const own = blocks
    .filter(isDrilled)
    .filter(
      ({ kind, links }) =>
        (kind === 'link' || kind === 'setup') &&
        links.some(({ exchange }) => index.exchange.get(exchange)?.move === step.move),
    );
  const seconds = own.reduce((sum, block) => sum + blockTime(block, plan).total, 0);
  const reps = own.reduce((sum, block) => sum + block.reps * block.sides + (block.otherReps ?? 0), 0);
  return (
    <li className={`${styles.step} ${step.part === 'fork' ? styles.fork : ''}`} aria-label={step.name}>
      <header>
        <span className={styles.number}>{number}</span>
        {position && <PositionPicture position={position} width={104} />}
        <span className={styles.adds}>{step.adds >= TOLD ? signedPoints(step.adds) : ''}</span>
      </header>
      <b>
        <ShortName of={move ?? step} />
      </b>
      {!move && <small className="hazard">not in the map any more</small>}
      <small className={`soft ${styles.why}`} title={step.why}>
        {step.why}
      </small>
      <small>
        {own.length > 0 ? `${clock(seconds)}, ${reps} reps each` : 'did not fit'}
        {move && position && position.id !== step.name && (
          <span className="soft"> · from {position.name}</span>
        )}
      </small>
      <footer>
        <button
          type="button"
          className={`bare ${pinned ? styles.on : ''}`}
          aria-pressed={pinned}
          aria-label={`Pin ${step.name}`}
          title="Must teach"
          onClick={onPin}
        >
          <Pin size={15} aria-hidden />
        </button>
        <IconButton bare label={`They know it: ${step.name}`} title="They know it" onClick={onKnown}>
          <Check size={15} aria-hidden />
        </IconButton>
        <IconButton bare label={`Leave out ${step.name}`} title={say.notClass} onClick={onOut}>
          <X size={15} aria-hidden />
        </IconButton>
      </footer>
    </li>
  );
}
