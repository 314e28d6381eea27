import { z } from 'zod';
import { HazardTagSchema } from '../hazards.ts';
import { IdSchema, NameSchema, TextSchema } from '../primitives.ts';

/** How a block fills its time. */
export interface BlockShape {
  /** Seconds shown before anybody works. */
  demo: number;
  /** Seconds of one shift of work. */
  work: number;
  /** A shift for each of the group on each side; else all work at once, in one shift. */
  turns: boolean;
  sides: 1 | 2;
}

/** One line of what is said of a block, on paper and on the wall. */
export interface BlockLine {
  who: 'all' | 'bottom' | 'top';
  text: string;
}

/** Everything there is to know of one kind of block. */
export interface BlockDefinition<S extends z.ZodType<{ kind: string }>> {
  kind: z.infer<S>['kind'];
  schema: S;
  /** On screen and on paper: "set-ups", "fork drill". */
  name: string;
  shape(block: z.infer<S>): BlockShape;
  lines(block: z.infer<S>): BlockLine[];
}

export const defineBlock = <S extends z.ZodType<{ kind: string }>>(
  definition: BlockDefinition<S>,
): BlockDefinition<S> => definition;

export const RESISTANCES = ['cooperative', 'guided', 'choice', 'light', 'full'] as const;
const ResistanceSchema = z.enum(RESISTANCES);

const BlockSecondsSchema = z.number().min(0, 'time cannot be negative').max(7200, 'at most two hours');

/** One exchange of a block, with what it says kept, so that a class can still be read when the map moves on. */
const LinkSchema = z.strictObject({
  exchange: IdSchema,
  mirrored: z.boolean().optional(),
  move: NameSchema,
  meets: z.string().max(200).default(''),
  leads: z.string().max(200).default(''),
  seconds: BlockSecondsSchema,
});
export type Link = z.infer<typeof LinkSchema>;

const named = {
  id: IdSchema,
  title: NameSchema,
  note: TextSchema.default(''),
  /** Why it is in the class. */
  why: TextSchema.default(''),
};

/** What has only a length. */
export const timed = { ...named, seconds: BlockSecondsSchema.positive('it takes time') };

const safe = {
  hazards: z.array(HazardTagSchema).default([]),
  /** Why it is done although the rules of the class bar it. */
  override: TextSchema.optional(),
};
const roles = { bottom: TextSchema.default(''), top: TextSchema.default('') };

/** What is repeated: exchanges, in reps for each partner on each side. */
export const drilled = {
  ...named,
  ...safe,
  ...roles,
  links: z.array(LinkSchema).min(1, 'a block drills at least one exchange').max(60),
  /** How often each partner does it, on each side. */
  reps: z.number().int('whole reps only').min(1, 'at least one rep').max(500),
  sides: z.union([z.literal(1), z.literal(2)], { error: 'one side or both' }),
  secondsPerRep: BlockSecondsSchema.positive('a rep takes time'),
  demoSeconds: BlockSecondsSchema,
  resistance: ResistanceSchema.default('cooperative'),
};

/** What is played: rounds from a start, each partner as bottom in turn. */
export const played = {
  ...named,
  ...safe,
  ...roles,
  /** Where and how a round starts, what ends it, and how it starts again. */
  start: TextSchema.default(''),
  ends: TextSchema.default(''),
  restart: TextSchema.default(''),
  rounds: z.number().int('whole rounds').min(1, 'at least one round').max(60),
  secondsPerRound: BlockSecondsSchema.positive('a round takes time'),
  demoSeconds: BlockSecondsSchema.default(0),
  resistance: ResistanceSchema.default('light'),
};

type Drilled = Pick<
  z.infer<z.ZodObject<typeof drilled>>,
  'demoSeconds' | 'reps' | 'secondsPerRep' | 'sides' | 'bottom' | 'top'
>;
export const drilledShape = ({ demoSeconds, reps, secondsPerRep, sides }: Drilled): BlockShape => ({
  demo: demoSeconds,
  work: reps * secondsPerRep,
  turns: true,
  sides,
});

type Played = z.infer<z.ZodObject<typeof played>>;
export const playedShape = ({ demoSeconds, rounds, secondsPerRound }: Played): BlockShape => ({
  demo: demoSeconds,
  work: rounds * secondsPerRound,
  turns: true,
  sides: 1,
});

export const timedShape = ({ seconds }: { seconds: number }): BlockShape => ({
  demo: 0,
  work: seconds,
  turns: false,
  sides: 1,
});

/** Lines with something in them. */
export const linesOf = (
  ...lines: readonly (readonly [BlockLine['who'], string | undefined])[]
): BlockLine[] => lines.flatMap(([who, text]) => (text?.trim() ? [{ who, text: text.trim() }] : []));
