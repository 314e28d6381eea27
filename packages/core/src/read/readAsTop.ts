import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Reaction, ReactionRef } from '../model/reaction.ts';
import { type ReadOption, type ReadRequest, readReaction } from './readReaction.ts';

/** What one reaction of top leaves bottom with. */
export interface TopOption {
  ref: ReactionRef;
  reaction: Reaction;
  /** What the position expects; otherwise it is from the rest of the catalogue. */
  listed: boolean;
  /** Bottom's best ready answer; undefined where the map has none: that hurts most. */
  best?: ReadOption;
  /** 1 minus the chance of the best ready answer. */
  hurt: number;
  /** How many holds of bottom it breaks. */
  breaks: number;
}

/**
 * The same moment read as top: every reaction that the position expects, or with `all` the whole catalogue, the one
 * that hurts bottom most first. Ties: more holds broken, then id.
 */
export function readAsTop(map: GuardMap, request: ReadRequest, all = false): TopOption[] {
  const { nearest } = readReaction(map, request);
  const listed = new Map<string, ReactionRef>();
  for (const { position, mirrored } of nearest.slice(0, 1)) {
    for (const look of position.looks) {
      for (const { id, mirrored: turned } of look.reactions) {
        const other = Boolean(turned) !== mirrored;
        listed.set(`${other ? '~' : ''}${id}`, { id, ...(other && { mirrored: true }) });
      }
    }
  }
  const rest = all
    ? map.reactions
        .map(({ id }): ReactionRef => ({ id }))
        .filter(({ id }) => !listed.has(id) && !listed.has(`~${id}`))
    : [];
  return [...listed.values(), ...rest]
    .map((ref): TopOption => {
      const { options, broken } = readReaction(map, { ...request, reaction: ref });
      const best = options.find(({ rank, legal, exchange }) => rank === 'ready' && legal && exchange);
      return {
        ref,
        reaction: indexMap(map).reaction.get(ref.id)!,
        listed: !rest.includes(ref),
        ...(best && { best }),
        hurt: 1 - (best?.chance ?? 0),
        breaks: broken.length,
      };
    })
    .sort((a, b) => b.hurt - a.hurt || b.breaks - a.breaks || (a.ref.id < b.ref.id ? -1 : 1));
}
