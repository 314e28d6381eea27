import { describe, expect, it } from 'vitest';
import type { GuardMap } from '../model/map.ts';
import { smallMap } from '../test/smallMap.ts';
import { validateMap } from './validateMap.ts';

const change = (edit: (map: GuardMap) => void): GuardMap => {
  const map = structuredClone(smallMap());
  edit(map);
  return map;
};
const sentences = (map: GuardMap, code: string) =>
  validateMap(map)
    .filter((finding) => finding.code === code)
    .map(({ sentence }) => sentence);

/** One map that has the finding, what it says, and the same map mended. */
const CASES: [code: string, bad: GuardMap, says: string, mended: GuardMap][] = [
  [
    'limb-conflict',
    change((map) =>
      map.positions[0]!.holds.push({
        id: 'x',
        contacts: ['handL'],
        action: 'grip',
        target: { of: 'top', part: 'ankle', side: 'L' },
      }),
    ),
    'In "Collar and far sleeve" left hand holds the far sleeve at the cuff and the near ankle.',
    change((map) =>
      map.positions[0]!.holds.push({
        id: 'x',
        contacts: ['footR'],
        action: 'hook',
        target: { of: 'top', part: 'ankle', side: 'L' },
      }),
    ),
  ],
  [
    'unreachable',
    change((map) => (map.exchanges[0]!.to = { outcome: 'neutral' })),
    'No round comes to "Two on one": nothing leads to it and it is no entry.',
    smallMap(),
  ],
  [
    'no-entry',
    change((map) => (map.positions[0]!.entry = 0)),
    'No position is marked as one where a round can start.',
    smallMap(),
  ],
  [
    'dead-end',
    change((map) => {
      map.moves.pop();
      map.exchanges.pop();
    }),
    '"Two on one" is a dead end: bottom has no move there.',
    smallMap(),
  ],
  [
    'no-exchange',
    change((map) => map.exchanges.pop()),
    '"Roll under" from "Two on one" leads nowhere yet.',
    smallMap(),
  ],
  [
    'hole',
    smallMap(),
    'In "Collar and far sleeve", "Collar choke" has no answer when top strips the collar grip.',
    change((map) => (map.positions[0]!.looks[0]!.reactions = [])),
  ],
  [
    'bad-reference',
    change((map) => (map.moves[0]!.position = 'gone')),
    'In the move "gather": there is no position "gone".',
    smallMap(),
  ],
  [
    'chance-range',
    change((map) => (map.exchanges[1]!.chance = 1.2)),
    'An exchange of "Collar choke" has a chance of 1.2.',
    smallMap(),
  ],
  [
    'missing-basis',
    change((map) => delete map.exchanges[1]!.basis),
    'An exchange of "Collar choke" does not say where its chance comes from.',
    smallMap(),
  ],
  [
    'cloth-no-gi',
    change((map) => (map.positions[1]!.apparel = 'no-gi')),
    '"Two on one" is no-gi, but a hold is on the sleeve.',
    smallMap(),
  ],
  [
    'release-not-held',
    change((map) => map.moves[0]!.steps[0]!.release.push('footR')),
    '"Gather the sleeve with both hands" lets go with the right foot, which holds nothing.',
    smallMap(),
  ],
  [
    'keep-released',
    change((map) => {
      map.positions[0]!.holds[1]!.keep = true;
      map.moves[0]!.steps.push({ id: 's2', text: 'Pull.', take: [], release: [], seconds: 1 });
    }),
    '"Gather the sleeve with both hands" lets go of the far sleeve at the cuff, which is marked to be kept.',
    change((map) => {
      map.positions[0]!.holds[1]!.keep = true;
    }),
  ],
];

describe('findings', () => {
  it.each(CASES)('%s is found where it is, and not where it is not', (code, bad, says, mended) => {
    expect(sentences(bad, code)).toContain(says);
    expect(sentences(mended, code)).not.toContain(says);
  });

  it('a step onto a busy limb is a limb conflict, unless a reaction has freed the limb', () => {
    // Gathering the sleeve takes the collar hand: possible only because the strip freed it.
    expect(sentences(smallMap(), 'limb-conflict')).toEqual([]);
    const unfreed = change((map) => (map.reactions[0]!.breaks = []));
    expect(sentences(unfreed, 'limb-conflict')).toEqual([
      'In "Gather the sleeve with both hands" the right hand takes the far sleeve at the cuff while it holds the far collar.',
    ]);
  });

  it('come errors first, each with place and mend', () => {
    const findings = validateMap(change((map) => map.positions[0]!.holds.push(map.positions[0]!.holds[0]!)));
    const order = findings.map(({ severity }) => ['error', 'warning', 'note'].indexOf(severity));
    expect(order).toEqual([...order].sort());
    for (const finding of findings) expect([finding.place.id, finding.mend].every(Boolean)).toBe(true);
  });
});
