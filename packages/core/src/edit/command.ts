import { z } from 'zod';
import {
  ENTITY_KINDS,
  ENTITY_SCHEMAS,
  type EntityKind,
  type EntityOf,
  MapSettingsSchema,
} from '../model/map.ts';
import { IdSchema, NameSchema, TextSchema } from '../model/primitives.ts';

const putOf = <K extends EntityKind>(kind: K) =>
  z.strictObject({
    do: z.literal('put'),
    kind: z.literal(kind),
    value: ENTITY_SCHEMAS[kind],
    /** Where in its list a new thing goes; at the end when absent. A thing that exists keeps its place. */
    at: z.number().int().min(0).optional(),
  });

/** Add a thing to the map, or replace the one with its id. */
export const PutSchema = z.discriminatedUnion('kind', [
  putOf('system'),
  putOf('reaction'),
  putOf('position'),
  putOf('move'),
  putOf('exchange'),
  putOf('chain'),
  putOf('opponent'),
  putOf('scenario'),
]);

export const RemoveSchema = z.strictObject({
  do: z.literal('remove'),
  kind: z.enum(ENTITY_KINDS as [EntityKind, ...EntityKind[]]),
  id: IdSchema,
});

/** Change what the map says of itself. */
export const DescribeSchema = z.strictObject({
  do: z.literal('describe'),
  name: NameSchema.optional(),
  note: TextSchema.optional(),
  settings: MapSettingsSchema.optional(),
});

export type PutCommand = {
  [K in EntityKind]: { do: 'put'; kind: K; value: EntityOf<K>; at?: number };
}[EntityKind];
export type RemoveCommand = z.infer<typeof RemoveSchema>;
export type DescribeCommand = z.infer<typeof DescribeSchema>;
/** Several commands that stand or fall together and are undone as one. */
export interface BatchCommand {
  do: 'batch';
  label?: string | undefined;
  commands: Command[];
}
export type Command = PutCommand | RemoveCommand | DescribeCommand | BatchCommand;

/** Every change to a map. */
export const CommandSchema: z.ZodType<Command, unknown> = z.lazy(() =>
  z.discriminatedUnion('do', [
    PutSchema,
    RemoveSchema,
    DescribeSchema,
    z.strictObject({
      do: z.literal('batch'),
      label: z.string().max(200).optional(),
      commands: z.array(CommandSchema).max(5000),
    }),
  ]),
) as never;

/** A put, with the kind and value checked against each other by the compiler. */
export function put<K extends EntityKind>(kind: K, value: EntityOf<K>, at?: number): Command {
  return (at === undefined ? { do: 'put', kind, value } : { do: 'put', kind, value, at }) as Command;
}

export const remove = (kind: EntityKind, id: string): RemoveCommand => ({ do: 'remove', kind, id });
export const batch = (commands: Command[], label?: string): BatchCommand => ({
  do: 'batch',
  ...(label !== undefined && { label }),
  commands,
});
