import type { Practice } from '../model/practice.ts';

/** So many of the last classes are looked at. */
const SESSIONS_LOOKED_AT = 6;

export interface UsualPeople {
  /** How many usually come: the median of the last classes. */
  count: number;
  /** Who was there in at least half of them, by alias. */
  aliases: string[];
}

/** Who usually comes, from the last six classes; undefined where nobody was ever counted. */
export function usualPeople(sessions: Practice['sessions']): UsualPeople | undefined {
  const last = sessions.filter(({ people }) => people > 0).slice(-SESSIONS_LOOKED_AT);
  if (last.length === 0) return undefined;
  const counts = last.map(({ people }) => people).toSorted((a, b) => a - b);
  const times = new Map<string, number>();
  for (const { athletes } of last)
    for (const { alias } of athletes) times.set(alias, (times.get(alias) ?? 0) + 1);
  return {
    count: counts[counts.length >> 1]!,
    aliases: [...times].filter(([, n]) => 2 * n >= last.length).map(([alias]) => alias),
  };
}
