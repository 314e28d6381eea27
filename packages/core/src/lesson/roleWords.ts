import type { Exchange } from '../model/exchange.ts';
import type { HazardTag } from '../model/hazards.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome } from '../model/outcome.ts';
import { reactionWords } from '../model/reactionWords.ts';

/** Attacks that twist the leg: caught and released, below light resistance never finished. */
const TWISTS: readonly HazardTag[] = ['heel-hook', 'knee-reap', 'toe-hold'];

/** How an attack is practised safely; nothing where none is. */
export function careWords(hazards: readonly HazardTag[]): string {
  if (hazards.some((tag) => TWISTS.includes(tag)))
    return 'Catch and release: no twist is finished. Turn with it, never against it; tap early.';
  return hazards.length > 0 ? 'Finish slowly; let go at the tap, by hand, foot or voice.' : '';
}

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
  return {
    bottom: [...(bottomFirst ? [bottomFirst] : []), ...cues, careWords(hazards)].filter(Boolean).join(' '),
    top: [...new Set(scripts), ...falls].join(' ') || 'Give good posture and honest weight; nothing more.',
    hazards,
  };
}
