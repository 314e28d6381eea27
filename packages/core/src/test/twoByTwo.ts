import { type GuardMap, type GuardMapInput, MapSchema } from '../model/map.ts';

/** One position with one look, two moves, two reactions; every cell an exchange unless left out. */
export function twoByTwo(changes: (map: GuardMapInput) => void = () => undefined): GuardMap {
  const map: GuardMapInput = {
    format: 'aftersquall-map',
    version: 1,
    id: 'two',
    name: 'Two',
    reactions: ['left', 'right'].map((id) => ({ id, name: id, group: 'posting & base' as const })),
    positions: [
      {
        id: 'p',
        name: 'P',
        entry: 1,
        holds: [
          { id: 'h', contacts: ['handL'], action: 'grip', target: { of: 'top', part: 'wrist', side: 'R' } },
        ],
        looks: [{ id: 'l', name: 'L', reactions: [{ id: 'left' }, { id: 'right' }] }],
      },
    ],
    moves: ['choke', 'sweep'].map((id) => ({
      id,
      position: 'p',
      look: 'l',
      name: id,
      kind: id === 'choke' ? ('submission' as const) : ('sweep' as const),
      hazards: id === 'choke' ? (['strangle'] as const).slice() : [],
      seconds: 8,
    })),
    exchanges: [
      ['choke', 'left', 0.8],
      ['choke', 'right', 0.1],
      ['sweep', 'left', 0.1],
      ['sweep', 'right', 0.8],
    ].map(([move, reaction, chance]) => ({
      id: `${move}-${reaction}`,
      move: String(move),
      reaction: { id: String(reaction) },
      to: { outcome: 'back' as const },
      otherwise: { outcome: 'neutral' as const },
      chance: Number(chance),
      basis: 'coach' as const,
    })),
  };
  changes(map);
  return MapSchema.parse(map);
}
