import type { Chain } from '../../model/chain.ts';
import type { Ending } from '../../model/ending.ts';
import type { Exchange } from '../../model/exchange.ts';
import { exchangeKey } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import { lowerFirst } from '../../model/letterCase.ts';
import { ENTITY_SCHEMAS, type GuardMap, LIST_OF, MAP_FORMAT, MapSchema } from '../../model/map.ts';
import type { Mechanic } from '../../model/mechanic.ts';
import type { Move } from '../../model/move.ts';
import type { Fault } from '../../model/notes.ts';
import type { Opponent, Tendency } from '../../model/opponent.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { Position, System } from '../../model/position.ts';
import type { Reaction } from '../../model/reaction.ts';
import type { Scenario } from '../../model/scenario.ts';
import { defineDocument, type EntityKindDefinition, type Reference } from '../defineDocument.ts';
import { repeatedIds } from '../repeatedIds.ts';

type Path = (string | number)[];

const list = <K extends keyof typeof LIST_OF>(kind: K) => ({
  list: LIST_OF[kind],
  schema: ENTITY_SCHEMAS[kind],
});

/** A landing on a position, as a mention. */
function landing(path: Path, value: Landing | undefined, onLoss: Reference['onLoss']): Reference[] {
  if (!value || isOutcome(value)) return [];
  return [{ path: [...path, 'position'], kind: 'position', id: value.position, onLoss }];
}

const look = (path: Path, position: string, id: string, onLoss: Reference['onLoss']): Reference => ({
  path,
  kind: 'position',
  id: position,
  part: { list: 'looks', id, word: 'look' },
  onLoss,
});
const variant = (path: Path, move: string, id: string, onLoss: Reference['onLoss']): Reference => ({
  path,
  kind: 'move',
  id: move,
  part: { list: 'variants', id, word: 'variant' },
  onLoss,
});
const dropped = (path: Path, kind: string, id: string, drop: Path = path): Reference => ({
  path,
  kind,
  id,
  onLoss: { drop },
});

/** The reactions that faults say they let through. */
const letThrough = (faults: readonly Fault[]): Reference[] =>
  faults.flatMap(({ lets = [] }, i) =>
    lets.map((id, j) => dropped(['faults', i, 'lets', j], 'reaction', id)),
  );

const system: EntityKindDefinition<System> = { ...list('system'), word: 'guard system' };
const mechanic: EntityKindDefinition<Mechanic> = {
  ...list('mechanic'),
  references: ({ faults }) => letThrough(faults),
  check: (_, { faults }) => repeatedIds([[['faults'], faults]]),
};
const reaction: EntityKindDefinition<Reaction> = list('reaction');

const position: EntityKindDefinition<Position> = {
  ...list('position'),
  references: ({ systems, looks, drift, faults }) => [
    ...letThrough(faults),
    ...systems.map((id, i) => dropped(['systems', i], 'system', id)),
    ...looks.flatMap(({ reactions }, i) =>
      reactions.map(({ id }, j) =>
        dropped(['looks', i, 'reactions', j, 'id'], 'reaction', id, ['looks', i, 'reactions', j]),
      ),
    ),
    ...landing(['drift'], drift, { drop: ['drift'] }),
  ],
  check: (_, { looks, holds, topHolds, faults }) =>
    repeatedIds([
      [['looks'], looks],
      [['holds'], holds],
      [['topHolds'], topHolds],
      [['faults'], faults],
    ]),
};

const move: EntityKindDefinition<Move> = {
  ...list('move'),
  references: (value) => [
    { path: ['position'], kind: 'position', id: value.position, onLoss: 'remove' },
    look(['look'], value.position, value.look, 'remove'),
    ...(value.houseVariant
      ? [variant(['houseVariant'], value.id, value.houseVariant, { drop: ['houseVariant'] })]
      : []),
    ...value.requires.flatMap((need, i): Reference[] => {
      if ('position' in need)
        return [dropped(['requires', i, 'position'], 'position', need.position, ['requires', i])];
      const [kind, id] =
        'move' in need ? (['move', need.move] as const) : (['mechanic', need.mechanic] as const);
      return [dropped(['requires', i, kind], kind, id, ['requires', i])];
    }),
    ...value.mechanics.map((id, i) => dropped(['mechanics', i], 'mechanic', id)),
    ...value.escapes.map((id, i) => dropped(['escapes', i], 'move', id)),
    ...letThrough(value.faults),
  ],
  check: (_, { variants, steps, faults }) =>
    repeatedIds([
      [['variants'], variants],
      [['steps'], steps],
      [['faults'], faults],
      ...variants.map((item, i): [Path, typeof item.steps] => [['variants', i, 'steps'], item.steps]),
    ]),
};

const exchange: EntityKindDefinition<Exchange> = {
  ...list('exchange'),
  word: 'answer',
  references: (value) => [
    { path: ['move'], kind: 'move', id: value.move, onLoss: 'remove' },
    ...(value.reaction === 'none'
      ? []
      : [
          {
            path: ['reaction', 'id'],
            kind: 'reaction',
            id: value.reaction.id,
            onLoss: 'remove',
          } satisfies Reference,
        ]),
    ...(value.variant ? [variant(['variant'], value.move, value.variant, 'remove')] : []),
    ...landing(['to'], value.to, 'remove'),
    // Without it the exchange falls back to its own position.
    ...landing(['otherwise'], value.otherwise, { drop: ['otherwise'] }),
  ],
  check: (map: GuardMap, value) => {
    const key = exchangeKey(value);
    const twin = indexMap(map)
      .exchangesOf(value.move)
      .find((other) => other.id !== value.id && exchangeKey(other) === key);
    return twin ? [{ path: [], message: `this move already answers this reaction in "${twin.id}"` }] : [];
  },
  nameOf: (map: GuardMap, { move: moveId, reaction: met }) => {
    const index = indexMap(map);
    const name = index.move.get(moveId)?.name ?? moveId;
    if (met === 'none') return `${name} when top does nothing`;
    return `${name} when top ${lowerFirst(index.reaction.get(met.id)?.name ?? met.id)}`;
  },
};

const ending: EntityKindDefinition<Ending> = {
  ...list('ending'),
  references: ({ moves }) => moves.map((id, i) => dropped(['moves', i], 'move', id)),
  check: (_, { holds, topHolds }) =>
    repeatedIds([
      [['holds'], holds],
      [['topHolds'], topHolds],
    ]),
};

const chain: EntityKindDefinition<Chain> = {
  ...list('chain'),
  references: ({ exchanges }) =>
    exchanges.map((turn, i): Reference => {
      const path = ['exchanges', i];
      if (typeof turn === 'string') return { path, kind: 'exchange', id: turn, onLoss: 'remove' };
      return 'waits' in turn
        ? { path: [...path, 'waits'], kind: 'position', id: turn.waits, onLoss: 'remove' }
        : { path: [...path, 'exchange'], kind: 'exchange', id: turn.exchange, onLoss: 'remove' };
    }),
};

const opponent: EntityKindDefinition<Opponent> = {
  ...list('opponent'),
  references: ({ tendencies }) =>
    tendencies.flatMap(({ position: at, look: seen, reactions }, i) => [
      dropped(['tendencies', i, 'position'], 'position', at, ['tendencies', i]),
      look(['tendencies', i, 'look'], at, seen, { drop: ['tendencies', i] }),
      ...reactions.map(({ id }, j) =>
        dropped(['tendencies', i, 'reactions', j, 'id'], 'reaction', id, ['tendencies', i, 'reactions', j]),
      ),
    ]),
  tidy: (value) => ({ ...value, tendencies: value.tendencies.flatMap(wholeShares) }),
  nameOf: (_, { alias }) => alias,
};

/** Shares that sum to one, what is left of them taken for the whole; none where nothing is left. */
function wholeShares(tendency: Tendency): Tendency[] {
  const sum = tendency.reactions.reduce((total, { share }) => total + share, 0);
  if (Math.abs(sum - 1) < 1e-9) return [tendency];
  if (sum === 0) return [];
  return [{ ...tendency, reactions: tendency.reactions.map((ref) => ({ ...ref, share: ref.share / sum })) }];
}

const scenario: EntityKindDefinition<Scenario> = {
  ...list('scenario'),
  word: 'what-if',
  references: (value) => [
    ...value.forbiddenMoves.map((id, i) => dropped(['forbiddenMoves', i], 'move', id)),
    ...value.forbiddenReactions.map((id, i) => dropped(['forbiddenReactions', i], 'reaction', id)),
    ...value.chances.map((change, i) =>
      dropped(['chances', i, 'exchange'], 'exchange', change.exchange, ['chances', i]),
    ),
    ...(value.opponent ? [dropped(['opponent'], 'opponent', value.opponent)] : []),
  ],
};

/** The map of guard systems. */
export const mapDocument = defineDocument<GuardMap>()({
  kind: 'map',
  format: MAP_FORMAT,
  schema: MapSchema,
  head: { name: 'name of the map', note: 'note of the map', settings: 'settings of the map' },
  summary: ['name'],
  entities: { system, mechanic, reaction, position, move, exchange, ending, chain, opponent, scenario },
  fieldWords: {
    to: 'landing',
    otherwise: 'where it fails to',
    seconds: 'time',
    needsHolds: 'holds needed',
    topHolds: 'holds of top',
    entry: 'how often rounds start here',
    rest: 'points for waiting',
    fits: 'builds',
    houseVariant: 'our variation',
    falsePositives: 'fake success',
    stops: 'steps that happen',
    noGi: 'without the jacket',
    short: 'short name',
    shortMirrored: 'short name when mirrored',
    foundation: 'taught first',
    loads: 'joints loaded',
    lets: 'what it lets top do',
    topSees: 'what top sees',
    said: 'words for a class',
    sameMove: 'mark as instead of the move',
    test: 'honest test',
    fall: 'fall of top',
    escapes: 'ways out',
    tap: 'when to tap',
    usual: 'usual name',
  },
  valueWords: (field, value) => {
    if (field === 'chance' && typeof value === 'number') return `${Math.round(value * 1000) / 10} %`;
    if (field === 'direction' && typeof value === 'number') return `${value}°`;
    return undefined;
  },
});
