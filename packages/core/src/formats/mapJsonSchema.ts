import { z } from 'zod';
import { ChainSchema } from '../model/chain.ts';
import { EndingSchema } from '../model/ending.ts';
import { ExchangeSchema } from '../model/exchange.ts';
import { HazardTagSchema } from '../model/hazards.ts';
import { HoldClassSchema, HoldPatternSchema, HoldSchema, TargetSchema } from '../model/hold.ts';
import { MAP_VERSION, MapSchema } from '../model/map.ts';
import { MoveSchema, StepSchema, VariantSchema } from '../model/move.ts';
import { FaultSchema, FitSchema } from '../model/notes.ts';
import { OpponentSchema } from '../model/opponent.ts';
import { LandingSchema } from '../model/outcome.ts';
import { LookSchema, PositionSchema, SystemSchema } from '../model/position.ts';
import { IdSchema, NameSchema } from '../model/primitives.ts';
import { ReactionRefSchema, ReactionSchema } from '../model/reaction.ts';
import { ScenarioSchema } from '../model/scenario.ts';
import { ConditionSchema, SignsSchema } from '../model/signs.ts';

/** The names under which shapes are defined once and referred to. */
const NAMED: Record<string, z.ZodType> = {
  id: IdSchema,
  name: NameSchema,
  hazard: HazardTagSchema,
  target: TargetSchema,
  hold: HoldSchema,
  holdPattern: HoldPatternSchema,
  holdClass: HoldClassSchema,
  signs: SignsSchema,
  condition: ConditionSchema,
  fault: FaultSchema,
  fit: FitSchema,
  landing: LandingSchema,
  system: SystemSchema,
  reaction: ReactionSchema,
  reactionRef: ReactionRefSchema,
  look: LookSchema,
  position: PositionSchema,
  step: StepSchema,
  variant: VariantSchema,
  move: MoveSchema,
  exchange: ExchangeSchema,
  ending: EndingSchema,
  chain: ChainSchema,
  opponent: OpponentSchema,
  scenario: ScenarioSchema,
};

/**
 * The JSON Schema (draft 2020-12) of a map file, made of the shared schemas. It says what the shapes are; that
 * every mention of a thing resolves is checked when a file is read.
 */
export function mapJsonSchema(): object {
  const names = z.registry<{ id: string }>();
  for (const [id, schema] of Object.entries(NAMED)) names.add(schema, { id });
  const schema = z.toJSONSchema(MapSchema, { target: 'draft-2020-12', io: 'input', metadata: names });
  return { ...schema, title: `Aftersquall map, version ${MAP_VERSION}` };
}
