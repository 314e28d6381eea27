import type { Block } from '../../model/blocks/blockKinds.ts';
import { indexMap } from '../../model/indexMap.ts';
import { lowerFirst } from '../../model/letterCase.ts';
import { largestGroup } from '../blocks/blockTime.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import type { Taught, Theme } from './chooseTheme.ts';
import { ROUND_SIDE } from './classClock.ts';
import { drillBlock } from './drillBlock.ts';
import { tonightsLimit } from './limits.ts';
import { gameBlock, roundsBlock } from './liveBlocks.ts';
import type { Room } from './room.ts';
import { Said } from './said.ts';
import { defends, type Row, type Teachable, type Technique, teachable } from './technique.ts';
import { mechanicBlock } from './warmUp.ts';

/** What a coach puts into a class by hand. */
export type Wanted =
  /** A movement, a drill of a move or of one answer, a game from a position. */
  { kind: 'mechanic' | 'move' | 'exchange' | 'position'; id: string } | { kind: 'rounds' | 'talk' };

/** A movement, a game's bout, its repetitions and its rounds, as long as they are where nothing else is known. */
const MOVEMENT_SECONDS = 120;
const BOUT_SECONDS = 45;
const REPS = 6;
const ROUNDS = 3;

/**
 * One block by itself, in the words of the class it is put into.
 * @throws RangeError where it is not in the map, or not for this class: it says why
 */
export function singleBlock(request: LessonRequest, wanted: Wanted): Block {
  if (wanted.kind === 'talk')
    return { kind: 'talk', id: 'talk', title: 'Question', text: '', why: '', note: '', seconds: 60 };
  const { map } = request;
  const index = indexMap(map);
  if (wanted.kind === 'mechanic') {
    const mechanic = index.mechanic.get(wanted.id);
    if (!mechanic) throw new RangeError('This movement is not in the map any more.');
    return mechanicBlock(new Said(teachable(request)), mechanic, MOVEMENT_SECONDS);
  }
  if (wanted.kind === 'move' || wanted.kind === 'exchange') {
    const exchange = wanted.kind === 'exchange' ? index.exchange.get(wanted.id) : undefined;
    const move = index.move.get(wanted.kind === 'move' ? wanted.id : (exchange?.move ?? ''));
    if (!move) throw new RangeError('This answer is not in the map any more.');
    const teach = teachable({ ...request, root: move.position });
    const here = teach.techniques.filter((one) => one.move.id === move.id);
    const row = (one: Technique) => one.rows.find((known) => known.exchange.id === exchange?.id);
    const technique = exchange ? here.find(row) : here[0];
    if (!technique)
      throw new RangeError(`“${move.name}” is not for this class: by its level, its apparel or its rules.`);
    const called = row(technique);
    const call = called && called !== technique.base ? called : undefined;
    const room = roomOf(teach, [taughtAs(technique, call)]);
    return drillBlock(room, { technique, as: 'more', call, reps: REPS, other: 2, look: false });
  }
  const at = wanted.kind === 'position' ? wanted.id : request.root;
  const place = index.position.get(at);
  if (!place) throw new RangeError('This position is not in the map any more.');
  const teach = teachable({ ...request, root: at });
  const taught = teach.at(at).map((technique) => taughtAs(technique, undefined));
  if (taught.length === 0)
    throw new RangeError(`“${place.name}” has nothing for bottom to do at the level of this class.`);
  const room = roomOf(teach, taught);
  if (wanted.kind === 'rounds')
    return roundsBlock(room, { at, rounds: ROUNDS, side: ROUND_SIDE[request.level], test: '' });
  const title = `Game: ${lowerFirst(room.said.place(at))}`;
  const size = { bouts: 2, seconds: BOUT_SECONDS, heat: 'light', first: false } as const;
  return gameBlock(room, { id: 'game', at, title, ...size });
}

const taughtAs = (technique: Technique, call: Row | undefined): Taught => ({
  technique,
  role: 'more',
  call,
  from: undefined,
});

/** A class of these alone. */
function roomOf(teach: Teachable, taught: Taught[]): Room {
  const { request } = teach;
  const set = taught.map(({ technique }) => technique);
  const main = set[0]!;
  const theme: Theme = {
    taught,
    set,
    main,
    wayIn: undefined,
    defence: [],
    next: undefined,
    known: [],
    defends: defends(teach, main.at),
  };
  return {
    teach,
    said: new Said(teach),
    theme,
    shares: teach.shares(
      set.map(({ move }) => move.id),
      [main.at],
    ),
    turns: largestGroup(request.people),
    change: request.changeOverSeconds ?? 10,
    limit: tonightsLimit(teach, theme),
    looked: false,
    seen: new Set(),
  };
}
