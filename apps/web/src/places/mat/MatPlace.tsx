import {
  type Block,
  blockLines,
  blockName,
  type ClassPlan,
  isDrilled,
  type Segment,
  segmentStart,
} from '@aftersquall/core';
import { ArrowLeft, Maximize, Pause, Play, RotateCcw, SkipBack, SkipForward } from 'lucide-react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams } from 'react-router';
import { classAddress, matAddress } from '../../components/addresses.ts';
import { clock } from '../../components/clock.ts';
import { Hazards } from '../../components/Hazards.tsx';
import { useTheme } from '../../components/useTheme.ts';
import { refusalOf, useListDocumentsQuery } from '../../store/api.ts';
import { useDocument } from '../../store/documents/useDocument.ts';
import { BlockPicture } from './BlockPicture.tsx';
import styles from './mat.module.scss';
import { type Run, useRun } from './useRun.ts';

/** The class on the wall: one clock, one task, what comes next. */
export function MatPlace() {
  useTheme();
  const { classId } = useParams();
  const session = useDocument('class', classId);
  if (session?.shown) return <Running key={session.shown.id} plan={session.shown} />;
  if (session?.state !== 'missing') return <ChooseClass />;
  return (
    <ChooseClass
      trouble={
        session.online
          ? 'The class you asked for is not here any more.'
          : 'The server cannot be reached; the class is shown once it is.'
      }
    />
  );
}

/** The classes that can be run. */
function ChooseClass({ trouble }: { trouble?: string }) {
  const { data: classes, error, refetch } = useListDocumentsQuery({ params: { kind: 'class' } });
  return (
    <main className={styles['mat-choose']}>
      <title>Mat</title>
      <Link to={classAddress()}>
        <ArrowLeft size={18} aria-hidden /> Lessons
      </Link>
      <h1>Which class runs?</h1>
      {error && (
        <p>
          {refusalOf(error).message}{' '}
          <button type="button" className="btn btn-now" onClick={() => void refetch()}>
            Try again
          </button>
        </p>
      )}
      {trouble && <p>{trouble}</p>}
      {classes?.map(({ id, head }) => (
        <Link key={id} className={styles['mat-class']} to={matAddress(id)}>
          <b>{head.name}</b>
          <span>
            {String(head.minutes)} min, {String(head.people)} people
          </span>
        </Link>
      ))}
      {classes?.length === 0 && <p>No class is saved yet. Build one in Lessons; it then waits here.</p>}
    </main>
  );
}

function Running({ plan }: { plan: ClassPlan }) {
  const run = useRun(plan);
  useHotkeys('space', run.toggle, { preventDefault: true });
  useHotkeys('right', () => run.skip(1), { preventDefault: true });
  useHotkeys('left', () => run.skip(-1), { preventDefault: true });
  const segment = run.now && run.segments[run.now.index];
  const block = segment && plan.blocks[segment.block];
  return (
    <main className={`${styles.mat} ${segment?.kind ?? 'over'} ${run.running ? '' : styles.paused}`}>
      <title>{`Mat · ${plan.name}`}</title>
      <header>
        <Link to={classAddress(plan.id)} aria-label="Leave the mat">
          <ArrowLeft size={26} aria-hidden />
        </Link>
        <span className={styles['class-name']}>{plan.name}</span>
        <span className="spent">
          {clock(run.elapsed)} of {clock(run.total)}
        </span>
      </header>
      {segment && block ? (
        <Now run={run} plan={plan} segment={segment} block={block} />
      ) : (
        <Over plan={plan} />
      )}
      <Controls run={run} />
      <div className={styles['progress-line']} aria-hidden>
        <i style={{ width: `${(run.elapsed / Math.max(1, run.total)) * 100}%` }} />
      </div>
    </main>
  );
}

const TURN_WORDS = ['', 'Partner A on the bottom', 'Partner B on the bottom', 'Partner C on the bottom'];

function Now({ run, plan, segment, block }: { run: Run; plan: ClassPlan; segment: Segment; block: Block }) {
  const drilled = isDrilled(block) ? block : undefined;
  const lines = blockLines(block);
  const next = run.segments[run.now!.index + 1];
  return (
    <div className={styles.now}>
      <div className={styles.task}>
        <div className={styles.kind}>{headline(segment, block)}</div>
        <div className={styles.clock} role="timer" aria-label="Time left">
          {clock(Math.ceil(run.now!.left - 1e-6))}
        </div>
        <div className="who">
          {segment.turn > 0 && (
            <>
              <span>{segment.turns === 1 ? 'Alone' : TURN_WORDS[segment.turn]}</span>
              <span className={styles.side}>{segment.side === 'first' ? 'Side as shown' : 'Other side'}</span>
            </>
          )}
          {segment.kind === 'demo' && <span>Watch</span>}
        </div>
      </div>
      <div className={styles.brief}>
        <BlockPicture plan={plan} block={block} otherSide={segment.turn > 0 && segment.side !== 'first'} />
        <h1>{block.title}</h1>
        {drilled && (
          <>
            <p className={styles.reps}>
              {drilled.reps} {drilled.reps === 1 ? 'rep' : 'reps'}
              {drilled.kind === 'setup' && ' of the set-up only'}
            </p>
            {drilled.links.length > 1 && (
              <ol>
                {drilled.links.map((link, place) => (
                  <li key={`${link.exchange}-${place}`}>
                    {link.move}
                    {link.meets && <span className="top"> · {link.meets}</span>}
                  </li>
                ))}
              </ol>
            )}
          </>
        )}
        {lines.map(({ who, text }) => (
          <p key={`${who} ${text}`}>
            {who === 'bottom' && <b className="own">Bottom </b>}
            {who === 'top' && <b className="top">Top </b>}
            {text}
          </p>
        ))}
        {'hazards' in block && block.hazards.length > 0 && (
          <p className={styles.care}>
            <Hazards tags={block.hazards} /> Finish slowly. Release at the tap: hand, foot or voice.
          </p>
        )}
        <p className={styles.next}>
          Next: {next ? nextWords(next, segment, plan) : 'the end'}
          {next && <span className="soft"> at {clock(segmentStart(run.segments, run.now!.index + 1))}</span>}
        </p>
      </div>
    </div>
  );
}

function headline(segment: Segment, block: Block): string {
  if (segment.kind === 'demo') return 'Shown';
  if (segment.kind === 'change') return 'Change over';
  if (segment.kind === 'rest') return 'Rest';
  return blockName(block.kind).replace(/^./, (first) => first.toUpperCase());
}

function nextWords(next: Segment, now: Segment, plan: ClassPlan): string {
  if (next.block !== now.block) return plan.blocks[next.block]!.title;
  if (next.kind === 'change') return 'change over';
  if (next.kind === 'work')
    return `${TURN_WORDS[next.turn] ?? ''}, ${next.side === 'first' ? 'side as shown' : 'other side'}`;
  return next.kind;
}

function Over({ plan }: { plan: ClassPlan }) {
  return (
    <div className={`${styles.now} ${styles.done}`}>
      <h1>That was {plan.name}.</h1>
      <p>
        {plan.leftOver.length > 0
          ? `${plan.leftOver.length} exchanges did not fit and wait for another class.`
          : 'All of it was drilled.'}
      </p>
    </div>
  );
}

function Controls({ run }: { run: Run }) {
  return (
    <div className={styles.controls}>
      <button type="button" aria-label="Back" title="Back (←)" onClick={() => run.skip(-1)}>
        <SkipBack aria-hidden />
      </button>
      <button
        type="button"
        className={styles.main}
        aria-label={run.running ? 'Pause' : 'Start'}
        title="Start and pause (Space)"
        onClick={run.toggle}
        disabled={!run.now}
      >
        {run.running ? <Pause aria-hidden /> : <Play aria-hidden />}
        {run.running ? 'Pause' : run.elapsed > 0 ? 'Go on' : 'Start'}
      </button>
      <button type="button" aria-label="Next" title="Next (→)" onClick={() => run.skip(1)}>
        <SkipForward aria-hidden />
      </button>
      <button type="button" aria-label="From the beginning" title="From the beginning" onClick={run.restart}>
        <RotateCcw aria-hidden />
      </button>
      <button
        type="button"
        aria-label="Full screen"
        title="Full screen"
        onClick={() => void document.documentElement.requestFullscreen?.()}
      >
        <Maximize aria-hidden />
      </button>
    </div>
  );
}
