import type { Exchange } from '../../model/exchange.ts';
import type { HazardTag } from '../../model/hazards.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { isOutcome } from '../../model/outcome.ts';
import { reactionWords } from '../../model/reactionWords.ts';

/** Attacks that twist the leg: caught and released, below light resistance never finished. */
const TWISTS: readonly HazardTag[] = ['heel-hook', 'knee-reap', 'toe-hold'];

/** How attacks are practised safely, to who attacks and to who is caught; nothing where there is none. */
export function careWords(hazards: readonly HazardTag[]): { attacking: string; caught: string } {
  if (hazards.length === 0) return { attacking: '', caught: '' };
  const twists = hazards.some((tag) => TWISTS.includes(tag));
  return {
    attacking: `Finish slowly; let go at the tap, by hand, foot or voice.${twists ? ' A twist is caught and released, never finished.' : ''}`,
    caught: `Caught: tap early.${twists ? ' Turn with a twist, never against it.' : ''}`,
  };
}

/** With a full stop, where it has none. */
const sentence = (text: string): string => (/[.!?][”"]?$/.test(text) ? text : `${text}.`);
/** What there is of some sentences, one after the other. */
export const sentences = (...texts: readonly (string | undefined)[]): string =>
  texts.flatMap((text) => (text?.trim() ? [sentence(text.trim())] : [])).join(' ');

/** What each partner does in some exchanges, and the hazards that come with them. */
export function roleWords(map: GuardMap, exchanges: readonly Exchange[], bottomFirst?: string) {
  const index = indexMap(map);
  const moves = exchanges.map(({ move }) => index.move.get(move)!);
  const cues = [...new Set(moves.flatMap((move) => move.cues.slice(0, 1)))];
  const scripts = exchanges.flatMap(({ reaction, move }) => {
    const known = reaction === 'none' ? undefined : index.reaction.get(reaction.id);
    if (!known || reaction === 'none') return [];
    const { script } = reactionWords(map, index.move.get(move)!, reaction);
    return [script ? `${known.name}: ${script}` : known.name];
  });
  const falls = exchanges.some(({ to }) => isOutcome(to) && to.outcome.startsWith('top'))
    ? ['Fall with it; do not post a straight arm.']
    : [];
  const hazards = [...new Set(moves.flatMap((move) => move.hazards))];
  const care = careWords(hazards);
  const given = [...new Set(scripts.map(sentence)), ...falls].join(' ');
  return {
    bottom: sentences(bottomFirst, ...cues, care.attacking),
    top: sentences(given || 'Give good posture and honest weight; nothing more.', care.caught),
    hazards,
  };
}
