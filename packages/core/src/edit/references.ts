import { indexMap } from '../model/indexMap.ts';
import type { EntityKind, EntityOf, GuardMap } from '../model/map.ts';
import { LIST_OF } from '../model/map.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';

/** A mention of one thing of the map by another. */
export interface Reference {
  path: (string | number)[];
  kind: EntityKind | 'look' | 'variant';
  id: string;
  /** The position of a look, the move of a variant. */
  owner?: string;
}

const landing = (path: (string | number)[], value: Landing | undefined): Reference[] =>
  value && !isOutcome(value) ? [{ path: [...path, 'position'], kind: 'position', id: value.position }] : [];

const FINDERS: { [K in EntityKind]: (value: EntityOf<K>) => Reference[] } = {
  system: () => [],
  reaction: () => [],
  position: (position) => [
    ...position.systems.map((id, i): Reference => ({ path: ['systems', i], kind: 'system', id })),
    ...position.looks.flatMap((look, i) =>
      look.reactions.map(
        (ref, j): Reference => ({ path: ['looks', i, 'reactions', j, 'id'], kind: 'reaction', id: ref.id }),
      ),
    ),
    ...landing(['drift'], position.drift),
  ],
  move: (move) => [
    { path: ['position'], kind: 'position', id: move.position },
    { path: ['look'], kind: 'look', id: move.look, owner: move.position },
    ...(move.houseVariant
      ? [{ path: ['houseVariant'], kind: 'variant' as const, id: move.houseVariant, owner: move.id }]
      : []),
    ...move.requires.flatMap((need, i): Reference[] => {
      if ('position' in need)
        return [{ path: ['requires', i, 'position'], kind: 'position', id: need.position }];
      if ('move' in need) return [{ path: ['requires', i, 'move'], kind: 'move', id: need.move }];
      return [];
    }),
  ],
  exchange: (exchange) => [
    { path: ['move'], kind: 'move', id: exchange.move },
    ...(exchange.reaction === 'none'
      ? []
      : [{ path: ['reaction', 'id'], kind: 'reaction' as const, id: exchange.reaction.id }]),
    ...(exchange.variant
      ? [{ path: ['variant'], kind: 'variant' as const, id: exchange.variant, owner: exchange.move }]
      : []),
    ...landing(['to'], exchange.to),
    ...landing(['otherwise'], exchange.otherwise),
  ],
  chain: (chain) =>
    chain.exchanges.map((id, i): Reference => ({ path: ['exchanges', i], kind: 'exchange', id })),
  opponent: (opponent) =>
    opponent.tendencies.flatMap((tendency, i): Reference[] => [
      { path: ['tendencies', i, 'position'], kind: 'position', id: tendency.position },
      { path: ['tendencies', i, 'look'], kind: 'look', id: tendency.look, owner: tendency.position },
      ...tendency.reactions.map(
        (ref, j): Reference => ({
          path: ['tendencies', i, 'reactions', j, 'id'],
          kind: 'reaction',
          id: ref.id,
        }),
      ),
    ]),
  scenario: (scenario) => [
    ...scenario.forbiddenMoves.map((id, i): Reference => ({ path: ['forbiddenMoves', i], kind: 'move', id })),
    ...scenario.forbiddenReactions.map(
      (id, i): Reference => ({ path: ['forbiddenReactions', i], kind: 'reaction', id }),
    ),
    ...scenario.chances.map(
      (change, i): Reference => ({ path: ['chances', i, 'exchange'], kind: 'exchange', id: change.exchange }),
    ),
    ...(scenario.opponent ? [{ path: ['opponent'], kind: 'opponent' as const, id: scenario.opponent }] : []),
  ],
};

/** Everything that one thing of the map mentions. */
export function referencesOf<K extends EntityKind>(kind: K, value: EntityOf<K>): Reference[] {
  return FINDERS[kind](value);
}

/** Whether what is mentioned exists in the map. */
export function resolves(map: GuardMap, reference: Reference): boolean {
  const index = indexMap(map);
  switch (reference.kind) {
    case 'look':
      return Boolean(index.position.get(reference.owner!)?.looks.some((look) => look.id === reference.id));
    case 'variant':
      return Boolean(
        index.move.get(reference.owner!)?.variants.some((variant) => variant.id === reference.id),
      );
    case 'chain':
    case 'opponent':
    case 'scenario':
      return map[LIST_OF[reference.kind]].some((item) => item.id === reference.id);
    default:
      return index[reference.kind].has(reference.id);
  }
}
