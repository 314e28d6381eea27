import { z } from 'zod';
import { ContactSchema } from './contacts.ts';

/** Metres: to the right of who lies at 0, towards the other, up. */
const PlaceSchema = z.tuple([z.number().min(-3).max(3), z.number().min(-3).max(3), z.number().min(0).max(2)]);
export type PosePlace = z.infer<typeof PlaceSchema>;
const Degrees = z.number().min(-360).max(360);
export const HOOK_ROUTES = ['outside', 'inside', 'behind'] as const;

/** What helps to draw a position where holds and signs do not say enough; degrees. */
export const PoseHintsSchema = z
  .strictObject({
    /** How bottom, and top, is turned about the vertical: 0 = facing the other. */
    ownYaw: Degrees.optional(),
    topYaw: Degrees.optional(),
    /** Where the pelvis of bottom, and of top, begins. */
    ownPlace: PlaceSchema.optional(),
    topPlace: PlaceSchema.optional(),
    /** Where it is looked at from: round the pair, and from how high. */
    view: z.strictObject({ azimuth: Degrees, elevation: z.number().min(0).max(80) }).optional(),
    /** Which way a hooking foot goes round what it hooks, by contact. */
    routes: z
      .partialRecord(ContactSchema, z.enum(HOOK_ROUTES))
      .refine(
        (routes) => Object.keys(routes).length > 0,
        'say which foot goes which way, or leave routes out',
      )
      .optional(),
  })
  .refine((hints) => Object.keys(hints).length > 0, 'give at least one hint, or leave pose out');
export type PoseHints = z.infer<typeof PoseHintsSchema>;
