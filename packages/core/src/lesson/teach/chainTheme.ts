import { landingWords } from '../../body/landingWords.ts';
import { exchangeOf, failsIn, turnIn } from '../../model/chainTurn.ts';
import { indexMap } from '../../model/indexMap.ts';
import { isOutcome } from '../../model/outcome.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import type { ChainStep, Taught, Theme } from './chooseTheme.ts';
import { defends, type Teachable } from './technique.ts';

/** Where a chain begins. @throws RangeError where that is not in the map any more */
export function startOfChain({ map, chain }: Pick<LessonRequest, 'map' | 'chain'>): string {
  const [first] = chain?.turns ?? [];
  const found = first && turnIn(map, first);
  if (!found)
    throw new RangeError('The start of the chain is no longer in the map. Keep the chain again in Read.');
  return found.at;
}

/**
 * A class along a chain: each turn by itself, the chain's own reaction as its call, then joined to the one before; from
 * the end the last one comes first. A chain that stops in a position goes on to the plainest end from there.
 * @throws RangeError where a turn is not for this class: it says which one and what to do
 */
export function chainTheme(
  teach: Teachable,
  { turns, backward = false }: NonNullable<LessonRequest['chain']>,
): Theme {
  const { map, techniques, at: placed } = teach;
  const index = indexMap(map);
  const steps: ChainStep[] = [];
  let waits: string | undefined;
  for (const turn of turns) {
    const found = turnIn(map, turn);
    if (!found)
      throw new RangeError('An answer of the chain is no longer in the map. Keep the chain again in Read.');
    const exchange = index.exchange.get(exchangeOf(turn) ?? '');
    if (!exchange) {
      waits = landingWords(map, found.to);
      continue;
    }
    const technique = techniques.find(({ rows }) => rows.some((row) => row.exchange.id === exchange.id));
    const row = technique?.rows.find((one) => one.exchange.id === exchange.id);
    if (!technique || !row)
      throw new RangeError(
        `“${index.move.get(exchange.move)!.name}” is not for this class, by its level, its apparel or its rules. Start the chain after it, or choose a higher level.`,
      );
    steps.push({ technique, row, fails: failsIn(turn), waits });
    waits = undefined;
  }
  const last = steps.at(-1);
  if (!last) throw new RangeError('The chain only waits: keep one with an answer in it.');
  const landing = last.fails ? last.row.otherwise : last.row.to;
  const [end] =
    landing && !isOutcome(landing)
      ? placed(landing.position)
          .filter(({ variant, clean, base }) => !variant && clean && isOutcome(base.to))
          .sort((a, b) => b.base.chance - a.base.chance)
      : [];
  if (end) steps.push({ technique: end, row: end.base, fails: false, waits });
  const main = steps.at(-1)!.technique;
  const order: Taught[] = [];
  for (const [i, { technique, row }] of steps.entries()) {
    if (order.some((one) => one.technique === technique)) continue;
    order.push({
      technique,
      role: technique === main ? 'main' : 'follow-up',
      call: row.key === 'none' || !row.whole ? undefined : row,
      from: steps[i - 1]?.technique,
    });
  }
  return {
    taught: backward ? order.reverse() : order,
    set: order.map(({ technique }) => technique),
    main,
    wayIn: undefined,
    defence: [],
    next: undefined,
    known: [],
    defends: defends(teach, steps[0]!.technique.at),
    chain: { steps, backward },
  };
}
