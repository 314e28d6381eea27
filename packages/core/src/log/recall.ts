import { answerName, doneName } from '../body/answerName.ts';
import { landingWords } from '../body/landingWords.ts';
import { seeded } from '../game/seeded.ts';
import { type Memory, practised, retained } from '../lesson/practise/memory.ts';
import { timesInTen } from '../model/countWords.ts';
import { type Basis, type Exchange, notesOf } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { RecallPast } from '../model/practice.ts';
import { reactionKey } from '../model/reaction.ts';

/** What may be answered: a move, by what is done of it here. */
interface RecallChoice {
  move: string;
  name: string;
  right: boolean;
  /** Where it leads and how often, with what the coach wrote beside it; nothing where it is no answer. */
  why: string;
}

/** A question of the quiz: here we are, top did that: what now? */
export interface RecallCard {
  exchange: string;
  /** Where it is asked, by id. */
  position: string;
  meets: string;
  /** What can be tapped; several may be right. */
  choices: RecallChoice[];
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
/** What works less often than this is not asked: nobody should learn it as the answer. */
const LEAST_CHANCE = 0.3;
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
    ({ move, chance }) => chance >= LEAST_CHANCE && index.movesOf(index.move.get(move)!.position).length > 1,
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
  const answers = index.movesOf(position).map((move) => {
    const best = index
      .exchangesOf(move.id)
      .filter(({ reaction }) => reactionKey(reaction) === key)
      .reduce<Exchange | undefined>((a, b) => (a && a.chance >= b.chance ? a : b), undefined);
    const name = best ? doneName(map, best) : move.name;
    return { move: move.id, name, best, luck: random() };
  });
  const asGood = ({ best }: (typeof answers)[number]): boolean =>
    best !== undefined && best.chance >= exchange.chance - AS_GOOD;
  const shuffled = answers.sort((a, b) => a.luck - b.luck);
  // What is called the same is offered once, and never as wrong where it is right as well.
  const right = unlike(
    shuffled.filter(asGood).sort((a, b) => Number(b.best === exchange) - Number(a.best === exchange)),
  );
  const wrong = unlike(shuffled.filter((one) => !asGood(one))).filter(
    ({ name }) => !right.some((one) => one.name === name),
  );
  // The best answer always, others that are as good only where too little is wrong.
  const shown = [...right.slice(0, Math.max(1, CHOICES - wrong.length)), ...wrong].slice(0, CHOICES);
  return {
    exchange: exchange.id,
    position,
    meets: answerName(map, exchange).meets,
    choices: shown
      .map(({ move, name, best, ...one }) => ({
        move,
        name,
        right: asGood({ move, name, best, ...one }),
        why: best ? whyOf(map, best) : '',
        luck: random(),
      }))
      .sort((a, b) => a.luck - b.luck)
      .map(({ luck: _, ...choice }) => choice),
  };
}

/** The first of those that are called the same. */
const unlike = <T extends { name: string }>(all: readonly T[]): T[] =>
  all.filter(({ name }, i) => all.findIndex((other) => other.name === name) === i);

/** Where an answer leads and how often, with what the coach wrote beside it, in sentences. */
function whyOf(map: GuardMap, exchange: Exchange): string {
  const index = indexMap(map);
  const { landing, failing } = notesOf(exchange);
  const at = index.position.get(index.move.get(exchange.move)!.position);
  return [
    `${doneName(map, exchange)}: ${landingWords(map, exchange.to, at)}. Works ${timesInTen(exchange.chance)} (${BASIS_WORDS[exchange.basis ?? 'coach']}).`,
    landing && sentence(landing),
    failing && sentence(`If not: ${failing}`),
  ]
    .filter(Boolean)
    .join(' ');
}

/** Whose figure it is, for an athlete. */
const BASIS_WORDS: Record<Basis, string> = {
  coach: 'your guess',
  logged: 'counted in class',
  blended: 'guess and count together',
};

const sentence = (text: string): string =>
  `${text[0]!.toUpperCase()}${text.slice(1)}${/[.!?]$/.test(text) ? '' : '.'}`;
