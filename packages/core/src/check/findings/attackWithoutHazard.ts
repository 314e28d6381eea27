import { edit } from '../../documents/edit.ts';
import type { HazardTag } from '../../model/hazards.ts';
import { indexMap } from '../../model/indexMap.ts';
import { isOutcome } from '../../model/outcome.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Check, Finding } from '../finding.ts';

/** What the usual names of attacks say of their danger. */
const NAMES: [RegExp, HazardTag][] = [
  [/heel hook/i, 'heel-hook'],
  [/knee ?bar/i, 'knee-bar'],
  [/toe hold/i, 'toe-hold'],
  [/calf/i, 'calf-slicer'],
  [/ankle lock|foot lock/i, 'straight-ankle'],
  [/wrist lock/i, 'wrist-lock'],
  [/shoulder lock|omoplata|figure[- ]four/i, 'shoulder-lock'],
  [/arm ?lock|arm ?bar|elbow lock/i, 'elbow-lock'],
  [/neck crank/i, 'neck-crank'],
  [/choke|strangle|triangle|guillotine/i, 'strangle'],
];

function hazardsInName(name: string): HazardTag[] {
  return NAMES.filter(([pattern]) => pattern.test(name)).map(([, tag]) => tag);
}

/** A move that ends in a submission and carries no hazard: nobody would be warned. */
export const attackWithoutHazard: MoveCheck = (map, move): Finding[] => {
  const attacks =
    move.kind === 'submission' ||
    indexMap(map)
      .exchangesOf(move.id)
      .some(({ to }) => isOutcome(to) && to.outcome === 'submission');
  if (move.hazards.length > 0 || !attacks) return [];
  const hazards = hazardsInName(move.name);
  return [
    {
      code: 'attack-without-hazard',
      severity: 'warning',
      place: { kind: 'move', id: move.id, path: 'hazards' },
      sentence: `"${move.name}" attacks a joint or the neck and names no hazard.`,
      mend:
        hazards.length > 0
          ? `Mark it: ${hazards.map((tag) => tag.replaceAll('-', ' ')).join(', ')}.`
          : 'Mark what it can hurt. Then sheets and calls show the caution.',
      ...(hazards.length > 0 && { command: edit('move', move, { ...move, hazards }) }),
    },
  ];
};

/** Who rolls or turns over an arm that is held bent loads its shoulder: the caution belongs to the reaction. */
export const rollWithoutHazard: Check = ({ reactions }) =>
  reactions
    .filter(
      ({ group, needs, hazards = [] }) =>
        group === 'turning & rolling' &&
        hazards.length === 0 &&
        needs.some((need) => 'facet' in need && need.values.includes('bent-trapped')),
    )
    .map(
      ({ id, name }): Finding => ({
        code: 'roll-without-hazard',
        severity: 'warning',
        place: { kind: 'reaction', id, path: 'hazards' },
        sentence: `“${name}” turns over a trapped arm and names no hazard.`,
        mend: 'Mark what it can hurt. Then calls show the caution.',
      }),
    );
