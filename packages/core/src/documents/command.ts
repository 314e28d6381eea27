import { z } from 'zod';
import { IdSchema } from '../model/primitives.ts';
import type { Entities, EntityKindName } from './entities.ts';

/**
 * One field that changes. The path goes by field names and, through lists of things with ids, by those ids:
 * `['looks', 'pull', 'timing']`. Without a value the field, or the thing in its list, is taken out. A thing that
 * comes new into its list goes to place `at`, or to the end.
 */
const FieldChangeSchema = z.strictObject({
  path: z.array(z.string().max(200)).min(1, 'name the field').max(12),
  value: z.unknown().optional(),
  at: z.number().int().min(0).optional(),
});
export interface FieldChange {
  path: string[];
  value?: unknown;
  at?: number | undefined;
}

const KindSchema = z.string().max(40);

/** Add an entity, or replace the one with its id. */
export interface PutCommand {
  do: 'put';
  kind: EntityKindName;
  value: Entities[EntityKindName];
  /** Where in its list a new entity goes; at the end when absent. One that exists keeps its place. */
  at?: number | undefined;
}
/** Change some fields of an entity and leave the others to whoever else changes them. */
export interface SetCommand {
  do: 'set';
  kind: EntityKindName;
  id: string;
  changes: FieldChange[];
}
/** Take an entity out together with what cannot stand without it; `alone`: refused when anything needs it. */
export interface RemoveCommand {
  do: 'remove';
  kind: EntityKindName;
  id: string;
  alone?: boolean | undefined;
}
/** Move an entity to another place of its list. */
export interface PlaceCommand {
  do: 'place';
  kind: EntityKindName;
  id: string;
  at: number;
}
/** Change head fields of the document. */
export interface DescribeCommand {
  do: 'describe';
  changes: FieldChange[];
}
/** Several commands that stand or fall together and are undone as one. */
export interface BatchCommand {
  do: 'batch';
  /** What it is called in the history. */
  label?: string | undefined;
  commands: Command[];
}
/** Every change to a document, as plain data. */
export type Command = PutCommand | SetCommand | RemoveCommand | PlaceCommand | DescribeCommand | BatchCommand;

/** The shape of a command. What it puts or sets is checked by the schema of its kind when it is applied. */
export const CommandSchema: z.ZodType<Command, unknown> = z.lazy(() =>
  z.discriminatedUnion('do', [
    z.strictObject({
      do: z.literal('put'),
      kind: KindSchema,
      value: z.looseObject({ id: IdSchema }),
      at: z.number().int().min(0).optional(),
    }),
    z.strictObject({
      do: z.literal('set'),
      kind: KindSchema,
      id: IdSchema,
      changes: z.array(FieldChangeSchema).min(1).max(500),
    }),
    z.strictObject({
      do: z.literal('remove'),
      kind: KindSchema,
      id: IdSchema,
      alone: z.boolean().optional(),
    }),
    z.strictObject({ do: z.literal('place'), kind: KindSchema, id: IdSchema, at: z.number().int().min(0) }),
    z.strictObject({ do: z.literal('describe'), changes: z.array(FieldChangeSchema).min(1).max(100) }),
    z.strictObject({
      do: z.literal('batch'),
      label: z.string().max(200).optional(),
      commands: z.array(CommandSchema).max(20_000),
    }),
  ]),
) as never;

/** A put, with the kind and value checked against each other by the compiler. */
export function put<K extends EntityKindName>(kind: K, value: Entities[K], at?: number): PutCommand {
  return at === undefined ? { do: 'put', kind, value } : { do: 'put', kind, value, at };
}

export const set = (kind: EntityKindName, id: string, changes: FieldChange[]): SetCommand => ({
  do: 'set',
  kind,
  id,
  changes,
});
export const remove = (kind: EntityKindName, id: string): RemoveCommand => ({ do: 'remove', kind, id });
export const removeAlone = (kind: EntityKindName, id: string): RemoveCommand => ({
  do: 'remove',
  kind,
  id,
  alone: true,
});
export const place = (kind: EntityKindName, id: string, at: number): PlaceCommand => ({
  do: 'place',
  kind,
  id,
  at,
});
export const batch = (commands: Command[], label?: string): BatchCommand => ({
  do: 'batch',
  ...(label !== undefined && { label }),
  commands,
});
export const describe = (changes: FieldChange[]): DescribeCommand => ({ do: 'describe', changes });
