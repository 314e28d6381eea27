import { reactionShort } from '@aftersquall/core/body';
import { toldInFull } from '@aftersquall/core/formats';
import { type Segment, segmentStart } from '@aftersquall/core/lesson';
import {
  type Block,
  blockLines,
  blockName,
  type ClassPlan,
  type DrilledBlock,
  type GuardMap,
  indexMap,
  isDrilled,
} from '@aftersquall/core/model';
import { format, parseISO } from 'date-fns';
import { ArrowLeft } from 'lucide-react';
import { type MouseEvent, type ReactNode, useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams } from 'react-router';
import { classAddress, matAddress } from '../../components/addresses.ts';
import { clock } from '../../components/clock.ts';
import { DraftScope } from '../../components/fields/useDraft.tsx';
import { Hazards } from '../../components/Hazards.tsx';
import { refusalOf, useListDocumentsQuery } from '../../store/api.ts';
import { byDay, type ClassHead, headOf } from '../../store/classHead.ts';
import { useDocument } from '../../store/documents/useDocument.ts';
import { today } from '../../store/records/newRecord.ts';
import { type OnTheWay, useOnTheWay, useSessionRecords } from '../../store/records/records.ts';
import { setHall } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useTheme } from '../../theme/useTheme.ts';
import { BlockPicture } from './BlockPicture.tsx';
import { Counting } from './Counting.tsx';
import { type Call, callAt, repAt } from './callAt.ts';
import { MatControls } from './MatControls.tsx';
import { MatEnd } from './MatEnd.tsx';
import styles from './mat.module.scss';
import { useAwake } from './useAwake.ts';
import { type Run, useRun } from './useRun.ts';
import { useRunRecords } from './useRunRecords.ts';
import { useSwipe } from './useSwipe.ts';
import { say as texts } from './words.ts';

/** The class on the wall: one clock, one task, what comes next. */
export function MatPlace() {
  useTheme();
  const { classId } = useParams();
  const session = useDocument('class', classId);
  if (session?.shown) return <Running key={session.shown.id} plan={session.shown} />;
  if (session?.state !== 'missing') return <ChooseClass />;
  return <ChooseClass trouble={session.online ? texts.classRemoved : texts.serverDoesNotAnswer} />;
}

const isControl = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('button, a, summary') !== null;

/** A button that was tapped gives the keys back to the clock, so that a clicker starts and stops it. */
function letGo({ detail }: MouseEvent): void {
  if (detail > 0 && isControl(document.activeElement)) (document.activeElement as HTMLElement).blur();
}

/** Today's class first, then those to come in their order, those without a day, and what has passed, the latest first. */
function byNearness(a: ClassHead, b: ClassHead): number {
  const rank = ({ when }: ClassHead) => (!when ? 2 : when.date === today() ? 0 : when.date > today() ? 1 : 3);
  return rank(a) - rank(b) || (rank(a) === 3 ? byDay(b, a) : byDay(a, b));
}

const dayWords = (date: string): string => (date === today() ? 'Today' : format(parseISO(date), 'EEE d MMM'));

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
      {(classes ?? [])
        .map(headOf)
        .sort(byNearness)
        .map(({ id, name, minutes, people, when }) => (
          <Link key={id} className={styles['mat-class']} to={matAddress(id)}>
            <b>{name}</b>
            <span>
              {when && `${dayWords(when.date)}, ${when.start}; `}
              {minutes} min, {people} people
            </span>
          </Link>
        ))}
      {classes?.length === 0 && <p>{texts.noClassesYetPlan}</p>}
    </main>
  );
}

function Running({ plan: planned }: { plan: ClassPlan }) {
  const run = useRun(planned);
  const map = useDocument('map', planned.map)?.shown;
  useRunRecords(map, run);
  return run ? <OnTheMat run={run} map={map} /> : <main className={styles['mat-choose']} aria-busy />;
}

function OnTheMat({ run, map }: { run: Run; map: GuardMap | undefined }) {
  const { plan } = run;
  const dispatch = useAppDispatch();
  const hall = useAppSelector(({ settings }) => settings.hall);
  useAwake(run.running);
  const records = useSessionRecords(run.id);
  const way = useOnTheWay();
  const [counting, setCounting] = useState(false);
  // On a button that was walked to by keys, Space is that button's.
  useHotkeys('space', run.toggle, {
    preventDefault: true,
    ignoreEventWhen: ({ target }) => isControl(target),
  });
  // A clicker sends the keys of a slide show.
  useHotkeys('right, pagedown', () => run.skip(1), { preventDefault: true });
  useHotkeys('left, pageup', () => run.skip(-1), { preventDefault: true });
  // The sign itself is the key, not what joins two of them.
  useHotkeys('+', run.addMinute, { preventDefault: true, useKey: true, splitKey: '&' });
  useHotkeys('s', run.swapSides, { useKey: true });
  useHotkeys('b', () => dispatch(setHall(hall === 'dim' ? 'bright' : 'dim')), { useKey: true });
  useHotkeys('c', () => setCounting((on) => !on), { useKey: true });
  const swipe = useSwipe({ onTap: run.toggle, onSwipe: run.skip });
  const segment = run.now && run.segments[run.now.index];
  const block = segment && plan.blocks[segment.block];
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: a tapped button gives the keys back to the clock; by keys it keeps them
    <main
      className={`${styles.mat} ${styles[hall] ?? ''} ${segment?.kind ?? 'over'} ${run.running ? '' : styles.paused}`}
      onClick={letGo}
    >
      <title>{`Mat · ${plan.name}`}</title>
      <header>
        <Link to={classAddress(plan.id)} aria-label="Leave the mat">
          <ArrowLeft size={26} aria-hidden />
        </Link>
        {run.edited ? (
          <EditedMeanwhile run={run} />
        ) : (
          <span className={styles['class-name']}>{plan.name}</span>
        )}
        {run.state.wentBack > 0 && !run.state.over && <ClockWentBack by={run.state.wentBack} />}
        <span className={styles.waiting} role="status">
          {waitingWords(way, run)}
        </span>
        <span className="spent">
          {clock(run.elapsed)} of {clock(run.total)}
        </span>
      </header>
      {segment && block ? (
        <div className={styles.field} {...swipe}>
          <Now
            run={run}
            map={map}
            plan={plan}
            segment={segment}
            block={block}
            counting={
              counting && (
                <DraftScope value={`session/${run.id}`}>
                  <Counting key={block.id} plan={plan} map={map} run={run} block={block} records={records} />
                </DraftScope>
              )
            }
          />
        </div>
      ) : (
        <MatEnd plan={plan} run={run} records={records} />
      )}
      <MatControls run={run} counting={counting} onCounting={() => setCounting(!counting)} />
      <div className={styles['progress-line']} aria-hidden>
        <i style={{ width: `${(run.elapsed / Math.max(1, run.total)) * 100}%` }} />
      </div>
    </main>
  );
}

/** What this tablet keeps, and why. */
function waitingWords({ waiting, trouble, unkept }: OnTheWay, run: Run): string {
  if (unkept > 0 || run.unkept) return texts.tabletFullKeepPage;
  if (waiting === 0) return '';
  return trouble ? texts.savedTablet(waiting, trouble) : texts.savedTabletWaitingServer(waiting);
}

/** The class was edited elsewhere while it runs: it runs on as it began until the coach takes the edited one over. */
function EditedMeanwhile({ run }: { run: Run }) {
  return (
    <div className={styles.notice} role="status">
      <span>{texts.somebodyChangedClass}</span>
      <button type="button" onClick={() => run.answerEdited(true)}>
        Use the new plan
      </button>
      <button type="button" onClick={() => run.answerEdited(false)}>
        Keep the old plan
      </button>
    </div>
  );
}

const MINUTE_MS = 60_000;

function ClockWentBack({ by }: { by: number }) {
  const [closed, setClosed] = useState(false);
  if (closed) return null;
  const minutes = Math.round(by / MINUTE_MS);
  return (
    <div className={styles.notice} role="status">
      <span>
        This tablet’s clock went back by{' '}
        {minutes >= 2 ? `${minutes} minutes` : `${Math.round(by / 1000)} seconds`}. The class goes on where it
        was.
      </span>
      <button type="button" onClick={() => setClosed(true)}>
        OK
      </button>
    </div>
  );
}

const TURN_WORDS = ['', texts.partnerBottom, texts.partnerBBottom, texts.partnerCBottom];
/** What the coach shows for a call: as they would, a fist where top does not do it. */
const FINGERS = ['a fist', 'one finger'];
/** Who does a movement of two. */
const MOVING_WORDS = ['', 'Partner A moves', texts.swapPartnerBMoves];
/** Who is neither on the bottom nor on top in a three: each is top for the one before. */
const SITS_OUT = ['', 'C', 'A', 'B'];

interface NowProps {
  run: Run;
  map: GuardMap | undefined;
  plan: ClassPlan;
  segment: Segment;
  block: Block;
  /** What is counted stands where the words are. */
  counting: ReactNode;
}

function Now({ run, map, plan, segment, block, counting }: NowProps) {
  const drilled = isDrilled(block) ? block : undefined;
  // How it starts is what the picture shows.
  const told = toldInFull(block);
  const pictured = plan.lesson && !told && 'start' in block ? block.start?.trim() : undefined;
  const lines = blockLines(block).filter(
    ({ text, label = '' }) => text !== pictured && !(told && FOR_THE_SHEET.has(label)),
  );
  const next = run.segments[run.now!.index + 1];
  const swapped = run.state.swapped.has(block.id);
  const otherSide = segment.turn > 0 && (segment.side !== 'first') !== swapped;
  const into = segment.seconds - run.now!.left;
  const call = callAt(block, segment, into);
  const rep = run.elapsed > 0 ? repAt(block, segment, into) : undefined;
  const { running, bell } = run;
  const called = call && running && run.ready === 0 ? `${segment.turn} ${call.number}` : undefined;
  const ring = useRef(bell);
  ring.current = bell;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each call, whatever else is drawn
  useEffect(() => {
    if (called === undefined || !call) return;
    ring.current().ring('call');
    // Who reads it off their partner must not hear it: then the coach shows it.
    if (!told) ring.current().say(callWords(map, call));
  }, [called]);
  return (
    <div className={styles.now}>
      <div className={styles.task}>
        <div className={styles.kind}>{run.ready > 0 ? 'Ready' : headline(segment, block)}</div>
        <div className={styles.clock} role="timer" aria-label="Time left">
          {run.ready > 0 ? Math.ceil(run.ready) : clock(Math.ceil(run.now!.left - 1e-6))}
        </div>
        {call && (
          <div className={styles.call} role="status">
            {told ? (
              <small>Coach, show: {FINGERS[call.fingers] ?? `${call.fingers} fingers`}</small>
            ) : (
              callWords(map, call)
            )}
          </div>
        )}
        <div className="who">
          {segment.turn > 0 && (
            <>
              <span>{turnWords(segment)}</span>
              {segment.kind !== 'together' && !segment.bout && (
                <span className={styles.side}>{otherSide ? 'Other side' : 'Side as shown'}</span>
              )}
              {segment.bout && (
                <span className={styles.side}>
                  {segment.bout.number} of {segment.bout.of}
                </span>
              )}
              {plan.people % 2 === 1 && segment.turns === 3 && (
                <span className="soft">In the three, {SITS_OUT[segment.turn]} sits out</span>
              )}
            </>
          )}
          {segment.kind === 'demo' && <span>Watch</span>}
        </div>
      </div>
      <div className={`${styles.brief} ${told ? styles.told : ''}`}>
        {counting || <BlockPicture plan={plan} block={block} otherSide={otherSide} />}
        <h1>{block.title}</h1>
        {drilled && !counting && (
          <>
            <p className={styles.reps}>
              {run.ready === 0 && rep ? (
                <>
                  Rep <b className={styles.rep}>{Math.min(rep, repsOf(drilled))}</b> of {repsOf(drilled)}
                </>
              ) : (
                `${drilled.reps} ${drilled.reps === 1 ? 'rep' : 'reps'}${drilled.otherReps ? `, then ${drilled.otherReps} on the other side` : ''}`
              )}
              {drilled.kind === 'setup' && ' of the set-up only'}
            </p>
            {!told &&
              drilled.links.length > 1 &&
              drilled.links.some(({ move }) => !drilled.note.includes(move)) && (
                <ol>
                  {drilled.links.map((link, place) => (
                    <li key={`${link.exchange}-${place}`}>
                      {link.move}
                      {link.meets && <span className="top"> · {link.meets}</span>}
                      {link.fails && `, it fails: ${link.leads}`}
                    </li>
                  ))}
                </ol>
              )}
          </>
        )}
        {!counting &&
          lines.map(({ who, label, text }) => (
            <p key={`${who} ${text}`}>
              {(label ?? WHO[who]) && (
                <b className={who === 'bottom' ? 'own' : who === 'top' ? 'top' : ''}>{label ?? WHO[who]} </b>
              )}
              {text}
            </p>
          ))}
        {!told && 'hazards' in block && block.hazards.length > 0 && (
          <p className={styles.care}>
            <Hazards tags={block.hazards} /> {texts.finishSlowlyReleaseTap}
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

/** What the coach reads on the sheet and nobody across the hall. */
const FOR_THE_SHEET: ReadonlySet<string> = new Set(['Fall', 'Look for', 'Luck or skill?', 'Then']);

/** Repetitions of a turn, those on the other side among them. */
const repsOf = ({ reps, otherReps = 0 }: DrilledBlock): number => reps + otherReps;

const WHO = { all: '', bottom: 'Bottom', top: 'Top' } as const;

/** What is called: short where the map says how a coach calls it, else in the class's words. */
function callWords(map: GuardMap | undefined, { exchange, meets }: Call): string {
  const index = map && indexMap(map);
  const known = index?.exchange.get(exchange);
  if (!map || !known || known.reaction === 'none') return meets;
  const at = index?.position.get(index.move.get(known.move)?.position ?? '');
  return sentence(reactionShort(map, known.reaction, at));
}

const sentence = (words: string): string => words.replace(/^./, (first) => first.toUpperCase());

function headline(segment: Segment, block: Block): string {
  if (segment.kind === 'demo') return 'Shown';
  if (segment.kind === 'change') return 'Change over';
  if (segment.kind === 'rest') return 'Rest';
  return blockName(block.kind).replace(/^./, (first) => first.toUpperCase());
}

/** Who works in a stretch. */
function turnWords({ turns, turn, kind }: Segment): string {
  if (turns === 1) return 'Alone';
  return kind === 'together' ? MOVING_WORDS[turn]! : TURN_WORDS[turn]!;
}

function nextWords(next: Segment, now: Segment, plan: ClassPlan): string {
  if (next.block !== now.block) return plan.blocks[next.block]!.title;
  if (next.kind === 'change') return 'change over';
  if (next.kind === 'together') return 'swap';
  if (next.kind === 'work' && next.bout) return TURN_WORDS[next.turn]!;
  if (next.kind === 'work')
    return `${TURN_WORDS[next.turn] ?? ''}, ${next.side === 'first' ? 'side as shown' : 'other side'}`;
  return next.kind;
}
