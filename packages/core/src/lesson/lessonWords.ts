import { reactionName } from '../body/landingWords.ts';
import { translateApparel } from '../body/translateApparel.ts';
import { holdWords, joinWords, wordContext } from '../body/words.ts';
import type { LessonStep } from '../model/classPlan.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Position } from '../model/position.ts';
import type { Apparel } from '../model/primitives.ts';
import { reactionWords } from '../model/reactionWords.ts';
import { signOf } from '../model/signs.ts';
import { signedPoints } from '../weigh/pointsText.ts';
import type { TaughtMove } from './chooseRepertoire.ts';

/** A move of a lesson with its words, as a class keeps it. */
export function stepWords(map: GuardMap, step: TaughtMove): LessonStep {
  const { name } = indexMap(map).move.get(step.move)!;
  return { move: step.move, name, part: step.part, adds: step.adds, why: whyWords(map, step) };
}

/** So many holds are said of a start. */
const SAID = 4;

/** Where and how a round or a task starts: the position, and what bottom holds. */
export function startWords(start: Position, apparel: Apparel): string {
  const { holds } = translateApparel(start, apparel).position;
  const context = wordContext(start);
  const held = holds.slice(0, SAID).map((hold) => holdWords(hold, context));
  return `Start: ${start.name}${held.length > 0 ? `. Bottom: ${joinWords(held)}` : ''}.`;
}

/** What top wants from a start: to pass, or, where top is down already, to get out of it. */
export function topAim({ signs }: Position): { scores: string; tries: string } {
  const stance = signOf(signs, 'top.stance');
  if (stance === 'on-back')
    return { scores: 'getting out from under', tries: 'Get out from under, or turn them over.' };
  if (stance === 'seated')
    return { scores: 'getting free and coming up on top', tries: 'Get free, and come up on top.' };
  return { scores: 'passing', tries: 'Pass, or get clear of the guard.' };
}

/** What calls for a move. */
export const calledBy = (map: GuardMap, { trigger }: TaughtMove): string =>
  trigger ? reactionName(map, trigger.reaction) : 'At the start';

/** "Top stands up in one of three: worth +0.11 more." */
export function whyWords(map: GuardMap, step: TaughtMove): string {
  const adds = step.adds >= 0.005 ? `worth ${signedPoints(step.adds)} more` : 'the way to what follows';
  if (!step.trigger) return `${capital(adds)}.`;
  const { feel } = reactionWords(map, indexMap(map).move.get(step.move)!, step.trigger.reaction);
  const felt = feel ? ` Felt by: ${lower(feel)}` : '';
  return `Top ${lower(reactionName(map, step.trigger.reaction))} ${rateText(step.trigger.share)}: ${adds}.${felt}`.slice(
    0,
    400,
  );
}

/** "one time in three", "two times in three". */
export function rateText(share: number): string {
  if (share >= 0.9) return 'nearly always';
  if (share >= 0.75) return 'most of the time';
  if (share >= 0.6) return 'two times in three';
  return `one time in ${['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'][Math.min(10, Math.max(2, Math.round(1 / Math.max(share, 0.1))))]}`;
}

/** A title that fits. */
export const clip = (text: string): string => (text.length > 120 ? `${text.slice(0, 119)}…` : text);
export const lower = (text: string): string =>
  /^[A-Z][a-z]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
