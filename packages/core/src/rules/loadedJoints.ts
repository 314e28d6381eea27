import type { HazardTag } from '../model/hazards.ts';
import { indexMap } from '../model/indexMap.ts';
import { JOINTS, type Joint, type Loads } from '../model/joint.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import { isOutcome } from '../model/outcome.ts';

/** The joints that a hazard puts at risk in the one it is done to. Common practice, no published source. */
const AT_RISK: Record<HazardTag, readonly Joint[]> = {
  'heel-hook': ['knee', 'ankle'],
  'knee-reap': ['knee'],
  'knee-bar': ['knee'],
  'toe-hold': ['ankle', 'knee'],
  'calf-slicer': ['knee'],
  'straight-ankle': ['ankle'],
  'wrist-lock': ['wrist'],
  'shoulder-lock': ['shoulder'],
  'elbow-lock': ['elbow'],
  'neck-crank': ['neck'],
  'spine-lock': ['back', 'neck'],
  strangle: ['neck'],
  'scissor-takedown': ['knee', 'ankle'],
  slam: ['neck', 'back'],
  jump: ['knee', 'ankle'],
};

/** Whose joints are asked about: those of the one who does the move, or of the one it is done to. */
export type MoveRole = 'does' | 'receives';

/**
 * Every joint that a move loads, and how much. In the one who does it: the worst of the move, its mechanics, its position
 * and the position it leads to when top does nothing. In the one it is done to: what its hazards put at risk, all of it hard.
 */
export function loadedJoints(map: GuardMap, move: Move, role: MoveRole = 'does'): Loads {
  if (role === 'receives')
    return Object.fromEntries(
      JOINTS.filter((joint) => move.hazards.some((tag) => AT_RISK[tag].includes(joint))).map((joint) => [
        joint,
        'hard',
      ]),
    );
  const index = indexMap(map);
  const unopposed = index.exchangesOf(move.id).find(({ reaction }) => reaction === 'none');
  const landing =
    unopposed && !isOutcome(unopposed.to) ? index.position.get(unopposed.to.position) : undefined;
  const sources = [
    move.loads,
    ...move.mechanics.map((id) => index.mechanic.get(id)?.loads),
    index.position.get(move.position)?.loads,
    landing?.loads,
  ];
  return Object.fromEntries(
    JOINTS.flatMap((joint) => {
      const loads = sources.map((source) => source?.[joint]);
      const worst = loads.includes('hard') ? 'hard' : loads.includes('some') ? 'some' : undefined;
      return worst ? [[joint, worst]] : [];
    }),
  );
}

/** Whether a move is nothing for somebody who spares some joints: it loads one of them hard. */
export function loadsAny(
  map: GuardMap,
  move: Move,
  joints: readonly Joint[],
  role: MoveRole = 'does',
): boolean {
  if (joints.length === 0) return false;
  const loads = loadedJoints(map, move, role);
  return joints.some((joint) => loads[joint] === 'hard');
}
