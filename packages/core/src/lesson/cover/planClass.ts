import { playable } from '../../body/playable.ts';
import type { Block, DrilledBlock } from '../../model/blocks/blockKinds.ts';
import type { Link } from '../../model/blocks/defineBlock.ts';
import { exchangeOf, failsIn, readTurn } from '../../model/chainTurn.ts';
import type { ClassPlan } from '../../model/classPlan.ts';
import type { Exchange } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Apparel } from '../../model/primitives.ts';
import { blockTime, classSeconds } from '../blocks/blockTime.ts';
import { linkOf } from '../blocks/linkOf.ts';
import { roleWords } from '../blocks/roleWords.ts';
import { setupLength } from '../blocks/setupLength.ts';
import { chooseWithin } from '../choose/chooseWithin.ts';
import type { Cover } from './coverArcs.ts';
import { coverChains } from './coverChains.ts';

export interface ClassRequest {
  map: GuardMap;
  /** Exchanges to drill; those that this apparel does not allow are reported, not drilled. */
  exchanges: readonly string[];
  minutes: number;
  people: number;
  apparel: Apparel;
  sides?: 1 | 2;
  /** Set-ups to each full chain; default 3. */
  setupShare?: number;
  /** Fewer reps of a chain than this are not worth beginning; default 2. */
  leastReps?: number;
  mostReps?: number;
  /** Nobody remembers a chain of more links than this: longer ones are cut into even pieces; default 5. */
  longestChain?: number;
  demoSeconds?: number;
  changeOverSeconds?: number;
  /** Water after so many seconds of work; default 60 s after about 15 min. */
  restEverySeconds?: number;
  restSeconds?: number;
}

export interface PlannedClass {
  blocks: Block[];
  /** Seconds of all blocks. */
  total: number;
  cover: Cover;
  /** Chosen exchanges that are in chains that did not fit. */
  leftOver: string[];
  /** Chosen exchanges that cannot be played in this apparel. */
  unplayable: string[];
}

/** Where in the map a chain begins: positions are written down in the order in which they are taught. */
function placeOf(map: GuardMap, arc: string): number {
  const index = indexMap(map);
  const start = index.move.get(turnOf(map, arc).exchange.move)!.position;
  return map.positions.findIndex(({ id }) => id === start);
}

/** An exchange as a chain goes through it. */
interface Turn {
  exchange: Exchange;
  fails: true | undefined;
}

/** What an arc of a cover is. */
function turnOf(map: GuardMap, arc: string): Turn {
  const turn = readTurn(arc)!;
  const exchange = indexMap(map).exchange.get(exchangeOf(turn)!)!;
  return { exchange, fails: failsIn(turn) || undefined };
}

interface Chain {
  id: string;
  turns: Turn[];
  /** How many of them only set up. */
  setup: number;
}

/**
 * A class from chosen exchanges: they are covered by the cheapest chains; every chain becomes a block (an
 * `answer` where it is one exchange), after a `setup` block for its first grips where it has any that were not
 * drilled yet. Chains come in the order of the positions they start from. All chains get the same number of reps, the
 * most that fit; then single chains get one more, in order, while time is left. If not all fit with `leastReps`, the
 * chains that cover the most chosen exchanges stay (`chooseWithin`) and the rest is left over.
 */
export function planClass(request: ClassRequest): PlannedClass {
  const { map, apparel } = request;
  const index = indexMap(map);
  const wanted = [...new Set(request.exchanges)];
  const usable = new Set(
    map.exchanges.filter((exchange) => playable(map, exchange, apparel)).map(({ id }) => id),
  );
  const chosen = wanted.filter((id) => usable.has(id));
  const cover = coverChains({ map, exchanges: chosen, connect: [...usable] });
  const pieces = cover.chains
    .flatMap(({ arcs }) => evenPieces(arcs, request.longestChain ?? 5))
    .map(withoutLastMiss)
    .filter((arcs) => arcs.length > 0)
    .sort((a, b) => placeOf(map, a[0]!) - placeOf(map, b[0]!));
  const chains = pieces.map((arcs, i): Chain => {
    const turns = arcs.map((arc) => turnOf(map, arc));
    const kinds = turns.map(({ exchange }) => index.move.get(exchange.move)!.kind);
    return { id: `chain-${i + 1}`, turns, setup: setupLength(kinds) };
  });

  const room = { people: request.people, changeOverSeconds: request.changeOverSeconds ?? 10 };
  const budget = request.minutes * 60;
  const build = (list: readonly Chain[], reps: (chain: Chain) => number) =>
    withRests(blocksOf(request, list, reps), request, room);
  const fits = (blocks: Block[]) => classSeconds({ ...room, blocks }) <= budget;
  const least = request.leastReps ?? 2;
  const kept = keepWhatFits(chains, chosen, (list) => build(list, () => least), room, budget);

  let reps = least;
  const most = request.mostReps ?? 12;
  while (reps < most && kept.length > 0 && fits(build(kept, () => reps + 1))) reps++;
  const more = new Set<string>();
  for (const chain of kept) {
    more.add(chain.id);
    if (reps >= most || !fits(build(kept, (other) => reps + Number(more.has(other.id)))))
      more.delete(chain.id);
  }
  const blocks = build(kept, (chain) => reps + Number(more.has(chain.id)));
  const drilled = new Set(
    kept.flatMap(({ turns }) => turns.flatMap(({ exchange, fails }) => (fails ? [] : [exchange.id]))),
  );
  return {
    blocks,
    total: classSeconds({ ...room, blocks }),
    cover,
    leftOver: chosen.filter((id) => !drilled.has(id)),
    unplayable: wanted.filter((id) => !usable.has(id)),
  };
}

function keepWhatFits(
  chains: readonly Chain[],
  chosen: readonly string[],
  build: (list: readonly Chain[]) => Block[],
  room: Pick<ClassPlan, 'people' | 'changeOverSeconds'>,
  budget: number,
): readonly Chain[] {
  const time = (list: readonly Chain[]) => classSeconds({ ...room, blocks: build(list) });
  if (time(chains) <= budget) return chains;
  const items = chains.map((chain) => ({
    id: chain.id,
    cost: time([chain]),
    worth: chosen.filter((id) => chain.turns.some(({ exchange, fails }) => !fails && exchange.id === id))
      .length,
  }));
  // Rests come on top of what single chains cost, so the room for chains is looked for from above.
  for (let share = budget; share > 0; share -= 30) {
    const { ids } = chooseWithin({ items, budget: share });
    const kept = chains.filter((chain) => ids.includes(chain.id));
    if (time(kept) <= budget) return kept;
  }
  return [];
}

function blocksOf(
  request: ClassRequest,
  chains: readonly Chain[],
  repsOf: (chain: Chain) => number,
): DrilledBlock[] {
  const { map } = request;
  const reset = map.settings.resetSeconds;
  const share = request.setupShare ?? 3;
  const setUp = new Set<string>();
  return chains.flatMap((chain): DrilledBlock[] => {
    const links = chain.turns.map(({ exchange, fails }) => linkOf(map, exchange, { fails }));
    const exchanges = chain.turns.map(({ exchange }) => exchange);
    const shared = {
      sides: request.sides ?? 2,
      demoSeconds: request.demoSeconds ?? 60,
      resistance: 'cooperative' as const,
      note: '',
      why: '',
    };
    const reps = repsOf(chain);
    const blocks: DrilledBlock[] = [];
    const prefix = exchanges.slice(0, chain.setup);
    // The same grips against another reaction are the same set-up.
    const key = prefix.map(({ move }) => move).join(' ');
    if (share > 0 && prefix.length > 0 && prefix.length < exchanges.length && !setUp.has(key)) {
      setUp.add(key);
      blocks.push({
        ...shared,
        kind: 'setup',
        id: `${chain.id}-setup`,
        title: `Set up: ${links[prefix.length - 1]!.move}`,
        links: links.slice(0, prefix.length),
        reps: reps * share,
        secondsPerRep: sum(links.slice(0, prefix.length)) + reset,
        ...roleWords(map, prefix, 'Set up, let go, begin again.'),
      });
    }
    blocks.push({
      ...shared,
      kind: links.length === 1 ? 'link' : 'flow',
      id: chain.id,
      title: titleOf(map, exchanges[0]!, links),
      links,
      reps,
      secondsPerRep: sum(links) + reset,
      ...roleWords(map, exchanges),
    });
    return blocks;
  });
}

const sum = (links: readonly { seconds: number }[]): number =>
  links.reduce((total, link) => total + link.seconds, 0);

function titleOf(map: GuardMap, { move }: Exchange, links: readonly Link[]): string {
  const index = indexMap(map);
  const [first, last] = [links[0]!, links.at(-1)!];
  if (links.length === 1)
    return clip(first.meets ? `${first.move} · ${lowerFirst(first.meets)}` : first.move);
  const start = index.position.get(index.move.get(move)!.position)!;
  return clip(`${start.name} → ${lowerFirst(last.leads)}`);
}

const clip = (text: string): string => (text.length > 120 ? `${text.slice(0, 119)}…` : text);
const lowerFirst = (text: string): string =>
  /^[A-Z][a-z]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;

/** A piece that was cut off behind an answer that fails ends before it: nothing follows on it. */
function withoutLastMiss(arcs: readonly string[]): string[] {
  const last = arcs.findLastIndex((arc) => !failsIn(readTurn(arc)!));
  return arcs.slice(0, last + 1);
}

/** A list cut into the fewest pieces of at most `longest`, as even as can be. */
function evenPieces<T>(list: readonly T[], longest: number): T[][] {
  const count = Math.ceil(list.length / longest);
  return Array.from({ length: count }, (_, i) =>
    list.slice(Math.round((i * list.length) / count), Math.round(((i + 1) * list.length) / count)),
  );
}

function withRests(
  blocks: readonly DrilledBlock[],
  request: ClassRequest,
  room: Pick<ClassPlan, 'people' | 'changeOverSeconds'>,
): Block[] {
  const every = request.restEverySeconds ?? 900;
  const seconds = request.restSeconds ?? 60;
  let worked = 0;
  let rests = 0;
  return blocks.flatMap((block): Block[] => {
    const rest: Block[] =
      seconds > 0 && worked >= every
        ? [{ kind: 'rest', id: `rest-${++rests}`, title: 'Water', note: '', why: '', seconds }]
        : [];
    if (rest.length > 0) worked = 0;
    worked += blockTime(block, room).total;
    return [...rest, block];
  });
}
