import { z } from 'zod';
import { ClassSchema } from '../model/classPlan.ts';
import { RecordKeySchema } from '../model/practiceRecord.ts';
import { IdSchema, NameSchema } from '../model/primitives.ts';

const common = {
  /** Made on the device, once for each event. */
  id: RecordKeySchema,
  /** The run it belongs to; its records carry it as their session. */
  run: RecordKeySchema,
  /** When it happened by the device's clock, milliseconds since 1970. */
  at: z.number().int(),
};
const event = <D extends string, S extends z.ZodRawShape>(what: D, shape: S) =>
  z.strictObject({ ...common, do: z.literal(what), ...shape });

const seconds = z.number().min(0).max(20_000);
/** A stretch of a block as `matRun` cuts it, from 0, and seconds into it. */
const place = { block: IdSchema, stretch: z.number().int().min(0).max(2000) };

/** One thing that happened while a class was run. A run is the list of these, in order, and nothing else. */
export const RunEventSchema = z.discriminatedUnion('do', [
  /** Somebody came, or left. */
  event('attended', { athlete: z.strictObject({ id: IdSchema, alias: NameSchema }), there: z.boolean() }),
  /** The class is reckoned for so many before it starts, whoever is ticked. */
  event('expected', { people: z.number().int().min(1).max(200) }),
  /** The clock started after a countdown. The plan is frozen: a class that is edited later runs on as it began. */
  event('started', { plan: ClassSchema, countdown: seconds }),
  event('paused', {}),
  event('resumed', {}),
  event('wentTo', { ...place, into: seconds }),
  /** A stretch got more time. */
  event('timeAdded', { ...place, seconds }),
  /** A block works on the other sides than planned; a second time, on the planned ones again. */
  event('swapped', { block: IdSchema }),
  /** The class was edited meanwhile and the coach took the edited one over. */
  event('planTaken', { plan: ClassSchema }),
  /** The device's clock went back by so many milliseconds: all later times count that much more. */
  event('clockWentBack', { by: z.number().int().min(1) }),
  event('ended', {}),
]);
export type RunEvent = z.infer<typeof RunEventSchema>;
