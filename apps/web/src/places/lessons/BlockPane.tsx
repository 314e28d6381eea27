import { joinWords } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import {
  type BarredBlock,
  blockTime,
  canSplit,
  fillReps,
  forkCalls,
  lanesOn,
  type RepSum,
  standsOn,
  takeRung,
  turnBlock,
  turnOfLink,
  withReps,
} from '@aftersquall/core/lesson';
import {
  type Block,
  blockName,
  type ClassPlan,
  type DrilledBlock,
  type GuardMap,
  isDrilled,
  isPlayed,
  type PlayedBlock,
  RESISTANCES,
} from '@aftersquall/core/model';
import { ArrowLeft, ArrowRight, Copy, FlipHorizontal2, SquareSplitHorizontal } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { clock } from '../../components/clock.ts';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { PartScope } from '../../components/fields/useDraft.tsx';
import { Hazards } from '../../components/Hazards.tsx';
import { IconButton } from '../../components/IconButton.tsx';
import { SidesChoice } from '../../components/SidesChoice.tsx';
import { HoldScoreView } from '../../components/score/HoldScoreView.tsx';
import { TakeOut } from '../../components/TakeOut.tsx';
import { useKnownClub } from '../../store/useClub.ts';
import styles from './lessons.module.scss';
import { say } from './words.ts';

interface Props {
  /** What the rules of the class bar of it. */
  barred: BarredBlock | undefined;
  /** The map of the class, where that is at hand. */
  map: GuardMap | undefined;
  block: Block;
  plan: ClassPlan;
  start: number;
  /** It ends after the class does. */
  over: boolean;
  onChange: (block: Block) => Issue[];
  onMove: (by: number) => void;
  onDuplicate: () => void;
  onSplit: () => void;
  onRemove: () => void;
}

/** The block that is open: when, what, how often, why, and what each partner does. */
export function BlockPane({
  barred,
  map,
  block,
  plan,
  start,
  over,
  onChange,
  onMove,
  onDuplicate,
  onSplit,
  onRemove,
}: Props) {
  const pane = useRef<HTMLElement>(null);
  useEffect(() => {
    pane.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const { total, turns, work } = blockTime(block, plan);
  const stands = map ? standsOn(map, plan.blocks, plan.blocks.indexOf(block), plan.lesson?.known ?? []) : [];
  const shift = 'sides' in block ? work / (3 * block.sides) : work / 3;
  return (
    <PartScope part={`block/${block.id}`}>
      <section ref={pane} className={styles['block-pane']} aria-label={block.title}>
        <header>
          <b className={styles.when}>{clock(start)}</b>
          <span className="label-small">
            {blockName(block.kind)}, {clock(total)}
            {isDrilled(block) && block.links[0]?.mirrored && ', other side'}
          </span>
          {over && <span className="hazard small">over</span>}
          {'hazards' in block && <Hazards tags={block.hazards} />}
          <span className="ms-auto" />
          <IconButton bare label={`Earlier: ${block.title}`} onClick={() => onMove(-1)}>
            <ArrowLeft size={16} aria-hidden />
          </IconButton>
          <IconButton bare label={`Later: ${block.title}`} onClick={() => onMove(1)}>
            <ArrowRight size={16} aria-hidden />
          </IconButton>
          {isDrilled(block) && (
            <IconButton bare label={`Other side: ${block.title}`} onClick={() => onChange(turnBlock(block))}>
              <FlipHorizontal2 size={16} aria-hidden />
            </IconButton>
          )}
          <IconButton bare label={`Duplicate: ${block.title}`} onClick={onDuplicate}>
            <Copy size={16} aria-hidden />
          </IconButton>
          <IconButton bare label={`Split: ${block.title}`} disabled={!canSplit(block)} onClick={onSplit}>
            <SquareSplitHorizontal size={16} aria-hidden />
          </IconButton>
          <TakeOut label={`Remove: ${block.title}`} onClick={onRemove} />
        </header>
        <SavedField label="Title" value={block.title} onSave={(title) => onChange({ ...block, title })} />
        {block.why && <p className={styles.why}>{block.why}</p>}
        {stands.length > 0 && (
          <p className="soft small mb-1">Needs {joinWords(stands)}: no earlier block teaches it.</p>
        )}
        {turns === 3 && (
          <p className="soft small mb-1">
            A works with B, B with C, C with A: one waits {clock(shift)} at a time.
          </p>
        )}
        {turns === 2 && plan.people % 2 === 1 && <p className="soft small mb-1">{say.oneGroupThreeTwo}</p>}
        {isDrilled(block) && <Drilled block={block} plan={plan} onChange={onChange} />}
        {isPlayed(block) && <Played block={block} onChange={onChange} />}
        {block.kind === 'move' && block.form === 'line' && (
          <DownTheMat people={plan.people} seconds={block.seconds} />
        )}
        {'seconds' in block && (
          <div className={`${styles['goal-line']} numbers`}>
            <SavedField
              label="Seconds"
              type="number"
              value={String(block.seconds)}
              onSave={(text) => onChange({ ...block, seconds: readNumber(text) as number })}
            />
          </div>
        )}
        {barred && block.kind !== 'move' && (
          <SavedField
            label={say.againstClasssRulesReason}
            value={barred.override}
            onSave={(override) => onChange({ ...block, override: override.trim() } as Block)}
          />
        )}
        <Words block={block} onChange={onChange} />
        {map && isDrilled(block) && <Score map={map} block={block} apparel={plan.apparel} />}
      </section>
    </PartScope>
  );
}

/** Lanes, waves and lengths on the club’s mat, where its size is known. */
function DownTheMat({ people, seconds }: { people: number; seconds: number }) {
  const [mat] = useKnownClub()?.mats ?? [];
  const lanes = mat && lanesOn(mat, people, seconds);
  if (!lanes) return null;
  return (
    <p className="mb-1">
      On {mat.name} ({mat.length} × {mat.width} m): {lanes.lanes} lanes, {lanes.waves}{' '}
      {lanes.waves === 1 ? 'wave' : 'waves'}, {lanes.lengths} {lanes.lengths === 1 ? 'length' : 'lengths'}{' '}
      each.
    </p>
  );
}

/** The block as a score: a chain from end to end, or one of its answers after the other. */
function Score({
  map,
  block,
  apparel,
}: {
  map: GuardMap;
  block: DrilledBlock;
  apparel: ClassPlan['apparel'];
}) {
  const inRow = block.kind !== 'fork';
  const [shown, setShown] = useState(0);
  const exchanges = useMemo(
    () => (inRow ? block.links : block.links.slice(shown, shown + 1)).map(turnOfLink),
    [block.links, inRow, shown],
  );
  return (
    <>
      {!inRow && (
        <ChoiceToggle
          label="Which answer"
          value={String(shown)}
          choices={block.links.map(({ meets, move }, i) => [String(i), meets || move] as const)}
          onChange={(place) => setShown(Number(place))}
        />
      )}
      <HoldScoreView map={map} exchanges={exchanges} apparel={apparel} />
    </>
  );
}

/** What any drill may say, also one that does not say it yet. */
const DRILL_WORDS: readonly string[] = ['start', 'cue', 'safe', 'falling', 'lookFor', 'luck'];

/** What is said of the block, in its own fields. */
function Words({ block, onChange }: { block: Block; onChange: (block: Block) => Issue[] }) {
  const told = isDrilled(block);
  const field = (label: string, key: string) =>
    (key in block || (told && DRILL_WORDS.includes(key))) && (
      <SavedField
        key={key}
        label={label}
        lines={2}
        value={String((block as unknown as Record<string, unknown>)[key] ?? '')}
        onSave={(text) => onChange({ ...block, [key]: text } as Block)}
      />
    );
  return (
    <div className={styles.words}>
      {field('Said', 'text')}
      {field(say.howDone, 'how')}
      {field('How much', 'dose')}
      {field('Partner', 'partner')}
      {field('Start', 'start')}
      {field('Bottom', 'bottom')}
      {field('Cue', 'cue')}
      {field(told && block.start ? 'Coach calls' : 'Top', 'top')}
      {field(say.whatKeepsBothSafe, 'safe')}
      {field('How top falls', 'falling')}
      {field('Look for', 'lookFor')}
      {field('Luck or skill?', 'luck')}
      {field('Limit', 'limit')}
      {field('What ends it', 'ends')}
      {field(say.howBeginsAgain, 'restart')}
      {field('Note', 'note')}
    </div>
  );
}

interface DrilledProps {
  block: DrilledBlock;
  plan: ClassPlan;
  onChange: (block: Block) => Issue[];
}

function Drilled({ block, plan, onChange }: DrilledProps) {
  const { turns, work } = blockTime(block, plan);
  const shifts = turns * block.sides;
  const fill = (given: Partial<RepSum>): Issue[] | string => {
    try {
      const { reps, secondsPerRep } = fillReps(given, shifts);
      return onChange({ ...withReps(block, reps), secondsPerRep });
    } catch (error) {
      return (error as Error).message;
    }
  };
  const number = (text: string) => readNumber(text) as number;
  return (
    <>
      <div className={styles.links}>
        {block.links.map((link, place) => (
          <span key={`${link.exchange}-${place}`}>
            {link.move}
            {link.meets && <span className="top"> · {link.meets}</span>}
            {link.fails && <span className="soft">, it fails → {link.leads}</span>}
            {block.links.length === 1 && link.leads && <span className="soft"> → {link.leads}</span>}
          </span>
        ))}
      </div>
      <div className={`${styles['goal-line']} numbers`}>
        <SavedField
          label="Reps each"
          type="number"
          value={String(block.reps)}
          onSave={(text) => fill({ reps: number(text), secondsPerRep: block.secondsPerRep })}
        />
        <SavedField
          label="Seconds a rep"
          type="number"
          value={String(block.secondsPerRep)}
          onSave={(text) => fill({ reps: block.reps, secondsPerRep: number(text) })}
        />
        <SavedField
          label="Minutes of work"
          type="number"
          value={String(Math.round((work / 60) * 10) / 10)}
          onSave={(text) => fill({ minutes: number(text), secondsPerRep: block.secondsPerRep })}
        />
        <SavedField
          label="Shown for"
          type="number"
          unit="s"
          value={String(block.demoSeconds)}
          onSave={(text) => onChange({ ...block, demoSeconds: number(text) })}
        />
        <Resistance block={block} onChange={onChange} />
        <SidesChoice
          label={`Sides of ${block.title}`}
          value={block.sides}
          onChange={(sides) => onChange({ ...block, sides })}
        />
      </div>
      {block.rungs && block.rungs.length > 1 && (
        <ol className={styles.ladder} aria-label="Ladder">
          {block.rungs.map(({ exchange, what, reps }, i) => (
            <li key={`${what} ${exchange}`}>
              <b>{reps}</b> {RUNG_WORDS[what]}
              {what !== 'still' && ` ${block.links.find((one) => one.exchange === exchange)?.meets ?? ''}`}
              <button type="button" className="chip" onClick={() => onChange(takeRung(block, i) ?? block)}>
                only these
              </button>
            </li>
          ))}
        </ol>
      )}
      {block.kind === 'fork' && <Calls block={block} onChange={onChange} />}
    </>
  );
}

/** How the repetitions of a rung are done. */
const RUNG_WORDS = {
  still: 'on a still partner',
  call: 'when they call it:',
  counter: 'harder, at the end:',
} as const;

function Played({ block, onChange }: { block: PlayedBlock; onChange: (block: Block) => Issue[] }) {
  const number = (text: string) => readNumber(text) as number;
  return (
    <div className={`${styles['goal-line']} numbers`}>
      <SavedField
        label="Rounds each"
        type="number"
        value={String(block.rounds)}
        onSave={(text) => onChange({ ...block, rounds: number(text) })}
      />
      <SavedField
        label="Seconds a round"
        type="number"
        value={String(block.secondsPerRound)}
        onSave={(text) => onChange({ ...block, secondsPerRound: number(text) })}
      />
      <Resistance block={block} onChange={onChange} />
    </div>
  );
}

function Resistance({
  block,
  onChange,
}: {
  block: DrilledBlock | PlayedBlock;
  onChange: (block: Block) => Issue[];
}) {
  return (
    <SelectField
      label="Resistance"
      value={block.resistance}
      choices={RESISTANCES.map((value) => ({ value, name: value }))}
      onChange={(value) => onChange({ ...block, resistance: value as (typeof RESISTANCES)[number] })}
    />
  );
}

const WEIGHTS = ['even', 'as top gives them', 'where we are weak'] as const;
/** So many calls are shown. */
const CALLS = 18;

/** What the partner calls, in order: drawn again at a press. */
function Calls({
  block,
  onChange,
}: {
  block: Extract<Block, { kind: 'fork' }>;
  onChange: (block: Block) => Issue[];
}) {
  return (
    <div className={styles.calls}>
      <SelectField
        label="Calls"
        value={block.weights}
        choices={WEIGHTS.map((value) => ({ value, name: value }))}
        onChange={(value) => onChange({ ...block, weights: value as (typeof WEIGHTS)[number] })}
      />
      <ol aria-label="Call sheet">
        {forkCalls(block, CALLS).map((call, i) => (
          <li key={`${block.seed} ${i}`} title={block.links[call]!.move}>
            {block.links[call]!.meets || 'nothing'}
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="btn btn-sm btn-plain"
        onClick={() => onChange({ ...block, seed: (block.seed + 1) % 1_000_000 })}
      >
        Draw again
      </button>
    </div>
  );
}
