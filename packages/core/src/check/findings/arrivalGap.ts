import { holdWords, joinWords, wordContext } from '../../body/words.ts';
import { type Arrival, type ArrivalCheck, isReached, wasBroken } from '../arrivals.ts';
import type { Finding } from '../finding.ts';

/** So many holds that nobody took are more than a writer leaves to the reader. */
const MANY = 3;

/**
 * Holds that the destination has and that start, reaction and steps do not give: taken by nobody, or broken by the
 * reaction and there again.
 */
export const arrivalGap: ArrivalCheck = (arrival) => {
  const missing = arrival.to.holds.filter((hold) => !isReached(hold, arrival.end));
  const back = missing.filter((hold) => wasBroken(hold, arrival.broken));
  const untaken = missing.filter((hold) => !back.includes(hold));
  const words = (holds: typeof missing) =>
    joinWords(holds.map((hold) => holdWords(hold, wordContext(arrival.to))));
  return [
    ...(back.length > 0
      ? [finding('broken-back', arrival, `has again what was broken: ${words(back)}`)]
      : []),
    ...(untaken.length >= MANY || (untaken.length > 0 && arrival.exchange.reaction === 'none')
      ? [finding('arrival-gap', arrival, `has what no step takes: ${words(untaken)}`)]
      : []),
  ];
};

const finding = (code: string, { exchange, move, to, reaction }: Arrival, what: string): Finding => ({
  code,
  severity: 'warning',
  place: { kind: 'exchange', id: exchange.id },
  sentence: `“${move.name}”${reaction ? `, when top does “${reaction.name}”,` : ''} arrives at “${to.name}”, which ${what}.`,
  mend: 'Add the grip to a step, say after which step it stops, or explain it in the note.',
});
