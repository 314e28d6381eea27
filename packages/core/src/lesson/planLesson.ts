import { playable } from '../body/playable.ts';
import type { Block } from '../model/blocks/blockKinds.ts';
import type { Lesson } from '../model/classPlan.ts';
import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Position } from '../model/position.ts';
import { exchangeSeconds } from '../model/seconds.ts';
import { barredTags } from '../rules/legality.ts';
import type { WeighOptions } from '../weigh/mapGame.ts';
import { returnBudget } from './againTime.ts';
import { type FixedTimes, METHOD } from './assembly.ts';
import { classSeconds, largestGroup } from './blockTime.ts';
import { chooseRepertoire, isAbove } from './chooseRepertoire.ts';
import { faultBlocks } from './faultBlocks.ts';
import { fitBlocks } from './fitBlocks.ts';
import { lessonBlocks } from './lessonBlocks.ts';
import type { LessonRequest } from './lessonRequest.ts';
import { lessonRules } from './lessonRules.ts';
import { stepWords } from './lessonWords.ts';
import { DEMO, FOR_LINKS, leastReps, practicesOf, repsOf } from './practices.ts';
import { repertoireOf } from './repertoire.ts';
import { returnBlocks } from './returnBlocks.ts';

export interface PlannedLesson {
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
const WATER_AFTER = 25 * MINUTE;

/**
 * A whole class from one position: what to teach, in which order, and the blocks in which it is taught, within the time.
 * @throws RangeError where nothing can be taught from the root: it says why and what to do
 */
export function planLesson(request: LessonRequest): PlannedLesson {
  const { map, root, minutes, people, level } = request;
  const index = indexMap(map);
  const start = index.position.get(root);
  if (!start)
    throw new RangeError(
      'The position this lesson starts from is not in the map any more: choose another one.',
    );
  if (index.movesOf(root).length === 0)
    throw new RangeError(`“${start.name}” has no moves yet: write one, or begin somewhere else.`);
  const room = { people, changeOverSeconds: request.changeOverSeconds ?? 10 };
  const budget = minutes * MINUTE;
  const sides = request.sides ?? (minutes < 40 ? 1 : 2);
  const shifts = largestGroup(people) * sides;
  const method = METHOD[request.method];
  const reset = map.settings.resetSeconds;
  const fixed = fixedTimes(budget, method.live);
  const time = { sides, room, budget: returnBudget(budget), may: mayBeDone(request) };
  const mends = faultBlocks(map, request.faults ?? [], time);
  const again = returnBlocks(map, request.returns ?? [], { ...time, budget: time.budget - mends.seconds });
  const drillBudget =
    budget -
    mends.seconds -
    again.seconds -
    fixed.talk -
    fixed.mechanics -
    fixed.review -
    fixed.water -
    fixed.live;
  // What has to be taught is taught, though it was known once.
  const known = (request.known ?? []).filter((move) => !request.pinned?.includes(move));
  const options = lessonOptions(request);
  const repertoire = repertoireOf(map, { root, options });
  const secondsOf = (move: string): number => {
    const known = index.move.get(move)!;
    const [exchange] = index.exchangesOf(move);
    const rep = exchangeSeconds(known, exchange ?? {}) + reset;
    return DEMO + leastReps(known, sides) * rep * shifts + (shifts - 1) * room.changeOverSeconds;
  };
  const chosen = chooseRepertoire(map, repertoire, {
    root,
    level,
    known,
    pinned: request.pinned,
    out: request.out,
    seconds: secondsOf,
    budget: drillBudget * FOR_LINKS,
  });
  if (chosen.steps.length === 0) throw new RangeError(whyNothing(map, start, request, repertoire.moves));
  const practices = practicesOf(map, chosen);
  const reps = repsOf(practices, { shifts, sides, reset, budget: drillBudget * FOR_LINKS, room });
  const blocks = lessonBlocks({
    map,
    request,
    start,
    chosen,
    practices,
    reps,
    sides,
    fixed,
    method,
    room,
    again: [...mends.blocks, ...again.blocks],
  });
  const fitted = fitBlocks(blocks, budget, room);
  const done = new Set(
    fitted.flatMap((block) => ('links' in block ? block.links.map(({ exchange }) => exchange) : [])),
  );
  const next = chosen.next && { ...chosen.next, name: index.move.get(chosen.next.move)!.name };
  return {
    lesson: {
      root,
      level,
      youth: request.youth ?? false,
      ...(request.rules && { rules: request.rules.id }),
      method: request.method,
      known,
      pinned: [...(request.pinned ?? [])],
      out: [...(request.out ?? [])],
      steps: chosen.steps.map((step) => stepWords(map, step)),
      returns: again.returned.map(({ exchange, why }) => {
        const move = index.move.get(index.exchange.get(exchange)!.move)!;
        return { move: move.id, name: move.name, exchange, why };
      }),
      faults: mends.taken,
      ...(request.figures && { figures: request.figures }),
      before: chosen.before,
      value: chosen.value,
      withAll: chosen.withAll,
      proved: chosen.proved,
    },
    blocks: fitted,
    leftOver: practices.flatMap(({ exchange }) => (done.has(exchange.id) ? [] : [exchange.id])),
    total: classSeconds({ ...room, blocks: fitted }),
    unmet: (request.pinned ?? []).flatMap((id) =>
      chosen.steps.some(({ move }) => move === id) ? [] : [index.move.get(id)?.name ?? id],
    ),
    next,
  };
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

/** What a lesson is weighed under. */
export function lessonOptions(request: Omit<LessonRequest, 'root' | 'minutes'>): WeighOptions {
  const rules = lessonRules(request);
  return { ...request.options, apparel: request.apparel, ...(rules && { rules }) };
}

/** Why there is nothing to teach, and what to do about it. */
function whyNothing(
  map: GuardMap,
  start: Position,
  { level, minutes }: LessonRequest,
  playable: readonly string[],
): string {
  const own = indexMap(map).movesOf(start.id);
  if (!own.some(({ id }) => playable.includes(id)))
    return `Nothing from “${start.name}” may be done under these rules and in this apparel: choose other ones, or another start.`;
  if (own.every((move) => isAbove(move, start, level)))
    return `Nothing from “${start.name}” is for ${level} classes: take a higher level, or another start.`;
  return `Nothing new from “${start.name}” is left that fits into ${minutes} minutes: count less as known, leave less out, take more time, one side, or another start.`;
}

/** Seconds of what every class has, shorter in a short one. */
function fixedTimes(budget: number, live: number): FixedTimes {
  const short = budget < 40 * MINUTE;
  return {
    talk: short ? MINUTE : 2 * MINUTE,
    mechanics: short ? 0 : 2 * 2 * MINUTE,
    review: short ? MINUTE : 2 * MINUTE,
    water: budget > WATER_AFTER ? MINUTE * Math.floor(budget / WATER_AFTER) : 0,
    live: budget >= 55 * MINUTE ? Math.max(10 * MINUTE, budget * live) : budget * live,
  };
}
