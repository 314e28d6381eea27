import { landingWords, reactionName } from '../body/landingWords.ts';
import { seeded } from '../game/seeded.ts';
import { type Memory, practised, retained } from '../lesson/memory.ts';
import { type Exchange, notesOf } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { RecallPast } from '../model/practice.ts';
import { reactionKey } from '../model/reaction.ts';
import { answerName } from './answerName.ts';

/** A question of the quiz: here we are, top did that: what now? */
export interface RecallCard {
  exchange: string;
  /** Where it is asked, by id. */
  position: string;
  meets: string;
  /** What can be tapped; several may be right. */
  choices: { move: string; name: string; right: boolean }[];
  /** Why, in a sentence. */
  why: string;
}

interface Request {
  /** The day, year-month-day. */
  date: string;
  count: number;
  /** What was answered before. */
  history: RecallPast['recalled'];
  /** What was taught: it is asked first; everything where nothing was. */
  taught: ReadonlySet<string>;
  seed: number;
}

/** An answer this much less likely than the best is right as well. */
const AS_GOOD = 0.05;
const CHOICES = 4;
/** What was never asked comes after what is forgotten and before what is known. */
const NEVER_ASKED = 0.6;

/** The cards of one sitting: what is most forgotten first, by the same memory model as everything that was taught. */
export function recallCards(map: GuardMap, { date, count, history, taught, seed }: Request): RecallCard[] {
  const random = seeded(seed);
  const memories = new Map<string, Memory>();
  for (const { exchange, date: day, right, asked } of [...history].sort((a, b) => (a.date < b.date ? -1 : 1)))
    memories.set(exchange, practised(memories.get(exchange), day, right * 2 >= asked ? 'held' : 'lost'));
  const index = indexMap(map);
  /** One question for each position and reaction: by the best of its answers. */
  const questions = new Map<string, Exchange>();
  for (const exchange of map.exchanges) {
    const move = index.move.get(exchange.move);
    if (!move || exchange.reaction === 'none') continue;
    const key = `${move.position} ${reactionKey(exchange.reaction)}`;
    const known = questions.get(key);
    if (!known || exchange.chance > known.chance) questions.set(key, exchange);
  }
  const asked = [...questions.values()].filter(
    ({ move }) => index.movesOf(index.move.get(move)!.position).length > 1,
  );
  const wanted = asked.filter(({ id }) => taught.has(id));
  return (
    (wanted.length > 0 ? wanted : asked)
      .map((exchange) => {
        const memory = memories.get(exchange.id);
        return { exchange, order: memory ? retained(memory, date) : NEVER_ASKED, luck: random() };
      })
      .sort((a, b) => a.order - b.order || a.luck - b.luck)
      .map(({ exchange }) => cardOf(map, exchange, random))
      // Where everything is right there is nothing to ask.
      .filter(({ choices }) => choices.some(({ right }) => !right))
      .slice(0, count)
  );
}

function cardOf(map: GuardMap, exchange: Exchange, random: () => number): RecallCard {
  const index = indexMap(map);
  const { position } = index.move.get(exchange.move)!;
  const key = reactionKey(exchange.reaction);
  const chanceOf = (move: string): number =>
    Math.max(
      -1,
      ...index
        .exchangesOf(move)
        .filter(({ reaction }) => reactionKey(reaction) === key)
        .map(({ chance }) => chance),
    );
  const moves = index.movesOf(position).map(({ id, name }) => ({ move: id, name, chance: chanceOf(id) }));
  const best = Math.max(...moves.map(({ chance }) => chance));
  const isRight = ({ chance }: (typeof moves)[number]) => chance >= best - AS_GOOD && chance >= 0;
  const shuffled = moves.map((one) => ({ ...one, luck: random() })).sort((a, b) => a.luck - b.luck);
  const right = shuffled.filter(isRight);
  const wrong = shuffled.filter((one) => !isRight(one));
  // At least one right answer, the rest as it falls.
  const shown = [...right.slice(0, Math.max(1, CHOICES - wrong.length)), ...wrong].slice(0, CHOICES);
  const { move } = answerName(map, exchange);
  return {
    exchange: exchange.id,
    position,
    meets: exchange.reaction === 'none' ? '' : reactionName(map, exchange.reaction),
    choices: shown
      .map((one) => ({ move: one.move, name: one.name, right: isRight(one), luck: random() }))
      .sort((a, b) => a.luck - b.luck)
      .map(({ luck: _, ...choice }) => choice),
    why: whyOf(map, exchange, move),
  };
}

/** Where the answer leads and how often, with what the coach wrote beside it, in sentences. */
function whyOf(map: GuardMap, exchange: Exchange, move: string): string {
  const { landing, failing } = notesOf(exchange);
  return [
    `${move}: ${landingWords(map, exchange.to)}, ${Math.round(exchange.chance * 100)} % by the coach.`,
    landing && sentence(landing),
    failing && sentence(`If not: ${failing}`),
  ]
    .filter(Boolean)
    .join(' ');
}

const sentence = (text: string): string =>
  `${text[0]!.toUpperCase()}${text.slice(1)}${/[.!?]$/.test(text) ? '' : '.'}`;
