/** A chance as a coach counts: "4 times in 10", "once in 20"; what comes nearly always says so. */
export function timesInTen(chance: number): string {
  if (chance >= 0.95) return 'nearly always';
  const tenths = Math.round(chance * 10);
  if (tenths >= 1) return `${tenths} ${tenths === 1 ? 'time' : 'times'} in 10`;
  return chance >= 0.005 ? `once in ${Math.round(1 / chance)} times` : '0 times in 10';
}

/** How often something comes up, from its times a round: "2 times a round", "3 rounds in 10", "once in 8 rounds". */
export function roundsWords(rate: number): string {
  if (rate >= 1.5) return `${Math.round(rate)} times a round`;
  if (rate >= 0.95) return 'once a round';
  const tenths = Math.round(rate * 10);
  if (tenths >= 2) return `${tenths} rounds in 10`;
  if (rate < 0.0025) return rate > 0 ? 'hardly ever' : 'in no round';
  const rounds = Math.round(1 / rate);
  return `once in ${rounds < 20 ? rounds : rounds < 100 ? 5 * Math.round(rounds / 5) : 50 * Math.round(rounds / 50)} rounds`;
}
