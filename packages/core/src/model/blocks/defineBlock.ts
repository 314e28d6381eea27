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
  /** What it is called, where it is more than what one of the partners does: "Start", "Safe". */
  label?: string;
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
  /** It is left as it fails, for where failing leads. */
  fails: z.literal(true).optional(),
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
/** Repetitions of a block that go together: on a partner who is still, called for, or made harder. */
const RungSchema = z.strictObject({
  exchange: IdSchema,
  what: z.enum(['still', 'call', 'counter']),
  reps: z.number().int().min(1).max(500),
});
export type Rung = z.infer<typeof RungSchema>;

/** What is read out and called of a drill: where it starts, the cue, what keeps both safe, how top falls, faults, luck or skill. */
const told = {
  start: TextSchema.optional(),
  cue: TextSchema.optional(),
  safe: TextSchema.optional(),
  falling: TextSchema.optional(),
  lookFor: TextSchema.optional(),
  luck: TextSchema.optional(),
};
const roles = { bottom: TextSchema.default(''), top: TextSchema.default('') };

/** What is repeated: exchanges, in reps for each partner on each side. */
export const drilled = {
  ...named,
  ...safe,
  ...roles,
  ...told,
  /** Its repetitions in order, where they differ. */
  rungs: z.array(RungSchema).max(10).optional(),
  links: z.array(LinkSchema).min(1, 'a block drills at least one exchange').max(60),
  /** How often each partner does it, on each side. */
  reps: z.number().int('whole reps only').min(1, 'at least one rep').max(500),
  sides: z.union([z.literal(1), z.literal(2)], { error: 'one side or both' }),
  /** Some more on the other side, fewer than on the first. */
  otherReps: z.number().int('whole reps only').min(0).max(500).optional(),
  /** A second look between the turns. */
  lookSeconds: BlockSecondsSchema.optional(),
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
  /** What may be finished and what not. */
  limit: TextSchema.optional(),
  rounds: z.number().int('whole rounds').min(1, 'at least one round').max(60),
  secondsPerRound: BlockSecondsSchema.positive('a round takes time'),
  demoSeconds: BlockSecondsSchema.default(0),
  resistance: ResistanceSchema.default('light'),
};

type Drilled = Pick<
  z.infer<z.ZodObject<typeof drilled>>,
  'demoSeconds' | 'lookSeconds' | 'otherReps' | 'reps' | 'secondsPerRep' | 'sides'
>;
export const drilledShape = ({
  demoSeconds,
  lookSeconds = 0,
  otherReps = 0,
  reps,
  secondsPerRep,
  sides,
}: Drilled): BlockShape => ({
  demo: demoSeconds + lookSeconds,
  work: (reps + otherReps) * secondsPerRep,
  turns: true,
  sides,
});

type PlayedTimes = Pick<z.infer<z.ZodObject<typeof played>>, 'demoSeconds' | 'rounds' | 'secondsPerRound'>;
export const playedShape = ({ demoSeconds, rounds, secondsPerRound }: PlayedTimes): BlockShape => ({
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

type Told = Partial<
  Record<'start' | 'bottom' | 'cue' | 'top' | 'safe' | 'falling' | 'lookFor' | 'luck' | 'note', string>
>;
/** What is said of a drill, in the order in which it is read out. */
export function drilledLines(block: Told, partner = 'Coach calls'): BlockLine[] {
  const { start, bottom, cue, top, safe, falling, lookFor, luck, note } = block;
  // Blocks that say where they start are read out line by line; others only say what each partner does.
  if (!start) return linesOf(['bottom', bottom], ['top', top], ['all', note]);
  const lines: readonly (readonly [BlockLine['who'], string, string | undefined])[] = [
    ['all', 'Start', start],
    ['bottom', 'Do', bottom],
    ['all', 'Cue', cue],
    ['top', partner, top],
    ['all', 'Safe', safe],
    ['all', 'Fall', falling],
    ['all', 'Look for', lookFor],
    ['all', 'Luck or skill?', luck],
    ['all', '', note],
  ];
  return lines.flatMap(([who, label, text]) =>
    text?.trim() ? [{ who, ...(label && { label }), text: text.trim() }] : [],
  );
}

type PlayedWords = Partial<
  Record<'start' | 'bottom' | 'top' | 'ends' | 'restart' | 'limit' | 'note', string>
>;
/** What is said of a game or of rounds. */
export function playedLines(
  { start, bottom, top, ends, restart, limit, note }: PlayedWords,
  wins = ' wins',
): BlockLine[] {
  if (limit === undefined)
    return linesOf(
      ['all', start],
      ['bottom', bottom],
      ['top', top],
      ['all', ends],
      ['all', restart],
      ['all', note],
    );
  const lines: readonly (readonly [BlockLine['who'], string, string | undefined])[] = [
    ['all', 'Start', start],
    ['bottom', `Bottom${wins}`, bottom],
    ['top', `Top${wins}`, top],
    ['all', 'Then', ends],
    ['all', 'Then', restart],
    ['all', 'Limit', limit],
    ['all', '', note],
  ];
  return lines.flatMap(([who, label, text]) =>
    text?.trim() ? [{ who, ...(label && { label }), text: text.trim() }] : [],
  );
}
