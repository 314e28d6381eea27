import type { TaughtOn } from '../lesson/practise/learnt.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Practice } from '../model/practice.ts';
import type { Grade } from '../model/practiceRecord.ts';

/** A class of the calendar, as far as it matters to what it left behind. */
interface PlannedDay {
  id: string;
  leftOver: readonly string[];
}

/**
 * Days of practice by what was recorded of them, in order: the moves that were drilled, with the coach's word on the group
 * where there is one, and what was planned and found no time. What the map does not know any more is left out.
 * @param classes those of the calendar: what found no time in one that was run waits from the day it was run
 */
export function taughtFrom(
  map: GuardMap,
  practice: Practice,
  classes: readonly PlannedDay[] = [],
): TaughtOn[] {
  const index = indexMap(map);
  const days = new Map<string, { date: string; moves: TaughtOn['moves'][number][]; leftOver: string[] }>();
  const dayOf = (date: string) => {
    const known = days.get(date) ?? { date, moves: [], leftOver: [] };
    days.set(date, known);
    return known;
  };
  const note = ({ exchange, date }: { exchange: string; date: string }, grade?: Grade) => {
    const move = index.move.get(index.exchange.get(exchange)?.move ?? '');
    if (move) dayOf(date).moves.push({ move: move.id, name: move.name, exchange, grade });
  };
  for (const one of practice.taught) note(one);
  for (const one of practice.grades) if (one.athlete === undefined) note(one, one.grade);
  for (const { exchange, date } of practice.missed)
    if (index.exchange.has(exchange)) dayOf(date).leftOver.push(exchange);
  for (const { id, leftOver } of classes) {
    const ran = practice.sessions.find((session) => session.class === id && session.reached > 0);
    if (ran) dayOf(ran.date).leftOver.push(...leftOver.filter((exchange) => index.exchange.has(exchange)));
  }
  return [...days.values()].sort((a, b) => (a.date < b.date ? -1 : 1));
}
