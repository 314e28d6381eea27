import { z } from 'zod';
import { IdSchema, NameSchema, TextSchema } from './primitives.ts';

/** A text that may be there; an empty one is as good as none. */
export const NoteSchema = TextSchema.optional();

/** Something that goes wrong, counted in class, with what mends it. */
export const FaultSchema = z.strictObject({
  id: IdSchema,
  text: TextSchema.min(1, 'say what goes wrong'),
  mend: NoteSchema,
  /** The reactions that it lets through. */
  lets: z.array(IdSchema).optional(),
});
export type Fault = z.infer<typeof FaultSchema>;

/** A fault that was seen, with its words of that day. */
export const SeenFaultSchema = z.strictObject({
  /** What it is a fault of. */
  of: z.enum(['position', 'move', 'mechanic']),
  id: IdSchema,
  name: NameSchema,
  fault: TextSchema.min(1),
  /** It looked right and was not. */
  falsePositive: z.boolean().default(false),
});
export type SeenFault = z.infer<typeof SeenFaultSchema>;

/** What seems to work, only against a kind or new partner, and the test that shows whether it does. */
export const FalsePositiveSchema = z.strictObject({
  text: TextSchema.min(1, 'say what seems to work'),
  test: TextSchema.min(1, 'say how it is tested'),
});
export type FalsePositive = z.infer<typeof FalsePositiveSchema>;

const fit = <A extends string, V extends readonly [string, ...string[]]>(about: A, values: V) =>
  z.strictObject({
    about: z.literal(about),
    of: z.enum(['own', 'partner']),
    value: z.enum(values),
    effect: z.number().int().min(-2).max(2),
    why: TextSchema.min(1, 'say why'),
  });

/** What is said of a build: for each thing about it the values it can have. */
export const BUILD_VALUES = {
  limbs: ['compact', 'average', 'long'],
  flexibility: ['stiff', 'average', 'supple'],
  mass: ['light', 'average', 'heavy'],
  height: ['short', 'average', 'tall'],
} as const;

/** How well something suits a build: −2 (leave it) to 2 (made for it), always with the reason. */
export const FitSchema = z.discriminatedUnion('about', [
  fit('limbs', BUILD_VALUES.limbs),
  fit('flexibility', BUILD_VALUES.flexibility),
  fit('mass', BUILD_VALUES.mass),
  fit('height', BUILD_VALUES.height),
]);
export type Fit = z.infer<typeof FitSchema>;

export const CuesSchema = z.array(TextSchema.min(1, 'an empty cue says nothing')).default([]);
export const AliasesSchema = z.array(z.string().trim().min(1).max(120)).default([]);
