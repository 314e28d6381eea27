import { seeded } from '../game/seeded.ts';
import { CONTACTS } from '../model/contacts.ts';
import { type GuardMap, type GuardMapInput, MapSchema } from '../model/map.ts';
import { OUTCOMES } from '../model/outcome.ts';
import { REACTION_GROUPS } from '../model/reaction.ts';

type HoldInput = NonNullable<NonNullable<GuardMapInput['positions']>[number]['holds']>[number];
type Lists = Required<Pick<GuardMapInput, 'positions' | 'moves' | 'exchanges'>>;

const TARGETS = ['wrist', 'elbow', 'ankle', 'knee', 'hip', 'neck', 'shoulder', 'thigh'] as const;
const STANCES = ['kneeling', 'standing', 'half-kneeling', 'seated'] as const;

/** A crowded map: positions in systems of thirty, two moves each, five exchanges a position, seeded. */
export function bigMap({ positions = 300, reactions = 40, seed = 1 } = {}): GuardMap {
  const next = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const systems = Math.max(1, Math.round(positions / 30));
  const lists: Lists = { positions: [], moves: [], exchanges: [] };
  const reactionIds = Array.from({ length: reactions }, (_, i) => `r${i}`);
  const systemOf = (i: number) => `s${i % systems}`;
  const landing = (from: number) => {
    if (next() < 0.3) return { outcome: pick(OUTCOMES) };
    // Mostly on within the system, sometimes over into another one.
    const step = next() < 0.85 ? systems * (1 + Math.floor(next() * 4)) : 1 + Math.floor(next() * 7);
    return { position: `p${(from + step) % positions}`, ...(next() < 0.1 && { mirrored: true }) };
  };
  for (let i = 0; i < positions; i++) {
    const met = Array.from(new Set([pick(reactionIds), pick(reactionIds)]));
    const holds = CONTACTS.slice(0, 4).map(
      (contact, n): HoldInput => ({
        id: `h${n}`,
        contacts: [contact],
        action: 'grip',
        target: { of: 'top', part: TARGETS[((i % systems) + n) % TARGETS.length]!, side: 'R' },
      }),
    );
    lists.positions.push({
      id: `p${i}`,
      name: `Position ${i}`,
      systems: [systemOf(i)],
      ...(i < systems && { entry: 1 }),
      holds,
      signs: { 'top.stance': pick(STANCES), 'own.torso': 'on-back' },
      looks: [{ id: 'l', name: 'Pull', reactions: met.map((id) => ({ id })) }],
      cues: ['Elbows in.'],
    });
    for (const [n, kind] of (['connect', 'sweep'] as const).entries()) {
      const move = `m${i}-${n}`;
      lists.moves.push({
        id: move,
        position: `p${i}`,
        look: 'l',
        name: `Move ${i}-${n}`,
        kind,
        steps: [
          { id: 's1', text: 'Pull.', release: ['handL'], seconds: 2 },
          { id: 's2', text: 'Take it again.', take: holds.slice(0, 1), seconds: 2 },
        ],
        ...(kind === 'sweep' && { direction: Math.floor(next() * 360) }),
      });
      const reaction = [...met.slice(0, 2 - n).map((id) => ({ id })), 'none' as const];
      for (const [k, ref] of reaction.entries()) {
        lists.exchanges.push({
          id: `e${i}-${n}-${k}`,
          move,
          reaction: ref,
          to: landing(i),
          chance: Math.round(next() * 100) / 100,
          basis: 'coach',
        });
      }
    }
  }
  return MapSchema.parse({
    format: 'aftersquall-map',
    version: 1,
    id: 'crowded',
    name: 'Crowded',
    systems: Array.from({ length: systems }, (_, i) => ({ id: `s${i}`, name: `System ${i}` })),
    reactions: reactionIds.map((id, i) => ({
      id,
      name: `Reaction ${i}`,
      group: REACTION_GROUPS[i % REACTION_GROUPS.length]!,
      changes: { 'top.weight': pick(['forward', 'back', 'centred'] as const) },
      feel: 'Felt.',
      script: 'Given.',
    })),
    ...lists,
  });
}
