import { z } from 'zod';
import { ContactSchema } from './contacts.ts';
import { IdSchema, SideSchema } from './primitives.ts';

export const HOLD_ACTIONS = [
  'grip',
  'cup',
  'two-on-one',
  'underhook',
  'overhook',
  'wrap',
  'body-lock',
  'harness',
  'frame',
  'post',
  'hook',
  'place',
  'wedge',
  'shield',
  'pinch',
  'clamp',
  'lace',
  'press',
] as const;
const HoldActionSchema = z.enum(HOLD_ACTIONS);
export type HoldAction = z.infer<typeof HoldActionSchema>;

export const CLOTH_PARTS = ['collar', 'lapel', 'sleeve', 'trousers', 'belt', 'jacket-back', 'skirt'] as const;
const BODY_PARTS = [
  'wrist',
  'forearm',
  'elbow',
  'upper-arm',
  'shoulder',
  'armpit',
  'neck',
  'head',
  'chest',
  'back',
  'waist',
  'hip',
  'thigh',
  'knee',
  'knee-crook',
  'shin',
  'ankle',
  'heel',
  'toes',
] as const;
export const PARTS = [...CLOTH_PARTS, ...BODY_PARTS, 'mat'] as const;
const PartSchema = z.enum(PARTS);
export type Part = z.infer<typeof PartSchema>;

export const GripPlaceSchema = z.enum(['cuff', 'elbow', 'knee', 'hip', 'waist']);
export type GripPlace = z.infer<typeof GripPlaceSchema>;

export const PLACES_ON: Partial<Record<Part, readonly GripPlace[]>> = {
  sleeve: ['cuff', 'elbow'],
  trousers: ['cuff', 'knee', 'hip', 'waist'],
};

/** Whether a grip slips what it is on off the body: trousers held at the waist slide, and the match stops. Common practice, no published source. */
export const slides = ({ part, at }: Pick<Target, 'part' | 'at'>): boolean =>
  part === 'trousers' && at === 'waist';

/**
 * What a hold is on. `own` is the bottom player's body and `top` the opponent's, whoever holds: a figure-four
 * on one's own wrist is `own` in bottom's holds, a hand on bottom's knee is `own` in top's holds.
 */
export const TargetSchema = z
  .strictObject({
    of: z.enum(['top', 'own', 'mat']),
    part: PartSchema,
    side: SideSchema.default('C'),
    at: GripPlaceSchema.optional(),
  })
  .superRefine((target, context) => {
    if ((target.of === 'mat') !== (target.part === 'mat')) {
      context.addIssue({
        code: 'custom',
        path: ['part'],
        message: 'the mat is a target of its own: of and part are both "mat"',
      });
    }
    if (target.at && !PLACES_ON[target.part]?.includes(target.at)) {
      context.addIssue({ code: 'custom', path: ['at'], message: `a ${target.part} has no "${target.at}"` });
    }
  });
export type Target = z.infer<typeof TargetSchema>;

export const DEPTHS = ['shallow', 'set', 'deep'] as const;
const DepthSchema = z.enum(DEPTHS);
export type Depth = z.infer<typeof DepthSchema>;

/** One hold: a contact, or two sharing it, doing something to a target. */
export const HoldSchema = z.strictObject({
  id: IdSchema,
  contacts: z
    .array(ContactSchema)
    .min(1, 'a hold needs at least one contact')
    .max(4, 'at most four contacts share a hold')
    .refine((contacts) => new Set(contacts).size === contacts.length, 'a contact is named twice'),
  action: HoldActionSchema,
  target: TargetSchema,
  depth: DepthSchema.optional(),
  keep: z.boolean().optional(),
  fallbacks: z.array(TargetSchema).optional(),
});
export type Hold = z.infer<typeof HoldSchema>;

/** Every given field must match. Without sides it names a hold class ("sleeve grip", "underhook"). */
export const HoldPatternSchema = z.strictObject({
  by: z.enum(['own', 'top']).optional(),
  contacts: z.array(ContactSchema).min(1).optional(),
  action: HoldActionSchema.optional(),
  part: PartSchema.optional(),
  side: SideSchema.optional(),
  at: GripPlaceSchema.optional(),
});
export type HoldPattern = z.infer<typeof HoldPatternSchema>;

/** A class of holds over many positions ("far sleeve grips"): its near and far side go by each one's lead side. */
export const HoldClassSchema = HoldPatternSchema.extend({
  side: z.enum([...SideSchema.options, 'near', 'far']).optional(),
});
export type HoldClass = z.infer<typeof HoldClassSchema>;
