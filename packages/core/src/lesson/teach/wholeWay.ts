import type { Block } from '../../model/blocks/blockKinds.ts';
import { lowerFirst, upperFirst } from '../../model/letterCase.ts';
import { exchangeSeconds } from '../../model/seconds.ts';
import { linkOf } from '../blocks/linkOf.ts';
import type { ThemeChain } from './chooseTheme.ts';
import { drillSeconds, PACE } from './classClock.ts';
import { type Room, startOf } from './room.ts';
import { placeIn, reactionOf } from './technique.ts';

const SHOWN = 30;
const LONGEST = 37;
/** Back to the beginning of the chain, s. */
const RESET_SECONDS = 12;
const TURN_SECONDS = 140;
const MIN_REPS = 3;

/** A chain in one go, from its first place to its end, through what fails on the way. */
export function wholeWay(room: Room, { steps }: ThemeChain, wish: number): Block {
  const { teach, said, turns, change } = room;
  const moved = steps.reduce(
    (sum, { technique, row }) => sum + exchangeSeconds(technique.move, row.exchange),
    RESET_SECONDS,
  );
  const rep = Math.min(LONGEST, Math.round(moved * PACE[teach.request.level]));
  const reps = Math.max(MIN_REPS, Math.min(wish, Math.floor(TURN_SECONDS / rep)));
  const doing = steps.map(({ technique, row, fails, waits }) => {
    const name = lowerFirst(said.name(technique));
    const place = placeIn(row.otherwise) ?? technique.at;
    return `${waits ? `wait: ${waits} · ` : ''}${name}${fails ? `; it fails, you are in ${lowerFirst(said.place(place))}` : ''}`;
  });
  const calls = steps.flatMap(({ row, fails, technique }) => {
    const ref = reactionOf(row);
    if (ref) return said.verb(ref, 'partner');
    return fails ? `hold against the ${lowerFirst(said.name(technique))}` : [];
  });
  const drill = { show: SHOWN, look: 0, rep, other: 0, turns, change };
  const work = reps * rep * turns + (turns - 1) * change;
  return {
    kind: 'chain',
    id: 'whole-way',
    title: 'The whole way',
    why: '',
    note: 'It breaks off? Begin again at the link before.',
    hazards: [...new Set(steps.flatMap(({ technique }) => [...technique.hazards]))],
    links: steps.map(({ row, fails }) => linkOf(teach.map, row.exchange, { fails })),
    reps,
    sides: 1,
    secondsPerRep: rep,
    demoSeconds: Math.max(SHOWN, drillSeconds(reps, drill) - work),
    start: startOf(room, steps[0]!.technique.at),
    bottom: `${upperFirst(doing.join(' → '))}. No stop between.`,
    cue: '',
    top:
      calls.length > 0
        ? `${upperFirst(calls.join(', then '))}: on “go” (1), by yourself, slowly (1), at their speed (${reps - 2}).`
        : `${upperFirst(said.still(steps[0]!.technique.at))} (2), then resist a quarter (${reps - 2}).`,
    safe: steps.some(({ technique }) => technique.hazards.length > 0)
      ? 'As in the blocks before; “stop” means stop.'
      : '',
    resistance: 'guided',
  };
}
