import { type GuardMap, type GuardMapInput, MapSchema } from '../model/map.ts';

/** A map small enough to reason about by hand: sleeve and collar, one sweep, one choke, one strip. */
export function smallMap(changes: Partial<GuardMapInput> = {}): GuardMap {
  return MapSchema.parse({
    format: 'aftersquall-map',
    version: 1,
    id: 'small',
    name: 'Small',
    systems: [{ id: 'collar-sleeve', name: 'Collar and sleeve' }],
    reactions: [
      {
        id: 'strip-collar',
        name: 'Strips the collar grip',
        group: 'arms & grips',
        breaks: [{ part: 'collar' }],
        changes: { 'top.handR': 'gripping' },
        script: 'Two hands on the wrist, push it off.',
      },
      {
        id: 'post-left',
        name: 'Posts the left hand',
        group: 'posting & base',
        changes: { 'top.handL': 'posted' },
      },
    ],
    positions: [
      {
        id: 'start',
        name: 'Collar and far sleeve',
        systems: ['collar-sleeve'],
        leadSide: 'L',
        entry: 1,
        holds: [
          {
            id: 'collar',
            contacts: ['handR'],
            action: 'grip',
            target: { of: 'top', part: 'collar', side: 'R' },
            depth: 'deep',
          },
          {
            id: 'sleeve',
            contacts: ['handL'],
            action: 'grip',
            target: { of: 'top', part: 'sleeve', side: 'R', at: 'cuff' },
          },
          { id: 'hip', contacts: ['footL'], action: 'place', target: { of: 'top', part: 'hip', side: 'R' } },
        ],
        looks: [
          { id: 'pull', name: 'Pull', reactions: [{ id: 'strip-collar' }] },
          { id: 'tilt', name: 'Tilt', reactions: [{ id: 'post-left' }] },
        ],
      },
      {
        id: 'cross',
        name: 'Two on one',
        systems: ['collar-sleeve'],
        leadSide: 'R',
        holds: [
          {
            id: 'both',
            contacts: ['handL', 'handR'],
            action: 'two-on-one',
            target: { of: 'top', part: 'sleeve', side: 'R', at: 'cuff' },
          },
        ],
        looks: [{ id: 'roll', name: 'Roll' }],
      },
    ],
    moves: [
      {
        id: 'gather',
        position: 'start',
        look: 'pull',
        name: 'Gather the sleeve with both hands',
        kind: 'connect',
        needsHolds: [{ part: 'sleeve', side: 'R' }],
        steps: [
          {
            id: 's1',
            text: 'Bring the free hand to the sleeve.',
            release: ['handL'],
            take: [
              {
                id: 'both',
                contacts: ['handL', 'handR'],
                action: 'two-on-one',
                target: { of: 'top', part: 'sleeve', side: 'R', at: 'cuff' },
              },
            ],
          },
        ],
      },
      {
        id: 'choke',
        position: 'start',
        look: 'pull',
        name: 'Collar choke',
        kind: 'submission',
        needsHolds: [{ part: 'collar', action: 'grip' }],
        needs: [{ facet: 'top.stance', values: ['kneeling'] }],
        hazards: ['strangle'],
        seconds: 10,
      },
      {
        id: 'tilt',
        position: 'start',
        look: 'tilt',
        name: 'Tilt to the side',
        kind: 'sweep',
        needs: [{ facet: 'top.handL', values: ['free', 'gripping'] }],
        seconds: 6,
      },
      { id: 'roll', position: 'cross', look: 'roll', name: 'Roll under', kind: 'sweep', seconds: 12 },
    ],
    exchanges: [
      {
        id: 'gather-strip',
        move: 'gather',
        reaction: { id: 'strip-collar' },
        to: { position: 'cross' },
        chance: 0.7,
        basis: 'coach',
      },
      {
        id: 'choke-none',
        move: 'choke',
        reaction: 'none',
        to: { outcome: 'submission' },
        chance: 0.4,
        basis: 'coach',
      },
      {
        id: 'tilt-none',
        move: 'tilt',
        reaction: 'none',
        to: { outcome: 'top-side' },
        chance: 0.5,
        basis: 'coach',
      },
      {
        id: 'roll-none',
        move: 'roll',
        reaction: 'none',
        to: { position: 'start', mirrored: true },
        chance: 0.5,
        basis: 'coach',
      },
    ],
    ...changes,
  });
}
