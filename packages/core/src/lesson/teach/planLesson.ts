import { playable } from '../../body/playable.ts';
import type { Block } from '../../model/blocks/blockKinds.ts';
import type { Lesson, LessonStep } from '../../model/classPlan.ts';
import type { Exchange } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import { lowerFirst, upperFirst } from '../../model/letterCase.ts';
import { barredTags } from '../../rules/legality.ts';
import { returnBudget } from '../blocks/againTime.ts';
import { classSeconds } from '../blocks/blockTime.ts';
import { clip } from '../blocks/lessonWords.ts';
import { isAbove } from '../choose/chooseRepertoire.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import { lessonRules } from '../choose/lessonRules.ts';
import { faultBlocks } from '../practise/faultBlocks.ts';
import { type ReturnOf, returnBlocks } from '../practise/returnBlocks.ts';
import { type Assembled, assembleClass } from './assembleClass.ts';
import { chainTheme, startOfChain } from './chainTheme.ts';
import { chooseThemes, type Taught, type Theme } from './chooseTheme.ts';
import { LIVE } from './classClock.ts';
import { Said } from './said.ts';
import { reactionOf, type Teachable, teachable } from './technique.ts';

export interface PlannedLesson {
  /** What the class is called: its start, in the words of its apparel. */
  name: string;
  lesson: Lesson;
  blocks: Block[];
  /** Exchanges of the lesson that found no time, for another class. */
  leftOver: string[];
  total: number;
  /** Names of pinned moves for which there is no time, or no way from the start. */
  unmet: string[];
  /** What would come next, and what it would add. */
  next: { move: string; name: string; adds: number } | undefined;
}

const MINUTE = 60;
/** What comes back of earlier classes is a warm-up of at most so long. */
const MOST_AGAIN = 6 * MINUTE;

/**
 * A whole class from one position: what to teach, in which order, and the blocks in which it is taught, within the time.
 * @throws RangeError where nothing can be taught from the root: it says why and what to do
 */
export function planLesson(asked: LessonRequest): PlannedLesson {
  const { chain } = asked;
  const request = chain ? { ...asked, root: startOfChain(asked) } : asked;
  const { map, root, minutes, people, level } = request;
  const teach = teachable(request);
  const [theme] = chain ? [chainTheme(teach, chain)] : chooseThemes(teach);
  if (!theme) throw new RangeError('Nothing new is left to teach from here: choose another start.');
  const room = { people, changeOverSeconds: request.changeOverSeconds ?? 10 };
  const sides = request.sides ?? (minutes < 40 ? 1 : 2);
  // What comes back takes no more than what is left beside the play that a class needs.
  const forAgain = Math.min(
    MOST_AGAIN,
    returnBudget(minutes * MINUTE),
    minutes * MINUTE * (0.5 - LIVE[level]),
  );
  const time = { sides, room, budget: forAgain, may: mayBeDone(request) };
  const mends = faultBlocks(map, request.faults ?? [], time);
  const again = returnBlocks(map, fromHereFirst(request), { ...time, budget: forAgain - mends.seconds });
  const known = (request.known ?? []).filter((move) => !request.pinned?.includes(move));
  const before = [...mends.blocks, ...again.blocks];
  const secondsOf = (list: readonly Block[]) => classSeconds({ ...room, blocks: [...list] });
  const whole = assembleClass(teach, theme, { again: before, room });
  // In a class that is too short for both, what is new comes before what comes back.
  const without = before.length > 0 && secondsOf(whole.blocks) > minutes * MINUTE;
  const assembled = without ? assembleClass(teach, theme, { again: [], room }) : whole;
  const { blocks } = assembled;
  const total = secondsOf(blocks);
  if (total > minutes * MINUTE)
    throw new RangeError(
      `${minutes} minutes hold no class from here. Take at least ${Math.ceil(total / MINUTE)}, or drill one block by hand.`,
    );
  const done = new Set(
    blocks.flatMap((block) => ('links' in block ? block.links.map(({ exchange }) => exchange) : [])),
  );
  const { systems } = indexMap(map).position.get(root)!;
  const inGuard = map.positions.filter((one) => one.systems.some((system) => systems.includes(system)));
  const near = [...new Set([root, ...inGuard.map(({ id }) => id)])];
  const value = (moves: readonly string[]) => teach.value(moves, near);
  const taughtMoves = assembled.taught.map(({ technique }) => technique.move.id);
  const worthBefore = value(known);
  return {
    name: chain?.name ?? new Said(teach).place(root),
    lesson: {
      root,
      level,
      youth: request.youth ?? false,
      ...(request.rules && { rules: request.rules.id }),
      method: request.method,
      ...(chain && { chain: { ...chain, turns: [...chain.turns] } }),
      known,
      pinned: [...(request.pinned ?? [])],
      out: [...(request.out ?? [])],
      steps: stepsOf(teach, theme, assembled, value, known),
      returns: (without ? [] : again.returned).map(({ exchange, why }) => {
        const move = indexMap(map).move.get(indexMap(map).exchange.get(exchange)!.move)!;
        return { move: move.id, name: move.name, exchange, why };
      }),
      faults: without ? [] : mends.taken,
      ...(request.figures && { figures: request.figures }),
      before: worthBefore,
      value: value([...known, ...taughtMoves]),
      withAll: value(teach.techniques.map(({ move }) => move.id)),
      proved: false,
    },
    blocks,
    leftOver: theme.set.flatMap(({ base, move }) =>
      done.has(base.exchange.id) || taughtMoves.includes(move.id) ? [] : [base.exchange.id],
    ),
    total,
    unmet: (request.pinned ?? []).flatMap((id) =>
      taughtMoves.includes(id) ? [] : [indexMap(map).move.get(id)?.name ?? id],
    ),
    next: nextOf(theme, value, [...known, ...taughtMoves]),
  };
}

/** What comes back, that of the guard the class begins in first: the flow leads towards tonight's start. */
function fromHereFirst({ map, root, returns = [] }: LessonRequest): ReturnOf[] {
  const index = indexMap(map);
  const { systems } = index.position.get(root)!;
  const isHere = ({ exchange }: ReturnOf): boolean => {
    const move = index.move.get(index.exchange.get(exchange)?.move ?? '');
    const own = move && index.position.get(move.position)?.systems;
    return own?.some((system) => systems.includes(system)) ?? false;
  };
  return [...returns].sort((a, b) => Number(isHere(b)) - Number(isHere(a)));
}

/** What would come next, and what a round would be worth more with it. */
function nextOf(
  { next }: Theme,
  value: (moves: readonly string[]) => number,
  moves: readonly string[],
): PlannedLesson['next'] {
  if (!next?.technique) return undefined;
  const { move } = next.technique;
  return { move: move.id, name: move.name, adds: value([...moves, move.id]) - value(moves) };
}

/** What is taught, in its order, with what it adds and why it comes there. */
function stepsOf(
  teach: Teachable,
  theme: Theme,
  { taught, wayIn }: Assembled,
  value: (moves: readonly string[]) => number,
  known: readonly string[],
): LessonStep[] {
  const said = new Said(teach);
  const moves = [...known];
  const entry: Taught[] =
    wayIn && theme.wayIn
      ? [{ technique: theme.wayIn, role: 'set-up', call: undefined, from: undefined }]
      : [];
  const seen = new Set<string>();
  return [...entry, ...taught].flatMap((one): LessonStep[] => {
    const { move } = one.technique;
    if (seen.has(move.id)) return [];
    seen.add(move.id);
    const before = value(moves);
    moves.push(move.id);
    return [
      {
        move: move.id,
        name: move.name,
        part: ['main', 'set-up', 'foundation'].includes(one.role) ? 'trunk' : 'fork',
        adds: value(moves) - before,
        why: clip(reasonOf(said, theme, one)),
      },
    ];
  });
}

function reasonOf(said: Said, theme: Theme, { technique, role, call, from }: Taught): string {
  const met = call && reactionOf(call);
  if (technique === theme.wayIn) return 'The way in.';
  if (role === 'foundation') return 'The others stand on it.';
  if (met) return `For when they ${said.verb(met)}.`;
  if (role === 'main') return 'The attack that the class is about.';
  if (role === 'set-up') return `The way to ${lowerFirst(said.name(theme.main))}.`;
  return from
    ? `It goes on from ${lowerFirst(said.name(from))}.`
    : `${upperFirst(said.place(technique.at))}.`;
}

/** Whether an exchange may be done in a class: by its apparel, its level and its rules. */
function mayBeDone(request: LessonRequest): (exchange: Exchange) => boolean {
  const { map, apparel, level } = request;
  const index = indexMap(map);
  const rules = lessonRules(request);
  return (exchange) => {
    const move = index.move.get(exchange.move)!;
    return (
      playable(map, exchange, apparel) &&
      !isAbove(move, index.position.get(move.position)!, level) &&
      barredTags(move.hazards, rules).length === 0
    );
  };
}
