import { z } from 'zod';
import { CommandSchema } from './command.ts';

/** How often a document was changed, from 1. */
export const RevisionSchema = z.number().int().min(1);

/** Made by whoever sends a change, once for each: the same key twice is the same change. */
const KeySchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{8,64}$/, '8 to 64 letters, digits, - and _, new for each change');
const WhoSchema = z.string().trim().max(60, 'at most 60 characters').default('');

export const ChangeSchema = z.strictObject({
  /** The revision that the change was made for. */
  base: RevisionSchema,
  key: KeySchema,
  commands: z.array(CommandSchema).min(1, 'send at least one command').max(5000),
  who: WhoSchema,
});
export type Change = z.infer<typeof ChangeSchema>;

/** A change as it was made, for those who follow a document. */
export const MadeChangeSchema = z.strictObject({
  revision: RevisionSchema,
  key: KeySchema,
  command: CommandSchema,
  inverse: CommandSchema,
  at: z.iso.datetime(),
  who: z.string(),
});
export type MadeChange = z.infer<typeof MadeChangeSchema>;

/** A field that was changed elsewhere since `base`, with both values; absent where there is none. */
export const FieldOverlapSchema = z.strictObject({
  kind: z.string(),
  id: z.string(),
  path: z.array(z.string()),
  theirs: z.unknown().optional(),
  mine: z.unknown().optional(),
});
export type FieldOverlap = z.infer<typeof FieldOverlapSchema>;

/** Ends the device's name in a key. */
const MARK = '_';

/** A key for a change: the name of the device, which has no `_` in it, and what is new each time. */
export const changeKey = (device: string, fresh: string): string => `${device}${MARK}${fresh}`;

function deviceOf(key: string): string | undefined {
  const end = key.indexOf(MARK);
  return end < 0 ? undefined : key.slice(0, end);
}

type Signed = Pick<MadeChange, 'key' | 'who'>;

/** Whether two changes were made on the same device under the same name: one's own earlier change is never a conflict. */
export function isSameMaker(a: Signed, b: Signed): boolean {
  const device = deviceOf(a.key);
  return device !== undefined && device === deviceOf(b.key) && a.who === b.who;
}
