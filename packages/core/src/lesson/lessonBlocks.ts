import type { Block } from '../model/blocks/blockKinds.ts';
import { freshId } from '../model/freshId.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome } from '../model/outcome.ts';
import { reactionKey } from '../model/reaction.ts';
import { signedPoints } from '../weigh/pointsText.ts';
import type { Assembly } from './assembly.ts';
import { blockTime, classSeconds, largestGroup } from './blockTime.ts';
import type { TaughtMove } from './chooseRepertoire.ts';
import { calledBy, clip, lower, rateText, whyWords } from './lessonWords.ts';
import { linkOf } from './linkOf.ts';
import { gameOf, roundsOf } from './liveBlocks.ts';
import { DEMO, type Practice, setsUp } from './practices.ts';
import { careWords, roleWords, sentences } from './roleWords.ts';

const MINUTE = 60;
const MOST_MECHANICS = 2;

/** The blocks of a lesson in the order of its method. */
export function lessonBlocks(assembly: Assembly): Block[] {
  const { map, request, chosen, practices, reps, fixed, method, room, start } = assembly;
  const index = indexMap(map);
  const group = largestGroup(room.people);
  const live = Math.round(fixed.live);
  const drilled: Block[] = [];
  let longest: Practice[] = [];
  const taught: Practice[] = [];
  for (const step of chosen.steps) {
    const own = practices.filter(
      ({ move, exchange }) => move.id === step.move && (reps.get(exchange.id) ?? 0) > 0,
    );
    for (const practice of own) {
      drilled.push(drillOf(assembly, step, practice, reps.get(practice.exchange.id)!));
      taught.push(practice);
    }
    // The new link is joined to what stands before it as soon as it is taught; with blocked practice only in the end.
    const before = wayTo(index.move.get(step.move)!.position, taught, start.id);
    const [main] = own;
    if (!main || before.length === 0) continue;
    const way = [...before, main];
    if (!method.blocked) drilled.push(chainOf(assembly, way));
    if (way.length > longest.length) longest = way;
  }
  const whole = longest.length > 0 && method.blocked ? [chainOf(assembly, longest)] : [];
  const forks = forkOf(assembly, taught);
  const half = Math.floor(live / 2 / group);
  const task = (id: string) => gameOf(assembly, id, half);
  const body: Block[] = method.gameFirst
    ? [...task('game-1'), ...drilled, ...forks, ...task('game-2')]
    : method.blocked
      ? [...drilled, ...whole, ...forks, ...roundsOf(assembly, live)]
      : [...drilled, ...forks, ...task('game'), ...roundsOf(assembly, half * group)];
  return withOwnIds([
    talkOf(assembly),
    ...mechanicsOf(map, chosen.steps, fixed.mechanics, request.youth ?? false),
    ...withWater([...assembly.again, ...body], room, fixed.water),
    reviewOf(assembly),
  ]);
}

/** Ids are made of those of exchanges and positions; where two come out alike, the later one gets another. */
function withOwnIds(blocks: readonly Block[]): Block[] {
  const taken: string[] = [];
  return blocks.map((block) => {
    const id = taken.includes(block.id) ? freshId(block.id, taken) : block.id;
    taken.push(id);
    return { ...block, id };
  });
}

/** What was taught that leads from the start to a place. */
function wayTo(position: string, taught: readonly Practice[], root: string): Practice[] {
  if (position === root) return [];
  const last = taught.findLast(({ exchange: { to } }) => !isOutcome(to) && to.position === position);
  if (!last || last.move.position === position) return [];
  const before = taught.slice(0, taught.indexOf(last));
  return [...wayTo(last.move.position, before, root), last];
}

function drillOf({ map, sides }: Assembly, step: TaughtMove, practice: Practice, reps: number): Block {
  const { exchange, move, first, link } = practice;
  const own = linkOf(map, exchange);
  const sets = setsUp(move) && first;
  const met = own.meets ? `when top ${lower(own.meets)}` : '';
  const shared = {
    id: exchange.id.slice(0, 70),
    links: [own],
    reps,
    sides,
    secondsPerRep: own.seconds + map.settings.resetSeconds,
    note: '',
    ...roleWords(map, [exchange], sets ? 'Set it up, let go, begin again.' : undefined),
  };
  if (sets)
    return {
      ...shared,
      kind: 'setup',
      title: clip(`Set up: ${move.name}`),
      why: whyWords(map, step),
      demoSeconds: DEMO,
      resistance: 'cooperative',
    };
  return {
    ...shared,
    kind: 'link',
    title: clip(met ? `${move.name}, ${met}` : move.name),
    why: first ? whyWords(map, step) : `Top does it ${rateText(link.share)}; it ends elsewhere.`,
    demoSeconds: first ? DEMO : DEMO / 2,
    resistance: first ? 'cooperative' : 'guided',
  };
}

function chainOf({ map, sides, start }: Assembly, way: readonly Practice[]): Block {
  const exchanges = way.map(({ exchange }) => exchange);
  const links = exchanges.map((exchange) => linkOf(map, exchange));
  return {
    kind: 'chain',
    id: `chain-${exchanges.at(-1)!.id}`.slice(0, 70),
    title: clip(
      `${way[0]!.move.position === start.id ? 'From the start' : 'In a row'}: ${links.map(({ move }) => move).join(' → ')}`,
    ),
    why: 'The new link, joined to what stands before it.',
    links,
    reps: 3,
    sides,
    secondsPerRep: links.reduce((sum, { seconds }) => sum + seconds, 0) + map.settings.resetSeconds,
    demoSeconds: 0,
    resistance: 'guided',
    note: '',
    ...roleWords(map, exchanges),
  };
}

/** One look of those taught, or the start: the partner gives one of the reactions that were taught, unannounced. */
function forkOf({ map, sides }: Assembly, taught: readonly Practice[]): Block[] {
  const index = indexMap(map);
  const byPosition = new Map<string, Practice[]>();
  for (const practice of taught) {
    if (!practice.link.reaction.id) continue;
    const known = byPosition.get(practice.move.position) ?? [];
    if (known.some(({ link }) => reactionKey(link.reaction) === reactionKey(practice.link.reaction)))
      continue;
    byPosition.set(practice.move.position, [...known, practice]);
  }
  const [best] = [...byPosition]
    .filter(([, list]) => list.length > 1)
    .sort((a, b) => b[1].length - a[1].length || rateOf(b[1]) - rateOf(a[1]));
  if (!best) return [];
  const [position, list] = best;
  const exchanges = list.map(({ exchange }) => exchange);
  const links = exchanges.map((exchange) => linkOf(map, exchange));
  const total = list.reduce((sum, { link }) => sum + link.rate, 0) || 1;
  return [
    {
      kind: 'fork',
      id: `fork-${position}`.slice(0, 70),
      title: clip(`Whichever comes: ${index.position.get(position)!.name}`),
      why: 'They choose, you answer: what was taught apart is put together.',
      links,
      reps: 2 * links.length,
      sides,
      secondsPerRep:
        Math.round(links.reduce((sum, { seconds }) => sum + seconds, 0) / links.length) +
        map.settings.resetSeconds,
      demoSeconds: DEMO / 2,
      resistance: 'choice',
      weights: 'even',
      seed: 1,
      shares: list.map(({ link }) => link.rate / total),
      note: '',
      ...roleWords(map, exchanges),
      top: `Give one of these, unannounced, never the same more than three times running: ${links.map(({ meets }) => meets || 'nothing').join(' · ')}.`,
    },
  ];
}

const rateOf = (list: readonly Practice[]): number => list.reduce((sum, { link }) => sum + link.rate, 0);

function talkOf({ map, start, chosen, fixed }: Assembly): Block {
  const hazards = [...new Set(chosen.steps.flatMap(({ move }) => indexMap(map).move.get(move)!.hazards))];
  const names = chosen.steps.map(({ move }) => indexMap(map).move.get(move)!.name);
  const care = careWords(hazards);
  return {
    kind: 'talk',
    id: 'talk',
    title: clip(`Today: ${start.name}`),
    why: `A round from here: ${signedPoints(chosen.before)} before, ${signedPoints(chosen.value)} after this class.`,
    text: sentences(names.join(' · '), care.attacking, care.caught),
    seconds: fixed.talk,
    note: '',
  };
}

function reviewOf({ map, chosen, fixed, sides }: Assembly): Block {
  const nameOf = (id: string) => indexMap(map).move.get(id)!.name;
  const calls = chosen.steps.map((step) => `${calledBy(map, step)}: ${nameOf(step.move)}`);
  const home = chosen.steps.slice(0, 2).map(({ move }) => nameOf(move));
  return {
    kind: 'review',
    id: 'review',
    title: 'Say it back',
    why: '',
    text: sentences(
      calls.join('; '),
      'Questions',
      `Until next time: ${home.join(', ')}${sides === 2 ? ', both sides' : ''}`,
      chosen.next && `Next time: ${nameOf(chosen.next.move)}`,
    ),
    seconds: fixed.review,
    note: '',
  };
}

/** The movements that the lesson needs, those that most of its moves are made of first. */
function mechanicsOf(map: GuardMap, steps: readonly TaughtMove[], seconds: number, youth: boolean): Block[] {
  if (seconds < MINUTE) return [];
  const index = indexMap(map);
  const count = new Map<string, number>();
  for (const { move } of steps) {
    const { mechanics, requires } = index.move.get(move)!;
    const needed = requires.flatMap((need) => ('mechanic' in need ? [need.mechanic] : []));
    for (const id of new Set([...mechanics, ...needed])) count.set(id, (count.get(id) ?? 0) + 1);
  }
  const wanted = [...count]
    .sort((a, b) => b[1] - a[1])
    .flatMap(([id]) => map.mechanics.find((mechanic) => mechanic.id === id) ?? [])
    .filter(({ hazards }) => !youth || hazards.length === 0)
    .slice(0, MOST_MECHANICS);
  return wanted.map(
    (mechanic): Block => ({
      kind: 'move',
      id: `move-${mechanic.id}`.slice(0, 70),
      title: mechanic.name,
      why: 'The lesson’s moves are made of it.',
      mechanic: mechanic.id,
      form: mechanic.form,
      dose: mechanic.dose ?? '',
      how: mechanic.how,
      partner: mechanic.partner ?? '',
      hazards: mechanic.hazards,
      seconds: Math.round(seconds / wanted.length),
      note: '',
    }),
  );
}

/** Water in the middle of what is hard. */
function withWater(blocks: readonly Block[], room: Assembly['room'], seconds: number): Block[] {
  const times = Math.round(seconds / MINUTE);
  if (times === 0) return [...blocks];
  const all = classSeconds({ ...room, blocks: [...blocks] });
  let worked = 0;
  let given = 0;
  return blocks.flatMap((block, i): Block[] => {
    const due = given < times && i > 0 && worked >= ((given + 1) * all) / (times + 1);
    worked += blockTime(block, room).total;
    if (!due) return [block];
    given++;
    const water: Block = {
      kind: 'rest',
      id: `water-${given}`,
      title: 'Water',
      why: '',
      note: '',
      seconds: MINUTE,
    };
    return [water, block];
  });
}
