import { describe, expect, it } from 'vitest';
import { applyCommand } from '../documents/applyCommand.ts';
import type { Hold } from '../model/hold.ts';
import type { GuardMap } from '../model/map.ts';
import { MechanicSchema } from '../model/mechanic.ts';
import { ReactionSchema } from '../model/reaction.ts';
import { SHIPPED_PROFILES } from '../rules/shippedProfiles.ts';
import { smallMap } from '../test/smallMap.ts';
import { outcomePoints } from '../weigh/game/outcomePoints.ts';
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

/** The roll, answering a reaction with words of its own. */
const freed = (feel: string): GuardMap =>
  change((map) => {
    map.reactions.push(
      ReactionSchema.parse({ id: 'gives', name: 'Gives it back', group: 'arms & grips', feel }),
    );
    map.exchanges.push({
      id: 'roll-gives',
      move: map.moves[3]!.id,
      reaction: { id: 'gives' },
      to: { outcome: 'back' },
      chance: 0.2,
      basis: 'coach',
    });
  });

const dosed = (dose: string): GuardMap =>
  change((map) => {
    map.mechanics = [
      MechanicSchema.parse({ id: 'drag', name: 'Sleeve drag', form: 'pair', how: 'Drag it across.', dose }),
    ];
  });

const kneeGrip: Hold = {
  id: 'k',
  contacts: ['handL'],
  action: 'grip',
  target: { of: 'own', part: 'knee', side: 'R' },
};

/** Four positions alike, of which three list the strip; the fourth too, unless it is left out. */
function likePositions(leaveOut: boolean): GuardMap {
  const map = smallMap();
  const [start] = map.positions;
  const list = Array.from({ length: 4 }, (_, i) => ({
    ...start!,
    id: `p${i}`,
    name: `Position ${i}`,
    looks: [{ ...start!.looks[0]!, reactions: [{ id: leaveOut && i === 3 ? 'post-left' : 'strip-collar' }] }],
  }));
  const moves = list.map(({ id }) => ({ ...map.moves[0]!, id: `m-${id}`, position: id }));
  return { ...map, positions: list, moves, exchanges: [] };
}

/** The choke against the strip of the collar that it rests on. */
const stripped = (chance: number, note?: string): GuardMap =>
  change((map) =>
    map.exchanges.push({
      id: 'choke-strip',
      move: 'choke',
      reaction: { id: 'strip-collar' },
      to: { outcome: 'submission' },
      chance,
      basis: 'coach',
      ...(note && { note }),
    }),
  );

/** The roll, in one apparel, made of a movement that is taught on a sleeve. */
const rolled = (apparel: 'gi' | 'no-gi'): GuardMap =>
  change((map) => {
    map.mechanics = [
      MechanicSchema.parse({
        id: 'drag',
        name: 'Sleeve drag',
        form: 'pair',
        how: 'Pull the cuff past the hip.',
      }),
    ];
    Object.assign(map.moves[3]!, { apparel, mechanics: ['drag'] });
  });

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
    'No round gets to "Two on one": nothing leads to it and no round starts there.',
    smallMap(),
  ],
  ['no-entry', change((map) => (map.positions[0]!.entry = 0)), 'Rounds start nowhere yet.', smallMap()],
  [
    'dead-end',
    change((map) => {
      map.moves.pop();
      map.exchanges.pop();
    }),
    '"Two on one" is a dead end: you have no move there.',
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
    'In "Collar and far sleeve", you have no answer with "Collar choke" when top strips the collar grip.',
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
    'An answer of "Collar choke" has a chance of 1.2.',
    smallMap(),
  ],
  [
    'missing-basis',
    change((map) => delete map.exchanges[1]!.basis),
    'An answer of "Collar choke" does not say where its figure comes from.',
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
    '"Gather the sleeve with both hands" lets go of the far sleeve at the cuff, a grip you must not lose.',
    change((map) => {
      map.positions[0]!.holds[1]!.keep = true;
    }),
  ],
  [
    'impossible-signs',
    change((map) => (map.positions[0]!.signs = { 'top.posture': 'upright', 'top.head': 'posted' })),
    'In "Collar and far sleeve" top\'s posture upright and top\'s head posted cannot both be so.',
    change((map) => (map.positions[0]!.signs = { 'top.posture': 'broken', 'top.head': 'posted' })),
  ],
  [
    'impossible-signs',
    change((map) => {
      map.positions[0]!.signs = { 'top.stance': 'standing', 'top.legL': 'lifted', 'top.legR': 'lifted' };
    }),
    'In "Collar and far sleeve" top\'s left leg lifted and top\'s right leg lifted cannot both be so.',
    change((map) => {
      map.positions[0]!.signs = { 'top.stance': 'on-back', 'top.legL': 'lifted', 'top.legR': 'lifted' };
    }),
  ],
  [
    'impossible-signs',
    change((map) => {
      map.positions[0]!.signs = { 'top.handL': 'posted' };
      map.positions[0]!.topHolds = [kneeGrip];
    }),
    'In "Collar and far sleeve" top\'s left hand posted, yet it holds.',
    change((map) => {
      map.positions[0]!.signs = { 'top.handL': 'gripping' };
      map.positions[0]!.topHolds = [kneeGrip];
    }),
  ],
  [
    'need-not-given',
    change((map) => map.moves[3]!.needs.push({ facet: 'top.weight', values: ['forward'], mark: 'must' })),
    '"Roll under" needs top\'s weight forward, which neither "Two on one" nor anything top does there gives.',
    change((map) => {
      map.moves[3]!.needs.push({ facet: 'top.weight', values: ['forward'], mark: 'must' });
      map.reactions[1]!.changes = { 'top.weight': 'forward' };
      map.positions[1]!.looks[0]!.reactions.push({ id: 'post-left' });
    }),
  ],
  [
    'need-not-given',
    change((map) => map.moves[3]!.needsHolds.push({ part: 'ankle' })),
    '"Roll under" needs a hold on the ankle, which neither "Two on one" nor anything top does there gives.',
    smallMap(),
  ],
  [
    'endless-loop',
    change((map) => {
      map.moves = map.moves.filter(({ id }) => id === 'gather' || id === 'roll');
      map.exchanges = map.exchanges.filter(({ move }) => move === 'gather' || move === 'roll');
    }),
    '"Collar and far sleeve" and "Two on one" only lead to each other: no round ever ends there.',
    smallMap(),
  ],
  [
    'attack-without-hazard',
    change((map) => (map.moves[1]!.hazards = [])),
    '"Collar choke" attacks a joint or the neck and names no hazard.',
    smallMap(),
  ],
  [
    'order-fault',
    change((map) => {
      map.moves[0]!.steps[0]!.after = ['s2'];
      map.moves[0]!.steps.push({ id: 's2', text: 'Lie back.', take: [], release: [], seconds: 1 });
    }),
    'In "Gather the sleeve with both hands" step 1 comes before step 2, which has to be done first.',
    change((map) => {
      map.moves[0]!.steps.push({ id: 's2', text: 'Pull.', take: [], release: [], after: ['s1'], seconds: 1 });
    }),
  ],
  [
    'order-fault',
    change((map) => (map.moves[0]!.steps[0]!.after = ['gone'])),
    'In "Gather the sleeve with both hands" step 1 must come after a step that is not there.',
    smallMap(),
  ],
  [
    'opens-exposed',
    change((map) => {
      map.positions[0]!.signs = { 'own.heelL': 'exposed' };
      map.moves[0]!.steps[0]!.release = ['handL', 'footL'];
    }),
    '"Gather the sleeve with both hands" opens the left foot while own left heel is exposed.',
    change((map) => {
      map.positions[0]!.signs = { 'own.heelL': 'exposed' };
      map.moves[0]!.steps[0]!.release = ['handL', 'footL'];
      map.moves[0]!.steps[0]!.signs = { 'own.heelL': 'hidden' };
    }),
  ],
  [
    'bare-handover',
    change((map) => {
      map.moves[3]!.steps = [
        { id: 's1', text: 'Let go.', take: [], release: ['handL', 'handR'], seconds: 1 },
        { id: 's2', text: 'Roll.', take: [], release: [], seconds: 2 },
      ];
    }),
    '"Roll under" lets go of the near sleeve at the cuff and takes nothing: nothing holds top then.',
    change((map) => {
      map.moves[3]!.steps = [
        { id: 's1', text: 'One hand.', take: [], release: ['handL'], seconds: 1 },
        { id: 's2', text: 'Roll.', take: [], release: ['handR'], seconds: 2 },
      ];
    }),
  ],
  [
    'arrival-gap',
    change((map) => {
      map.moves[2]!.steps = [{ id: 's1', text: 'Tilt.', take: [], release: [], seconds: 1 }];
      map.exchanges[2]!.to = { position: 'cross' };
    }),
    '“Tilt to the side” arrives at “Two on one”, which has what no step takes: left hand and right hand two-on-one on the near sleeve at the cuff.',
    change((map) => (map.moves[2]!.steps = [{ id: 's1', text: 'Tilt.', take: [], release: [], seconds: 1 }])),
  ],
  [
    'free-post',
    change((map) => (map.moves[2]!.direction = 270)),
    '"Tilt to the side" sends top towards top\'s left (270°), where top\'s left hand can still come down.',
    change((map) => (map.moves[2]!.direction = 60)),
  ],
  [
    'unopposed-only',
    change((map) => (map.positions[1]!.looks[0]!.reactions = [])),
    '"Roll under" has no answer to any reaction yet.',
    change((map) => map.positions[1]!.looks[0]!.reactions.push({ id: 'post-left' })),
  ],
  [
    'untrained-reaction',
    smallMap(),
    '"Strips the collar grip" does not say how bottom feels it coming.',
    change((map) => (map.reactions[0]!.feel = 'Two hands come to your wrist.')),
  ],
  [
    'common-reaction',
    likePositions(true),
    '"Position 3" does not list "Strips the collar grip"; 3 of 3 positions like it do.',
    likePositions(false),
  ],
  [
    'roll-without-hazard',
    change((map) =>
      map.reactions.push(
        ReactionSchema.parse({
          id: 'roll',
          name: 'Rolls forward',
          group: 'turning & rolling',
          needs: [{ facet: 'top.elbowR', values: ['bent-trapped'] }],
        }),
      ),
    ),
    '“Rolls forward” turns over a trapped arm and names no hazard.',
    change((map) =>
      map.reactions.push(
        ReactionSchema.parse({
          id: 'roll',
          name: 'Rolls forward',
          group: 'turning & rolling',
          needs: [{ facet: 'top.elbowR', values: ['bent-trapped'] }],
          hazards: ['shoulder-lock'],
        }),
      ),
    ),
  ],
  [
    'broken-back',
    change((map) => {
      map.positions[1]!.holds.push(map.positions[0]!.holds[0]!);
      map.moves[0]!.steps[0]!.take[0]!.contacts = ['handL'];
      map.positions[1]!.holds[0]!.contacts = ['handL'];
    }),
    '“Gather the sleeve with both hands”, when top does “Strips the collar grip”, arrives at “Two on one”, which has again what was broken: right hand grips the near collar (cross, deep).',
    change((map) => {
      map.positions[1]!.holds.push(map.positions[0]!.holds[0]!);
      map.exchanges[0]!.note = 'the strip only loosens it';
    }),
  ],
  [
    'arrival-stance',
    change((map) => (map.positions[1]!.signs = { 'top.stance': 'standing' })),
    "“Gather the sleeve with both hands”, when top does “Strips the collar grip”, ends with top's stance kneeling; “Two on one” has top's stance standing.",
    change((map) => {
      map.positions[1]!.signs = { 'top.stance': 'standing' };
      map.moves[0]!.steps[0]!.signs = { 'top.stance': 'standing' };
    }),
  ],
  [
    'impossible-reaction',
    change((map) => (map.reactions[1]!.needs = [{ free: 'handR' }])),
    'In “Collar and far sleeve” top cannot do “Posts the left hand” about “Tilt”: it needs top’s right hand free, and bottom has the left hand grips the far sleeve at the cuff (same-side).',
    change((map) => (map.reactions[1]!.needs = [{ free: 'handL' }])),
  ],
  [
    'impossible-reaction',
    change(
      (map) => (map.reactions[1]!.needs = [{ facet: 'top.stance', values: ['standing'], mark: 'must' }]),
    ),
    "In “Collar and far sleeve” top cannot do “Posts the left hand” about “Tilt”: it needs top's stance standing.",
    change(
      (map) => (map.reactions[1]!.needs = [{ facet: 'top.stance', values: ['standing'], mark: 'helps' }]),
    ),
  ],
  [
    'impossible-reaction',
    change((map) => (map.reactions[1]!.changes = { 'top.stance': 'kneeling' })),
    'In “Collar and far sleeve” top cannot do “Posts the left hand” about “Tilt”: top is kneeling already.',
    change((map) => (map.reactions[1]!.changes = { 'top.stance': 'standing' })),
  ],
  [
    'impossible-reaction',
    change((map) => (map.reactions[1]!.changes = { 'top.handR': 'posted' })),
    'In “Collar and far sleeve” top cannot do “Posts the left hand” about “Tilt”: it makes top’s right hand posted, and bottom has the left hand grips the far sleeve at the cuff (same-side) unbroken.',
    change((map) => {
      map.reactions[1]!.changes = { 'top.handR': 'posted' };
      map.reactions[1]!.breaks = [{ part: 'sleeve' }];
    }),
  ],
  [
    'impossible-reaction',
    change((map) => (map.reactions[1]!.needs = [{ not: { part: 'collar' } }])),
    'In “Collar and far sleeve” top cannot do “Posts the left hand” about “Tilt”: bottom must not have a hold on the collar.',
    change((map) => (map.reactions[1]!.needs = [{ not: { part: 'belt' } }])),
  ],
  [
    'same-landing',
    change((map) => (map.exchanges[0]!.to = { position: 'start' })),
    '“Gather the sleeve with both hands”, when top does “Strips the collar grip”, goes to “Collar and far sleeve” whether it works or fails.',
    change((map) => {
      map.exchanges[0]!.to = { position: 'start' };
      map.exchanges[0]!.otherwise = { outcome: 'passed' };
    }),
  ],
  [
    'likelier-opposed',
    change((map) =>
      map.exchanges.push({
        ...map.exchanges[1]!,
        id: 'choke-strip',
        reaction: { id: 'strip-collar' },
        chance: 0.6,
      }),
    ),
    '“Collar choke” works better when top does “Strips the collar grip” (60 %) than when top does nothing (40 %).',
    change((map) =>
      map.exchanges.push({
        ...map.exchanges[1]!,
        id: 'choke-strip',
        reaction: { id: 'strip-collar' },
        chance: 0.6,
        note: 'their pull closes it',
      }),
    ),
  ],
  [
    'repeated-words',
    change((map) => {
      for (const move of map.moves.slice(0, 3)) move.cues = ['Elbows in.'];
    }),
    'The cue “Elbows in.” appears in 3 places.',
    change((map) => {
      for (const move of map.moves.slice(0, 2)) move.cues = ['Elbows in.'];
    }),
  ],
  [
    'cheap-break',
    stripped(0.38),
    '“Strips the collar grip” breaks the grip “Collar choke” needs, yet the move hardly suffers (40 % → 38 %).',
    stripped(0.2),
  ],
  [
    'cheap-break',
    stripped(0.38),
    '“Strips the collar grip” breaks the grip “Collar choke” needs, yet the move hardly suffers (40 % → 38 %).',
    stripped(0.38, 'the strip bares the neck'),
  ],
  [
    'leaning-words',
    change((map) => (map.moves[0]!.steps[0]!.text = 'Bring the free hand over, as above.')),
    '“Gather the sleeve with both hands” refers to words elsewhere: “Bring the free hand over, as above.”',
    change((map) => (map.moves[0]!.steps[0]!.text = 'Bring the free hand above the sleeve.')),
  ],
  [
    'wait-is-lost',
    change((map) =>
      Object.assign(map.positions[1]!, { cues: ['You may wait here.'], drift: { outcome: 'passed' } }),
    ),
    'In “Two on one” a cue says “You may wait here.”, but if you wait: guard passed.',
    change((map) =>
      Object.assign(map.positions[1]!, { cues: ['You may wait here.'], drift: { outcome: 'neutral' } }),
    ),
  ],
  [
    'cloth-mechanic',
    rolled('no-gi'),
    '“Roll under” works without the jacket, but “Sleeve drag” is taught on cloth.',
    rolled('gi'),
  ],
  [
    'absent-trigger',
    freed('gives back the lapel'),
    '“Roll under” answers “Gives it back”, but top has no reason to do it: its words name “lapel”, and nobody holds that.',
    freed('gives back the arm'),
  ],
  [
    'dose-too-long',
    dosed('3 × 10 a side'),
    '“Sleeve drag” takes at least 3 minutes (3 × 10 a side); a warm-up has two for it.',
    dosed('10 a side'),
  ],
  [
    'short-clash',
    change((map) => {
      for (const position of map.positions) position.short = 'Two sleeves';
    }),
    '“Collar and far sleeve” and “Two on one” are both called “Two sleeves”.',
    change((map) => Object.assign(map.positions[0]!, { short: 'Two sleeves' })),
  ],
  [
    'lets-unlisted',
    change((map) =>
      Object.assign(map.moves[3]!, { faults: [{ id: 'f1', text: 'lies flat', lets: ['strip-collar'] }] }),
    ),
    'The fault “lies flat” of “Roll under” lets top do “Strips the collar grip”, which “Two on one” does not list.',
    change((map) =>
      Object.assign(map.moves[0]!, { faults: [{ id: 'f1', text: 'lies flat', lets: ['strip-collar'] }] }),
    ),
  ],
  [
    'loss-without-tap',
    change((map) => (map.exchanges[3]!.otherwise = { outcome: 'submitted' })),
    '“Roll under”, when top does nothing, can end with bottom caught, and nothing says when to tap.',
    change((map) =>
      Object.assign(map.exchanges[3]!, {
        otherwise: { outcome: 'submitted' },
        note: 'else: the arm is straight: tap',
      }),
    ),
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

  it('ask what things are worth only where that is known', () => {
    const weighed = {
      positions: { start: 0.5, cross: -1 },
      outcomes: outcomePoints({ submissionWorth: 8 }),
      waiting: ['cross'],
    };
    const map = change((changed) => {
      changed.exchanges[0]!.otherwise = { outcome: 'recovered' };
      const pass = {
        ...changed.positions[1]!,
        id: 'pass',
        name: 'Pass begun',
        holds: [],
        signs: { 'top.line': 'knee-L' as const },
      };
      changed.positions.push(pass);
      changed.positions[1]!.holds.push(changed.positions[0]!.holds[0]!);
    });
    const found = (context: Parameters<typeof validateMap>[1]) =>
      validateMap(map, context)
        .filter(({ code }) => ['worthless-success', 'never-played', 'worthless-holds'].includes(code))
        .map(({ sentence }) => sentence);
    expect(found({})).toEqual([]);
    expect(found({ weighed: { ...weighed, positions: { ...weighed.positions, pass: -0.5 } } })).toEqual([
      '“Gather the sleeve with both hands” pays more when it fails (“guard recovered”, 0.00 points) than when it works (“Two on one”, −1.00 points).',
      'You hold more in “Two on one”, but the figures (−1.00 points) say it is worse than a started pass (−0.50).',
      'In “Two on one” waiting beats every move.',
    ]);
    const fine = { ...weighed, positions: { start: 0.5, cross: 0.5, pass: -0.5 }, waiting: [] };
    expect(found({ weighed: fine })).toEqual([]);
  });

  it('name the nearest allowed move when the rules bar one, and only under rules', () => {
    const map = change((changed) => {
      changed.moves[1]!.hazards = ['heel-hook'];
      changed.moves[2]!.hazards = ['scissor-takedown'];
    });
    const rules = {
      ...SHIPPED_PROFILES[0]!,
      barred: ['heel-hook' as const],
      refereeRisk: ['scissor-takedown' as const],
      name: 'House',
    };
    const barred = validateMap(map, { rules }).filter(({ code }) =>
      ['barred-move', 'referee-risk'].includes(code),
    );
    expect(barred.map(({ sentence, mend }) => [sentence, mend])).toEqual([
      [
        '"Collar choke": heel hook is barred under House.',
        'From the same position "Gather the sleeve with both hands" is allowed.',
      ],
      [
        '"Tilt to the side": scissor takedown is a referee\'s risk under House.',
        'From the same position "Gather the sleeve with both hands" is allowed.',
      ],
    ]);
    expect(sentences(map, 'barred-move')).toEqual([]);
  });

  it('are gone once a mend that is offered is taken', () => {
    const offered = CASES.flatMap(([, bad]) =>
      validateMap(bad).flatMap((f) => (f.command ? [{ bad, f }] : [])),
    );
    expect(new Set(offered.map(({ f }) => f.code))).toEqual(
      new Set([
        'attack-without-hazard',
        'missing-basis',
        'order-fault',
        'release-not-held',
        'cloth-no-gi',
        'no-entry',
      ]),
    );
    for (const { bad, f } of offered) {
      const mended = applyCommand(bad, f.command!).document;
      const left = validateMap(mended).filter(
        ({ code, place }) => code === f.code && place.path === f.place.path,
      );
      expect(left.map(({ sentence }) => sentence)).not.toContain(f.sentence);
    }
  });

  it('come errors first, each with place and mend', () => {
    const findings = validateMap(change((map) => map.positions[0]!.holds.push(map.positions[0]!.holds[0]!)));
    const order = findings.map(({ severity }) => ['error', 'warning', 'note'].indexOf(severity));
    expect(order).toEqual([...order].sort());
    for (const finding of findings) expect([finding.place.id, finding.mend].every(Boolean)).toBe(true);
  });
});
