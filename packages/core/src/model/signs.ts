import { z } from 'zod';

/** Every facet of a body that can be seen or felt, with its values; the first value is the default. */
export const FACETS = {
  'top.stance': [
    'kneeling',
    'half-kneeling',
    'squatting',
    'standing',
    'all-fours',
    'seated',
    'on-back',
    'side-L',
    'side-R',
    'prone',
  ],
  'top.posture': ['upright', 'leaning', 'broken'],
  'top.weight': ['centred', 'forward', 'back'],
  'top.lean': ['even', 'left', 'right'],
  'top.base': ['normal', 'wide', 'narrow'],
  'top.head': ['high', 'low', 'posted', 'pinned'],
  'top.facing': ['square', 'turned-left', 'turned-right', 'away'],
  'top.range': ['gripping', 'out-of-reach', 'chest'],
  'top.line': ['front', 'knee-L', 'knee-R', 'hip-L', 'hip-R'],
  'top.handL': ['free', 'gripping', 'posted', 'blocking', 'trapped'],
  'top.handR': ['free', 'gripping', 'posted', 'blocking', 'trapped'],
  'top.elbowL': ['tucked', 'open', 'bent-trapped', 'straight'],
  'top.elbowR': ['tucked', 'open', 'bent-trapped', 'straight'],
  'top.kneeL': ['neutral', 'inward', 'outward'],
  'top.kneeR': ['neutral', 'inward', 'outward'],
  'top.legL': ['planted', 'posted', 'light', 'lifted', 'trapped', 'stepped-over'],
  'top.legR': ['planted', 'posted', 'light', 'lifted', 'trapped', 'stepped-over'],
  'top.heelL': ['hidden', 'exposed'],
  'top.heelR': ['hidden', 'exposed'],
  'own.heelL': ['hidden', 'exposed'],
  'own.heelR': ['hidden', 'exposed'],
  'top.kneeLineL': ['clear', 'caught'],
  'top.kneeLineR': ['clear', 'caught'],
  'own.kneeLineL': ['clear', 'caught'],
  'own.kneeLineR': ['clear', 'caught'],
  'top.neck': ['covered', 'open'],
  'top.back': ['covered', 'exposed'],
  'own.torso': [
    'seated',
    'side-L',
    'side-R',
    'on-back',
    'on-shoulder',
    'inverted',
    'prone',
    'kneeling',
    'standing',
    'all-fours',
    'half-kneeling-L',
    'half-kneeling-R',
  ],
  'own.angle': ['square', 'left', 'right'],
  'own.hips': ['low', 'raised'],
  'own.kneeElbowL': ['connected', 'broken'],
  'own.kneeElbowR': ['connected', 'broken'],
} as const satisfies Record<string, readonly [string, ...string[]]>;

export type Facet = keyof typeof FACETS;
export const FACET_NAMES = Object.keys(FACETS) as Facet[];
export type SignValue = (typeof FACETS)[Facet][number];

/** What differs from the default, or what changes: at most one value a facet. */
export type Signs = { [F in Facet]?: (typeof FACETS)[F][number] };

const signShape = Object.fromEntries(FACET_NAMES.map((facet) => [facet, z.enum(FACETS[facet]).optional()]));
export const SignsSchema: z.ZodType<Signs, Signs> = z.strictObject(signShape) as never;

/** The value a facet has when nothing is said of it. */
export function defaultSign(facet: Facet): SignValue {
  return FACETS[facet][0];
}

/** The value of one facet, its default where the signs are silent. */
export function signOf(signs: Signs, facet: Facet): SignValue {
  return signs[facet] ?? defaultSign(facet);
}

/** A facet and the values that satisfy it: `must` be so, or `helps` with a weight (default 1). */
export const ConditionSchema = z
  .strictObject({
    facet: z.enum(FACET_NAMES),
    values: z.array(z.string()).min(1, 'name at least one value'),
    mark: z.enum(['must', 'helps']).default('must'),
    weight: z.number().positive().max(10).optional(),
  })
  .superRefine((condition, context) => {
    const known: readonly string[] = FACETS[condition.facet];
    condition.values.forEach((value, index) => {
      if (!known.includes(value)) {
        context.addIssue({
          code: 'custom',
          path: ['values', index],
          message: `${condition.facet} cannot be "${value}"; it is one of ${known.join(', ')}`,
        });
      }
    });
  });
export type Condition = z.infer<typeof ConditionSchema>;

/** Whether the signs satisfy the condition. */
export function conditionMet(condition: Condition, signs: Signs): boolean {
  return condition.values.includes(signOf(signs, condition.facet));
}
