import type { Block, DrilledBlock } from '../../model/blocks/blockKinds.ts';
import type { Rung } from '../../model/blocks/defineBlock.ts';
import { lowerFirst, upperFirst } from '../../model/letterCase.ts';
import { isOutcome } from '../../model/outcome.ts';
import { clip } from '../blocks/lessonWords.ts';
import { linkOf } from '../blocks/linkOf.ts';
import { sentences } from '../blocks/roleWords.ts';
import type { Role } from './chooseTheme.ts';
import { type Drill, drillSeconds, mostReps, repSeconds, showSeconds } from './classClock.ts';
import { fallWords, isLow } from './falls.ts';
import { safeWords, turnsKnee } from './limits.ts';
import { answerFor, type Room, shareOf, startOf } from './room.ts';
import { callersOf, countersOf, placeIn, type Row, reactionOf, type Technique } from './technique.ts';

export interface DrillAsked {
  technique: Technique;
  as: 'way in' | 'defence' | Role;
  /** What calls for it here. */
  call: Row | undefined;
  /** It goes on from this one. */
  from?: Technique | undefined;
  /** Whether that comes before it in a row, or behind it, where a chain is taught from its end. */
  joins?: 'before' | 'behind' | undefined;
  reps: number;
  /** Repetitions on the other side, where it is short enough. */
  other: number;
  /** A second look between the turns. */
  look: boolean;
}

const SECOND_LOOK = { novice: 50, intermediate: 30, expert: 30 } as const;
/** A technique of more steps is done on one side. */
const BOTH_SIDES = 3;

/**
 * A technique as it is drilled: the first repetition does what the block is called for, then at will, then quicker or against
 * what makes it harder.
 */
export function drillBlock(room: Room, asked: DrillAsked): Block {
  const { teach, said, turns, change } = room;
  const { technique, as } = asked;
  const { request, map } = teach;
  const { level } = request;
  const { needs, called, counter } = reactionsOf(room, asked);
  const rows = [technique.base, called, counter].filter((row) => row !== undefined);
  const drill: Drill = {
    show: showSeconds(technique.steps.length, level),
    look: asked.look ? SECOND_LOOK[level] : 0,
    rep: Math.max(...rows.map((row) => repSeconds(technique, row, level))),
    other: technique.steps.length <= BOTH_SIDES ? asked.other : 0,
    turns,
    change,
  };
  const reps = Math.max(4, Math.min(asked.reps, mostReps(drill)));
  const { rungs, calls } = rungsOf(room, technique, reps, { needs, called, counter });
  const drilledRows = rows.filter(({ exchange }) => rungs.some((rung) => rung.exchange === exchange.id));
  const ends = needs ?? technique.base;
  const name = said.name(technique);
  const title =
    as === 'way in'
      ? `The way in: ${lowerFirst(name)}`
      : as === 'defence'
        ? `First the way out: ${lowerFirst(name)}`
        : said.calledName(technique, needs);
  const both = bothWords(room, asked);
  const set = as === 'way in' || as === 'set-up';
  const shared = {
    id: drilledRows[0]!.exchange.id.slice(0, 70),
    title: clip(title),
    why: whyWords(room, asked),
    note: '',
    hazards: [...technique.hazards],
    links: drilledRows.map(({ exchange }) => linkOf(map, exchange)),
    reps,
    sides: 1 as const,
    ...(drill.other > 0 && { otherReps: drill.other }),
    ...(drill.look > 0 && { lookSeconds: drill.look }),
    secondsPerRep: drill.rep,
    demoSeconds: drill.show,
    rungs,
    start: startOf(room, technique.at) + both,
    bottom: `${said
      .steps(technique)
      .map((step, i) => (i === 0 ? upperFirst(step) : step))
      .join(' · ')}.${endWords(room, ends)}`,
    cue: dot(said.cue(technique)),
    top: room.looked ? `${calls} The last one: what the first round showed: ________.` : calls,
    safe: safeWords(teach, said, technique, called ?? counter),
    falling: fallWords(teach, technique),
    lookFor: dot(said.lookFor(technique)),
    luck: as === 'main' || as === 'foundation' ? dot(said.luckOrSkill(technique)) : '',
    resistance: needs || called ? ('guided' as const) : ('cooperative' as const),
  };
  // Where a block ends everybody has been.
  if (!isOutcome(ends.to)) room.seen.add(ends.to.position);
  const block: DrilledBlock = { ...shared, kind: set ? 'setup' : 'link' };
  return onHalfMinutes(block, drillSeconds(reps, drill), drill, reps);
}

/** The last repetitions, in which two links become one, or in which it fails and goes on. */
function bothWords({ theme, said }: Room, { technique, from, as, joins }: DrillAsked): string {
  const failing = theme.chain?.steps.find((one) => one.fails && one.technique === technique);
  const place = failing && (placeIn(failing.row.otherwise) ?? technique.at);
  const fails = place
    ? ` The last one fails: you are in ${lowerFirst(said.place(place))}, go on from there.`
    : '';
  if (!from || as === 'way in') return fails;
  const joined =
    joins === 'behind'
      ? ' Last two: go on to the end.'
      : ` Last two from ${lowerFirst(said.place(from.at))}: both in one.`;
  return joined + fails;
}

const dot = (text: string): string => sentences(text || undefined);

/** The showing takes what is missing to the half minute. */
function onHalfMinutes(block: DrilledBlock, seconds: number, drill: Drill, reps: number): Block {
  const bare =
    drill.show +
    drill.look +
    (reps + drill.other) * drill.rep * drill.turns +
    (drill.turns - 1) * drill.change;
  return { ...block, demoSeconds: block.demoSeconds + Math.max(0, seconds - bare) };
}

interface Reactions {
  /** Without it there is nothing to drill: the block is called by it. */
  needs: Row | undefined;
  called: Row | undefined;
  counter: Row | undefined;
}

/** A reaction after which the partner is not down, or not up, any more. */
function changesHeight({ teach }: Room, position: string, row: Row): boolean {
  const stance = teach.index.reaction.get(reactionOf(row)?.id ?? '')?.changes['top.stance'];
  if (!stance) return false;
  return isLow(teach, position) === ['standing', 'squatting'].includes(stance);
}

/** A step that speaks of something which a still partner does not do. */
const SPEAKS_OF =
  /^(?:they|as they|when they|while they|let them|their (?:pull|push|drive|grip))|\b(?:stuff|the posted|their push|their pull|the pushing|the gripping|pins? (?:your|our))\b/i;

/** What calls for a technique in its block, and what makes it harder: nothing that another technique answers tonight. */
function reactionsOf(room: Room, { technique, call }: DrillAsked): Reactions {
  const { teach, theme } = room;
  const { base, at, clean, steps, name } = technique;
  const theirs = ({ key }: Row) => {
    const by = answerFor(room, at, key);
    return by !== undefined && by !== technique;
  };
  const fit = ({ chance }: Row) => Math.round((10 * chance) / base.chance);
  const often = (a: Row, b: Row) => shareOf(room, b) - shareOf(room, a) || (a.key < b.key ? -1 : 1);
  const [best] = callersOf(technique)
    .filter((row) => !theirs(row) && (!clean || !changesHeight(room, at, row)))
    .sort((a, b) => fit(b) - fit(a) || often(a, b));
  const named = call && call.key !== 'none' ? call : clean ? undefined : base;
  const speaks = SPEAKS_OF.test(steps[0]?.text ?? '') || SPEAKS_OF.test(name);
  const isAnswer = best && (best.chance > base.chance + 0.025 || (speaks && fit(best) >= 9));
  const needs = named ?? (isAnswer ? best : undefined);
  const called = needs ?? best;
  const hazardous = (row: Row) => (teach.index.reaction.get(reactionOf(row)!.id)?.hazards ?? []).length > 0;
  // What is the next class's theme is not let loose tonight.
  const later = ({ key }: Row) => theme.main.at === at && theme.next?.row.key === key;
  const [counter] = needs
    ? []
    : countersOf(technique)
        .filter(
          (row) =>
            !theirs(row) && !later(row) && row !== called && !changesHeight(room, at, row) && !hazardous(row),
        )
        .sort(often);
  return { needs, called, counter };
}

/** The repetitions of a block in order, and how the coach calls them: each "how" beside its own call. */
function rungsOf(
  room: Room,
  technique: Technique,
  reps: number,
  { needs, called, counter }: Reactions,
): { rungs: Rung[]; calls: string } {
  const { said } = room;
  const call = (row: Row, dose: string) => {
    const ref = reactionOf(row)!;
    const { script } = said.reaction(technique, ref);
    return `${said.verb(ref, 'partner')}${script ? `, ${script}` : ''}: ${dose}`;
  };
  if (needs && needs.key !== 'none') {
    // Where a knee turns or a neck is held nothing is done quickly.
    const gently = technique.hazards.length > 0 || turnsKnee(room.teach, technique);
    const dose = gently
      ? `slowly on “go” (2), then when you feel the move (${reps - 2})`
      : `slowly on “go” (2), when you feel the move (${reps - 3}), quickly (1)`;
    return {
      rungs: [{ exchange: needs.exchange.id, what: 'call', reps }],
      calls: `${upperFirst(call(needs, dose))}.`,
    };
  }
  const last = counter ? 1 : 0;
  const middle = reps - 2 - last;
  const still = `${upperFirst(said.still(technique.at))} (2)`;
  const parts = [still];
  const rungs: Rung[] = [];
  if (called && called.key !== 'none') {
    rungs.push({ exchange: technique.base.exchange.id, what: 'still', reps: 2 });
    rungs.push({ exchange: called.exchange.id, what: 'call', reps: middle });
    parts.push(call(called, `(${middle})`).replace(': (', ' ('));
  } else {
    rungs.push({ exchange: technique.base.exchange.id, what: 'still', reps: 2 + middle });
    parts.push(`resist a quarter, no counters (${middle})`);
  }
  if (counter) {
    rungs.push({ exchange: counter.exchange.id, what: 'counter', reps: last });
    parts.push(call(counter, `(${last})`).replace(': (', ' ('));
  }
  return { rungs, calls: `${parts.join(' · ')}.` };
}

function endWords({ said }: Room, { to }: Row): string {
  if (!isOutcome(to)) return ` You are in: ${lowerFirst(said.place(to.position))}. Stop.`;
  if (/^top|^back/.test(to.outcome)) return ' Hold three seconds.';
  return to.outcome === 'submission' ? ' At the catch: count one, let go.' : ' Stop, face them.';
}

/** Why it is in the class. */
function whyWords({ theme, said }: Room, { technique, as, call, from, joins }: DrillAsked): string {
  if (as === 'defence') return 'Everybody is the one who is caught tonight.';
  if (as === 'way in') return 'Without it you never get there in a round.';
  if (as === 'foundation' && theme.taught.length > 1) return 'The others stand on this one.';
  if (as === 'follow-up' && from)
    return `It ${joins === 'behind' ? 'leads to' : 'goes on from'} ${lowerFirst(said.name(from))}.`;
  const ref = call && reactionOf(call);
  const feel = ref && said.reaction(technique, ref).feel;
  return feel ? `You feel: ${feel}.` : '';
}
