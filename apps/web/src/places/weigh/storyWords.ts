import { answerName, landingWords, OUTCOME_WORDS, placeName, reactionName } from '@aftersquall/core/body';
import {
  type Exchange,
  type GuardMap,
  indexMap,
  lowerFirst,
  type Outcome,
  roundsWords,
} from '@aftersquall/core/model';
import { type End, type RoundStory, smallPointsText, type Weighing } from '@aftersquall/core/weigh';
import { holePhrase, hurtPhrase } from '../../components/roundPhrases.ts';
import { say } from './words.ts';

export const endWords = (end: End): string =>
  end === 'time' ? 'time runs out' : end === 'stuck' ? 'nothing more to do' : OUTCOME_WORDS[end];

const SHORT: Partial<Record<End, string>> = {
  'top-side': 'side control',
  'top-mount': 'mount',
  'top-guard': 'on top, in guard',
  neutral: 'apart',
  entangled: 'entangled',
  recovered: 'recovered',
  passed: 'passed',
  time: 'time out',
  stuck: 'stuck',
};
/** The same where there is little room. */
export const shortEndWords = (end: End): string => SHORT[end] ?? endWords(end);

/** What a round lives on, as a sentence. */
export function livesOnWords(map: GuardMap, { move }: RoundStory['livesOn'][number]): string {
  const index = indexMap(map);
  const known = index.move.get(move)!;
  return say.withoutRoundLosesMuch(known.name, index.position.get(known.position)!.name);
}

/** An outcome as what a round ends in: "end on the back", "end with a submission". */
const endingWords = (to: Outcome): string =>
  to === 'submission'
    ? 'with a submission'
    : to === 'top-knee-on-belly'
      ? 'with knee on belly'
      : OUTCOME_WORDS[to];

/** What the best way through brings, as a sentence. */
export function wayWords({ chance, countered, to }: NonNullable<RoundStory['way']>): string {
  const of = (share: number) => `${Math.round(share * 100)} in a hundred`;
  const bad = countered >= 0.005 ? `; ${of(countered)} are passed, swept or caught on the way` : '';
  return say.ifKeepEnd(of(chance), endingWords(to), bad);
}

export function hurtWords(map: GuardMap, { position, reaction, rate }: RoundStory['hurts'][number]): string {
  const at = indexMap(map).position.get(position)!;
  return `Top ${lowerFirst(reactionName(map, reaction, at))} in “${at.name}”, ${roundsWords(rate)}.`;
}

export function holeWords(
  map: GuardMap,
  { position, move, reaction }: NonNullable<RoundStory['hole']>,
): string {
  const index = indexMap(map);
  const met = reaction
    ? `top ${lowerFirst(reactionName(map, reaction, index.position.get(position)))}`
    : 'top does anything';
  return `“${index.move.get(move)!.name}” in “${index.position.get(position)!.name}” when ${met}.`;
}

/** One step of a way by an exchange of it: where, what is done, what it is met with, where it leads. */
export function stepWords(map: GuardMap, id: string) {
  const index = indexMap(map);
  const exchange = index.exchange.get(id)!;
  const position = index.position.get(index.move.get(exchange.move)!.position)!;
  const { move: done, meets } = answerName(map, exchange);
  return {
    position,
    name: done,
    met: meets ? `top ${lowerFirst(meets)}` : 'top does nothing',
    landing: landingWords(map, exchange.to, position),
  };
}

/** An answer as what is drilled: “Hips away” when top crossfaces. */
function drillWords(map: GuardMap, exchange: Exchange): string {
  const { move, meets } = answerName(map, exchange);
  return `“${move}” ${meets ? `when top ${lowerFirst(meets)}` : 'when top does nothing'}`;
}

/** A round in five sentences, each with the position it is about. */
export function roundSentences(
  map: GuardMap,
  { livesOn, hurts, hole }: Pick<RoundStory, 'livesOn' | 'hurts' | 'hole'>,
  { drills, guessed }: Pick<Weighing, 'drills' | 'guessed'>,
): { words: string; position?: string }[] {
  const index = indexMap(map);
  const placeOf = (id: string) => placeName(index.position.get(id)!);
  const [carrier] = livesOn;
  const [hurt] = hurts;
  const [drill] = drills;
  const drilled = drill && index.exchange.get(drill.exchange)!;
  const carried = carrier && index.move.get(carrier.move)!;
  return [
    carrier && carried
      ? {
          words: say.carries(carried.name, placeOf(carried.position), smallPointsText(carrier.loss)),
          position: carried.position,
        }
      : { words: say.noSingleMoveWithout },
    hurt
      ? { words: say.hurtsMost(hurtPhrase(map, hurt), smallPointsText(hurt.cost)), position: hurt.position }
      : { words: say.nothingTopDoesHurts },
    hole
      ? { words: say.closeHole(holePhrase(map, hole), smallPointsText(hole.stake)), position: hole.position }
      : { words: say.noAnswerHereWould },
    drill && drilled
      ? {
          words: say.drillFirst(drillWords(map, drilled), smallPointsText(drill.worth)),
          position: index.move.get(drilled.move)!.position,
        }
      : { words: say.nothingToDrill },
    { words: say.restsOn(Math.round(guessed * 10)) },
  ];
}
