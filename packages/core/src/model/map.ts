import { z } from 'zod';
import { ChainSchema } from './chain.ts';
import { EndingSchema } from './ending.ts';
import { ExchangeSchema } from './exchange.ts';
import { MechanicSchema } from './mechanic.ts';
import { MoveSchema } from './move.ts';
import { OpponentSchema } from './opponent.ts';
import { PositionSchema, SystemSchema } from './position.ts';
import { ContinuationSchema, IdSchema, NameSchema, TextSchema } from './primitives.ts';
import { ReactionSchema } from './reaction.ts';
import { ScenarioSchema } from './scenario.ts';

export const MAP_FORMAT = 'aftersquall-map';
export const MAP_VERSION = 1;

/** What the map takes for granted where nothing more exact is said. */
const MapSettingsSchema = z.strictObject({
  roundPace: z.number().positive().max(600).default(8),
  continuation: ContinuationSchema.default(0.92),
  rest: z.number().min(-100).max(100).default(0),
  submissionWorth: z.number().min(0).max(100).default(8),
  resetSeconds: z.number().min(0).max(600).default(6),
  coldStartSeconds: z.number().min(0).max(600).default(6),
});

/** The parts of a map that are kept as lists of things with ids, in the order in which they are written. */
export const ENTITY_SCHEMAS = {
  system: SystemSchema,
  mechanic: MechanicSchema,
  reaction: ReactionSchema,
  position: PositionSchema,
  move: MoveSchema,
  exchange: ExchangeSchema,
  ending: EndingSchema,
  chain: ChainSchema,
  opponent: OpponentSchema,
  scenario: ScenarioSchema,
} as const;
export type EntityKind = keyof typeof ENTITY_SCHEMAS;
export const ENTITY_KINDS = Object.keys(ENTITY_SCHEMAS) as EntityKind[];
export type EntityOf<K extends EntityKind> = z.infer<(typeof ENTITY_SCHEMAS)[K]>;

/** The name of the list that holds a kind. */
export const LIST_OF = {
  system: 'systems',
  mechanic: 'mechanics',
  reaction: 'reactions',
  position: 'positions',
  move: 'moves',
  exchange: 'exchanges',
  ending: 'endings',
  chain: 'chains',
  opponent: 'opponents',
  scenario: 'scenarios',
} as const satisfies Record<EntityKind, string>;

/** The document a coach keeps. People, logs, classes and rules profiles are the club's and are not in it. */
export const MapSchema = z.strictObject({
  format: z.literal(MAP_FORMAT),
  version: z.literal(MAP_VERSION),
  id: IdSchema,
  name: NameSchema,
  note: TextSchema.default(''),
  settings: MapSettingsSchema.default(() => MapSettingsSchema.parse({})),
  systems: z.array(SystemSchema).default([]),
  mechanics: z.array(MechanicSchema).default([]),
  reactions: z.array(ReactionSchema).default([]),
  positions: z.array(PositionSchema).default([]),
  moves: z.array(MoveSchema).default([]),
  exchanges: z.array(ExchangeSchema).default([]),
  endings: z.array(EndingSchema).default([]),
  chains: z.array(ChainSchema).default([]),
  opponents: z.array(OpponentSchema).default([]),
  scenarios: z.array(ScenarioSchema).default([]),
});
export type GuardMap = z.infer<typeof MapSchema>;
/** A map as it may be written by hand, with defaults left out. */
export type GuardMapInput = z.input<typeof MapSchema>;

/** A map with nothing in it yet. */
export function emptyMap(id: string, name: string): GuardMap {
  return MapSchema.parse({ format: MAP_FORMAT, version: MAP_VERSION, id, name });
}
