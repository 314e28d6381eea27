import type { Block, PlayedBlock } from '../../model/blocks/blockKinds.ts';
import { lowerFirst } from '../../model/letterCase.ts';
import { signOf } from '../../model/signs.ts';
import { clip } from '../blocks/lessonWords.ts';
import { sentences } from '../blocks/roleWords.ts';
import { halfMinutes, NEW_PARTNER } from './classClock.ts';
import { isLow } from './falls.ts';
import { type Room, shareOf, startOf, taughtAt } from './room.ts';
import { bare } from './said.ts';
import { callersOf, countersOf, hasHazard, JOINT_LOCKS, type Row, reactionOf } from './technique.ts';

type Heat = 'light' | 'medium' | 'hard';

export interface GameAsked {
  id: string;
  at: string;
  title: string;
  bouts: number;
  seconds: number;
  heat: Heat;
  /** The first game of a class: what nobody answers tonight starts it over. */
  first: boolean;
}

/** What wins a game for each: the book's own game of the place, else what its guard asks for. */
function goals({ teach, said, theme }: Room, at: string): { bottom: string; top: string; time: string } {
  const { game, signs } = teach.index.position.get(at)!;
  if (game)
    return {
      bottom: bare(said.toBottom(game.bottom)),
      top: bare(said.toBottom(game.top)),
      time: game.time ?? '',
    };
  const standing = signOf(signs, 'top.stance') === 'standing';
  return theme.defends
    ? {
        bottom: 'Guard back, sitting up or a knee between you, three seconds',
        top: 'Past the legs, chest on chest, three seconds',
        time: '',
      }
    : {
        bottom: 'On top or on the back, three seconds',
        top: standing ? 'Legs free and past, or pass, three seconds' : 'Pass, or flatten them, three seconds',
        time: '',
      };
}

/** What nobody can be told not to do: it stays in every game. Common practice, no published source. */
const PLAIN = /drive|widen|base|sink|posture|sit-back|lean|heavy|squeeze|stays|stay-/;
const stems = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word.length > 3)
    .map((word) => word.slice(0, 5));

/** What top does there that spoils tonight's answers and has none: at most two, none that top wins by. */
function resets(room: Room, at: string, top: string): Row[] {
  const { teach, theme, said } = room;
  const here = taughtAt(room, at);
  const wins = new Set(stems(top));
  const answered = (key: string) =>
    here.some(
      ({ technique, call }) =>
        call?.key === key ||
        technique.base.key === key ||
        [...callersOf(technique), ...countersOf(technique)].some((row) => row.key === key),
    );
  const rows = new Map<string, { row: Row; weight: number }>();
  for (const { technique } of here)
    for (const row of technique.rows) {
      const ref = reactionOf(row);
      if (!ref || PLAIN.test(ref.id) || answered(row.key)) continue;
      const words = `${teach.index.reaction.get(ref.id)?.name ?? ''} ${said.verb(ref)}`;
      if (stems(words).some((stem) => wins.has(stem))) continue;
      const upright =
        teach.index.reaction.get(ref.id)?.changes['top.stance'] === 'standing' && isLow(teach, at) ? 4 : 1;
      const next = theme.next?.row.key === row.key ? 8 : 0;
      const weight = shareOf(room, row) * (row.exchange.stops === 0 ? 2 : 1) * upright + next;
      if ((rows.get(row.key)?.weight ?? -1) < weight) rows.set(row.key, { row, weight });
    }
  return [...rows.values()]
    .sort((a, b) => b.weight - a.weight || (a.row.key < b.row.key ? -1 : 1))
    .slice(0, 2)
    .map(({ row }) => row);
}

/** A game from a place: both can win, every good end scores, and a win starts it over until time. */
export function gameBlock(room: Room, asked: GameAsked): PlayedBlock {
  const { teach, theme, turns, change, limit } = room;
  const { at, bouts, seconds, heat, first } = asked;
  const { bottom, top, time } = goals(room, at);
  const out = first ? resets(room, at, top) : [];
  // What is learnt tonight wins once it has been learnt.
  const catches =
    !first && theme.set.some(({ kind }) => kind === 'submission') && !/catch|lock/i.test(bottom);
  const wins = [
    bottom,
    ...(catches ? ['or a clean catch: count one, let go'] : []),
    ...(time ? [`or ${time}`] : []),
  ];
  const partner = teach.request.people > 3 ? NEW_PARTNER : 0;
  const work = turns * bouts * seconds + (turns - 1) * change;
  return {
    kind: 'game',
    id: asked.id,
    title: clip(asked.title),
    why: '',
    note: '',
    hazards: hazardsOf(room),
    start: `${startOf(room, at)} ${partner ? 'New partner. ' : ''}${heatWords(heat)}`,
    bottom: sentences(wins.join('; ')),
    top: sentences(top, ...startOver(room, out)),
    ends: 'Whoever scores lets the other take the grips; play on until time.',
    restart: '',
    limit: `${limit} Tap = let go.`,
    rounds: bouts,
    secondsPerRound: seconds,
    demoSeconds: halfMinutes(work + partner) - work,
    resistance: heat === 'hard' ? 'full' : 'light',
  };
}

/** What top does so often stops every bout: then it is left out tonight. */
const ORDINARY = 0.25;

/** What of top has no answer tonight: left out where it is ordinary, else it starts the bout over. */
function startOver(room: Room, rows: readonly Row[]): string[] {
  const { said, theme } = room;
  const verbs = (list: readonly Row[]) => list.map((row) => said.verb(reactionOf(row)!)).join(' or ');
  const ordinary = rows.filter((row) => shareOf(room, row) >= ORDINARY);
  const rare = rows.filter((row) => !ordinary.includes(row));
  const when = (list: readonly Row[]) =>
    list.some(({ key }) => key === theme.next?.row.key) ? 'next class' : 'another class';
  return [
    ...(ordinary.length > 0 ? [`Not tonight: ${verbs(ordinary)} (${when(ordinary)})`] : []),
    ...(rare.length > 0 ? [`Start over at once if they ${verbs(rare)} (${when(rare)})`] : []),
  ];
}

const heatWords = (heat: Heat): string =>
  ({ light: 'Light.', medium: 'Half strength.', hard: 'Hard.' })[heat];
const hazardsOf = ({ theme }: Room) => [...new Set(theme.set.flatMap(({ hazards }) => [...hazards]))];

/** Longer than this nobody goes on without water, s. */
const MOST_DRY = 20 * 60;

export interface RoundsAsked {
  at: string;
  rounds: number;
  /** Seconds on the bottom for each partner. */
  side: number;
  test: string;
}

/** Rounds from where the class begins, partners changing, both on the bottom in each. */
export function roundsBlock(room: Room, { at, rounds, side, test }: RoundsAsked): Block {
  const { teach, theme, turns, change, limit } = room;
  const { level, people, youth } = teach.request;
  const careful =
    youth ||
    theme.set.some((one) => one.kind === 'submission' || hasHazard(one, [...JOINT_LOCKS, 'knee-reap']));
  const heat =
    careful || level === 'novice'
      ? 'Light, the last one half strength.'
      : 'Half strength, the last one hard.';
  const partners = people > 3 ? (rounds - 1) * NEW_PARTNER : 0;
  const work = turns * rounds * side + (turns - 1) * change;
  return {
    kind: 'rounds',
    id: 'rounds',
    title: 'Rounds',
    why: '',
    note: test ? `Test: ${test}.` : '',
    hazards: hazardsOf(room),
    start: `${startOf(room, at)} ${people > 3 ? 'New partner each round; swap' : 'Swap'} at half time. ${heat}${halfMinutes(work + partners) > MOST_DRY ? ` Water after round ${Math.ceil(rounds / 2)}.` : ''}`,
    bottom: 'Tonight first, then everything you know; points as in the games.',
    top: 'Everything that is allowed. Come down slowly, chest to chest; no knee on them.',
    ends: 'A pass, a sweep, both standing or a tap: back to the start.',
    restart: '',
    limit,
    rounds,
    secondsPerRound: side,
    demoSeconds: halfMinutes(work + partners) - work,
    resistance: careful || level === 'novice' ? 'light' : 'full',
  };
}

/** A minute from the start before anything is taught, the coach silent: for one or two people. */
export function firstRound(room: Room, at: string): Block {
  const { said } = room;
  const game = gameBlock(room, {
    id: 'first-round',
    at,
    title: 'Round: show what happens',
    bouts: 1,
    seconds: 60,
    heat: 'light',
    first: false,
  });
  return {
    ...game,
    title: `Round: show what happens from ${lowerFirst(said.place(at))}`,
    note: 'Coach: say nothing; write down what stopped them. It comes back as the last repetition of each block.',
  };
}
