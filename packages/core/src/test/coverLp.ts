import type { CoverInput } from '../lesson/cover/coverArcs.ts';

/** The flow bound of a cover as a linear program in the LP text format, for a general solver. */
export function coverLp({ arcs, positions, entries, resetSeconds, coldStartSeconds }: CoverInput): string {
  const walk = (i: number) => `x${i}`;
  const start = (i: number) => `s${i}`;
  const end = (i: number) => `t${i}`;
  const objective = [
    ...arcs.map((arc, i) => `${arc.seconds} ${walk(i)}`),
    ...positions.map(
      (position, i) => `${resetSeconds + (entries.includes(position) ? 0 : coldStartSeconds)} ${start(i)}`,
    ),
  ];
  const balance = positions.map((position, i) => {
    const terms = [start(i), `- ${end(i)}`];
    arcs.forEach((arc, j) => {
      if (arc.from === arc.to) return;
      if (arc.to === position) terms.push(`+ ${walk(j)}`);
      if (arc.from === position) terms.push(`- ${walk(j)}`);
    });
    return ` c${i}: ${terms.join(' ')} = 0`;
  });
  const bounds = arcs.flatMap((arc, i) => (arc.mustCover ? [` ${walk(i)} >= 1`] : []));
  return [
    'Minimize',
    ` obj: ${objective.join(' + ')}`,
    'Subject To',
    ...balance,
    'Bounds',
    ...bounds,
    'End',
  ].join('\n');
}
