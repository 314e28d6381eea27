import type { HazardTag } from '../model/hazards.ts';
import { JOINTS, type Joint } from '../model/joint.ts';
import type { Move } from '../model/move.ts';

/** The joints that a hazard puts at risk, in either role. Common practice, no published source. */
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

/** The joints that a way of moving loads in the one who does it. Common practice, no published source. */
const LOADED: Record<string, readonly Joint[]> = {
  inversion: ['neck', 'back'],
  'shoulder roll': ['neck', 'shoulder'],
  bridge: ['neck'],
  'technical stand-up': ['wrist'],
};

/** Every joint that a move loads, by its hazards and its mechanics. */
export function loadedJoints({ hazards, mechanics }: Pick<Move, 'hazards' | 'mechanics'>): Joint[] {
  const all = [
    ...hazards.flatMap((tag) => AT_RISK[tag]),
    ...mechanics.flatMap((name) => LOADED[name.toLowerCase()] ?? []),
  ];
  return JOINTS.filter((joint) => all.includes(joint));
}

/** Whether a move loads one of some joints. */
export function loadsAny(move: Pick<Move, 'hazards' | 'mechanics'>, joints: readonly Joint[]): boolean {
  return joints.length > 0 && loadedJoints(move).some((joint) => joints.includes(joint));
}
