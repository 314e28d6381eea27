import type { EntityKind, EntityOf, Exchange, Landing } from '@aftersquall/core';
import { getMetadataArgsStorage } from 'typeorm';
import { ENTITY_ROWS, type EntityRow, type ExchangeRow } from './entityRows.ts';

/** A thing of a map as its row. What the model leaves out is null, so that a replaced row forgets it. */
export function toRow<K extends EntityKind>(
  mapId: string,
  ord: number,
  kind: K,
  value: EntityOf<K>,
): EntityRow {
  const row: Record<string, unknown> = kind === 'exchange' ? flatten(value as Exchange) : { ...value };
  const known = Object.keys(blank(kind));
  return {
    ...Object.fromEntries(known.map((key) => [key, row[key] ?? null])),
    id: value.id,
    mapId,
    ord,
  } as EntityRow;
}

/** A row as the model has it, still to be validated by the shared schema. */
export function fromRow(kind: EntityKind, row: EntityRow): unknown {
  const { mapId: _, ord: __, ...columns } = row;
  const present = Object.fromEntries(Object.entries(columns).filter(([, value]) => value !== null));
  return kind === 'exchange' ? unflatten(present as unknown as ExchangeRow) : present;
}

const MODEL_KEYS: { [K in EntityKind]?: string[] } = {};

/** The columns of a kind beside its keys. */
function blank(kind: EntityKind): Record<string, null> {
  MODEL_KEYS[kind] ??= columnsOf(kind);
  return Object.fromEntries(MODEL_KEYS[kind].map((key) => [key, null]));
}

function columnsOf(kind: EntityKind): string[] {
  const row = ENTITY_ROWS[kind];
  return getMetadataArgsStorage()
    .columns.filter(({ target }) => target === row)
    .map(({ propertyName }) => propertyName);
}

function flatten(exchange: Exchange): Record<string, unknown> {
  const { reaction, to, otherwise, ...rest } = exchange;
  return {
    ...rest,
    reaction: reaction === 'none' ? null : reaction.id,
    reactionMirrored: reaction !== 'none' && Boolean(reaction.mirrored),
    ...landingColumns('to', to),
    ...landingColumns('otherwise', otherwise),
  };
}

function landingColumns(name: 'to' | 'otherwise', landing: Landing | undefined): Record<string, unknown> {
  const position = landing && 'position' in landing ? landing : undefined;
  return {
    [`${name}Position`]: position?.position ?? null,
    [`${name}Mirrored`]: Boolean(position?.mirrored),
    [`${name}Outcome`]: landing && 'outcome' in landing ? landing.outcome : null,
  };
}

function unflatten(row: ExchangeRow): unknown {
  const {
    reaction,
    reactionMirrored,
    toPosition,
    toMirrored,
    toOutcome,
    otherwisePosition,
    otherwiseMirrored,
    otherwiseOutcome,
    ...rest
  } = row;
  const landing = (position: string | null, mirrored: boolean, outcome: string | null) =>
    position ? { position, ...(mirrored && { mirrored }) } : outcome ? { outcome } : undefined;
  const otherwise = landing(otherwisePosition, otherwiseMirrored, otherwiseOutcome);
  return {
    ...rest,
    reaction: reaction ? { id: reaction, ...(reactionMirrored && { mirrored: true }) } : 'none',
    to: landing(toPosition, toMirrored, toOutcome),
    ...(otherwise && { otherwise }),
  };
}
