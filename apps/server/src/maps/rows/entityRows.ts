import type { EntityKind } from '@aftersquall/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What every row of a map's lists has. Properties are named as in the model; lists and objects are JSON. */
export abstract class EntityRow {
  @PrimaryColumn({ type: 'text', name: 'map_id' }) mapId: string;
  @PrimaryColumn({ type: 'text' }) id: string;
  @Column({ type: 'integer' }) ord: number;
}

const Text = (name?: string) => Column({ type: 'text', ...(name && { name }) });
const MaybeText = (name?: string) => Column({ type: 'text', nullable: true, ...(name && { name }) });
const MaybeNumber = (name?: string) => Column({ type: 'real', nullable: true, ...(name && { name }) });
const Json = (name?: string) => Column({ type: 'simple-json', ...(name && { name }) });
const MaybeJson = (name?: string) => Column({ type: 'simple-json', nullable: true, ...(name && { name }) });
const Flag = (name: string) => Column({ type: 'boolean', name });

@Entity('guard_system')
export class SystemRow extends EntityRow {
  @Text() name: string;
  @Json() aliases: unknown;
  @Text() note: string;
}

@Entity('reaction')
export class ReactionRow extends EntityRow {
  @Text() name: string;
  @Json() aliases: unknown;
  @Text() group: string;
  @Json() changes: unknown;
  @Json() breaks: unknown;
  @Json('top_takes') topTakes: unknown;
  @Json('top_releases') topReleases: unknown;
  @Text() feel: string;
  @Text() script: string;
  @MaybeJson() hazards: unknown;
}

@Entity('position')
export class PositionRow extends EntityRow {
  @Text() name: string;
  @Json() aliases: unknown;
  @Json() systems: unknown;
  @Text('lead_side') leadSide: string;
  @Text() apparel: string;
  @Json() holds: unknown;
  @Json('top_holds') topHolds: unknown;
  @Json() signs: unknown;
  @Json() looks: unknown;
  @MaybeNumber() entry: number | null;
  @MaybeNumber() rest: number | null;
  @MaybeJson() drift: unknown;
  @Text() level: string;
  @Json() cues: unknown;
  @Json() faults: unknown;
  @Json() fits: unknown;
}

@Entity('move')
export class MoveRow extends EntityRow {
  @Text() position: string;
  @Text() look: string;
  @Text() name: string;
  @Json() aliases: unknown;
  @Text() kind: string;
  @Json() needs: unknown;
  @Json('needs_holds') needsHolds: unknown;
  @Json() variants: unknown;
  @MaybeText('house_variant') houseVariant: string | null;
  @Json() steps: unknown;
  @MaybeNumber() direction: number | null;
  @MaybeText() window: string | null;
  @Json() mechanics: unknown;
  @Json() requires: unknown;
  @Json() cues: unknown;
  @Json() faults: unknown;
  @Json() hazards: unknown;
  @Json() fits: unknown;
  @MaybeNumber() seconds: number | null;
}

@Entity('exchange')
export class ExchangeRow extends EntityRow {
  @Text() move: string;
  @MaybeText() reaction: string | null;
  @Flag('reaction_mirrored') reactionMirrored: boolean;
  @MaybeText() variant: string | null;
  @MaybeText('to_position') toPosition: string | null;
  @Flag('to_mirrored') toMirrored: boolean;
  @MaybeText('to_outcome') toOutcome: string | null;
  @MaybeText('otherwise_position') otherwisePosition: string | null;
  @Flag('otherwise_mirrored') otherwiseMirrored: boolean;
  @MaybeText('otherwise_outcome') otherwiseOutcome: string | null;
  @Column({ type: 'real' }) chance: number;
  @MaybeText() basis: string | null;
  @MaybeNumber() seconds: number | null;
  @MaybeText() note: string | null;
}

@Entity('chain')
export class ChainRow extends EntityRow {
  @Text() name: string;
  @Text() note: string;
  @Json() exchanges: unknown;
}

@Entity('opponent')
export class OpponentRow extends EntityRow {
  @Text() alias: string;
  @Text() note: string;
  @Json() tendencies: unknown;
}

@Entity('scenario')
export class ScenarioRow extends EntityRow {
  @Text() name: string;
  @Text() note: string;
  @MaybeText() rules: string | null;
  @MaybeText() apparel: string | null;
  @MaybeNumber() continuation: number | null;
  @MaybeNumber() rest: number | null;
  @MaybeNumber('submission_worth') submissionWorth: number | null;
  @Json('outcome_worth') outcomeWorth: unknown;
  @Json('forbidden_moves') forbiddenMoves: unknown;
  @Json('forbidden_holds') forbiddenHolds: unknown;
  @Json('forbidden_reactions') forbiddenReactions: unknown;
  @Json('spared_joints') sparedJoints: unknown;
  @Json() chances: unknown;
  @MaybeText() opponent: string | null;
  @MaybeNumber() trust: number | null;
}

export const ENTITY_ROWS = {
  system: SystemRow,
  reaction: ReactionRow,
  position: PositionRow,
  move: MoveRow,
  exchange: ExchangeRow,
  chain: ChainRow,
  opponent: OpponentRow,
  scenario: ScenarioRow,
} as const satisfies Record<EntityKind, new () => EntityRow>;
