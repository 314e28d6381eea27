import type { Block } from '../../model/blocks/blockKinds.ts';
import { lowerFirst, upperFirst } from '../../model/letterCase.ts';
import { isOutcome } from '../../model/outcome.ts';
import { clip } from '../blocks/lessonWords.ts';
import { linkOf } from '../blocks/linkOf.ts';
import { FORK_TURN, halfMinutes, repSeconds } from './classClock.ts';
import { answerFor, type Room, shareOf, startOf, taughtAt } from './room.ts';
import { callersOf, type Row, reactionOf, type Technique } from './technique.ts';

interface Branch {
  technique: Technique;
  row: Row;
}
/** Said first, one of each; the rest in silence. */
const SAID_FIRST = 2;
const EXPLAIN = 60;

/** Start, feel, choose: two answers from one place, each at least three times unannounced; nothing where there are not two. */
export function forkBlock(room: Room, wish: number): Block | undefined {
  const { theme, teach } = room;
  const places = new Set([
    theme.main.at,
    teach.request.root,
    ...theme.taught.map(({ technique }) => technique.at),
  ]);
  for (const place of places) {
    const branches = branchesAt(room, place);
    if (branches) return blockOf(room, place, branches, wish);
  }
  return undefined;
}

function branchesAt(room: Room, place: string): [Branch, Branch] | undefined {
  const { theme } = room;
  const here = taughtAt(room, place);
  if (here.length < 2 || !here.some(({ technique }) => theme.set.includes(technique))) return undefined;
  // One is what happens when nothing comes; the other needs a reaction that is felt.
  const first =
    here.find(({ technique, call }) => technique.clean && (!call || call.key === 'none')) ??
    here.find(({ technique }) => technique.clean) ??
    here[0]!;
  const own = (technique: Technique) =>
    callersOf(technique)
      .filter(({ key }) => answerFor(room, place, key) === technique)
      .sort(
        (a, b) =>
          Math.round((10 * (b.chance - a.chance)) / technique.base.chance) ||
          shareOf(room, b) - shareOf(room, a) ||
          (a.key < b.key ? -1 : 1),
      );
  const [second] = here
    .filter((one) => one !== first)
    .flatMap(({ technique, call }): Branch[] => {
      const row =
        (call && call.key !== 'none' ? call : undefined) ??
        own(technique)[0] ??
        (technique.clean ? undefined : technique.base);
      return row ? [{ technique, row }] : [];
    });
  if (!second) return undefined;
  // Who defends starts nothing: both answers need a call that is seen.
  const seen = theme.defends ? own(first.technique).find(({ key }) => key !== second.row.key) : undefined;
  const called = first.call && first.call.key !== 'none' && !first.technique.clean ? first.call : undefined;
  const row = called ?? seen ?? first.technique.base;
  if (row.key === second.row.key) return undefined;
  const branches: [Branch, Branch] = [{ technique: first.technique, row }, second];
  const isTheirs = ({ technique, row: { key } }: Branch) =>
    key !== 'none' && answerFor(room, place, key) !== technique;
  return branches.some(isTheirs) ? undefined : branches;
}

function blockOf(room: Room, place: string, branches: [Branch, Branch], wish: number): Block {
  const { teach, said, theme, turns, change } = room;
  const { level } = teach.request;
  const [first, second] = branches;
  const rep = Math.max(...branches.map(({ technique, row }) => repSeconds(technique, row, level)));
  const reps = Math.max(8, Math.min(wish, Math.floor(FORK_TURN / rep)));
  const seconds = halfMinutes(EXPLAIN + reps * rep * turns + (turns - 1) * change);
  const name = ({ technique }: Branch) => lowerFirst(said.name(technique));
  const then = ({ technique, row: { to } }: Branch) => {
    if (isOutcome(to)) return '';
    const on = theme.set.find((one) => one !== technique && one.at === to.position && one.clean);
    return on ? `, then ${lowerFirst(said.name(on))}` : `, into ${lowerFirst(said.place(to.position))}`;
  };
  const met = reactionOf(second.row)!;
  const goesOn = ({ row: { to } }: Branch) =>
    theme.set.filter(({ at }) => !isOutcome(to) && at === to.position);
  const finishes = branches.some((one) =>
    [one.technique, ...goesOn(one)].some(({ kind }) => kind === 'submission'),
  );
  const { feel } = said.reaction(second.technique, met);
  const look = said.lookAsStart(first.technique);
  const begins = theme.defends
    ? 'They start.'
    : `You start: ${look || lowerFirst(said.steps(first.technique)[0] ?? name(first))}.`;
  const otherwise =
    first.row.key === 'none'
      ? `Nothing by the count of two → ${name(first)}${then(first)}.`
      : `${upperFirst(said.they(first.row))}, or nothing by two → ${name(first)}${then(first)}.`;
  const each = Math.floor((reps - SAID_FIRST) / 2);
  const hazards = [...new Set(branches.flatMap(({ technique }) => [...technique.hazards]))];
  return {
    kind: 'fork',
    id: `fork-${place}`.slice(0, 70),
    title: clip(`Read it: ${said.they(second.row)}, or not`),
    why: '',
    note: '',
    links: branches.map(({ row }) => linkOf(teach.map, row.exchange)),
    reps,
    sides: 1,
    secondsPerRep: rep,
    demoSeconds: seconds - (reps * rep * turns + (turns - 1) * change),
    resistance: 'choice',
    weights: 'even',
    seed: 1,
    shares: [0.5, 0.5],
    hazards,
    start: startOf(room, place),
    bottom: `${begins} ${upperFirst(said.they(second.row))}${feel ? ` (feel: ${feel})` : ''} → ${name(second)}${then(second)}. ${otherwise}`,
    top: `Say it first, one of each; then ${reps - SAID_FIRST} in silence, mixed, each at least ${each} times.${first.row.key === 'none' ? ` No call: ${said.still(place)}.` : ''} Wrong answer: same call again.`,
    safe: finishes
      ? room.limit
      : hazards.length > 0
        ? 'As in both blocks; the partner says stop, you stop.'
        : '',
  };
}
