import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';

/** What an exchange answers, in the words of findings. */
export function metWords(map: GuardMap, { reaction }: Pick<Exchange, 'reaction'>): string {
  if (reaction === 'none') return 'when top does nothing';
  return `when top does “${indexMap(map).reaction.get(reaction.id)?.name ?? reaction.id}”`;
}

/** A chance, as findings say it. */
export const percent = (chance: number): string => `${Math.round(chance * 100)} %`;
