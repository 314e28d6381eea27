import { signWords } from '../../body/words.ts';
import { FACETS, type Facet, type Signs, signOf } from '../../model/signs.ts';
import type { PositionCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

type Half = [facet: string, values: string[]];

/** Pairs of signs that no body shows at once. `*` stands for each side. Common practice, no published source. */
const PAIRS: [Half, Half][] = [
  [
    ['top.stance', ['on-back', 'all-fours']],
    ['top.posture', ['upright']],
  ],
  [
    ['top.posture', ['upright']],
    ['top.head', ['posted', 'pinned', 'low']],
  ],
  [
    ['top.range', ['out-of-reach']],
    ['top.line', ['knee-L', 'knee-R', 'hip-L', 'hip-R']],
  ],
  [
    ['top.hand*', ['posted', 'blocking']],
    ['top.elbow*', ['bent-trapped']],
  ],
  [
    ['own.torso', ['standing', 'kneeling']],
    ['own.hips', ['raised']],
  ],
];

/** Both legs of a player who is on the feet cannot be off the mat. */
const STANDING = ['standing', 'squatting', 'half-kneeling'];
const IN_THE_AIR = ['lifted', 'stepped-over'];

function conflicts(signs: Signs): [Facet, Facet][] {
  const found: [Facet, Facet][] = [];
  const has = (facet: string, values: string[]) =>
    facet in FACETS && values.includes(signOf(signs, facet as Facet));
  for (const [[a, aValues], [b, bValues]] of PAIRS) {
    for (const side of a.includes('*') ? ['L', 'R'] : ['']) {
      const [first, second] = [a.replace('*', side), b.replace('*', side)];
      // A default that nobody wrote is no statement.
      const said = first in signs && second in signs;
      if (said && has(first, aValues) && has(second, bValues)) found.push([first as Facet, second as Facet]);
    }
  }
  const legs = ['top.legL', 'top.legR'] as const;
  if (STANDING.includes(signOf(signs, 'top.stance')) && legs.every((leg) => has(leg, IN_THE_AIR)))
    found.push(['top.legL', 'top.legR']);
  return found;
}

/** Two signs of one position that cannot both be so, or a posted hand that also holds. */
export const impossibleSigns: PositionCheck = (_, position) => {
  const { signs } = position;
  const pairs = conflicts(signs).map(([a, b]) => ({
    words: `${signWords(a, signOf(signs, a))} and ${signWords(b, signOf(signs, b))} cannot both be so`,
    path: `signs.${a}`,
  }));
  const busy = (['handL', 'handR'] as const)
    .filter(
      (hand) =>
        signs[`top.${hand}`] === 'posted' && position.topHolds.some((hold) => hold.contacts.includes(hand)),
    )
    .map((hand) => ({
      words: `${signWords(`top.${hand}`, 'posted')}, yet it holds`,
      path: `signs.top.${hand}`,
    }));
  return [...pairs, ...busy].map(
    ({ words, path }): Finding => ({
      code: 'impossible-signs',
      severity: 'error',
      place: { kind: 'position', id: position.id, path },
      sentence: `In "${position.name}" ${words}.`,
      mend: 'Remove one of the two.',
    }),
  );
};
