import { edit } from '../../documents/edit.ts';
import type { HazardTag } from '../../model/hazards.ts';
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

/** A submission that carries no hazard: nobody would be warned. */
export const attackWithoutHazard: Check = (map) =>
  map.moves
    .filter((move) => move.kind === 'submission' && move.hazards.length === 0)
    .map((move): Finding => {
      const hazards = hazardsInName(move.name);
      return {
        code: 'attack-without-hazard',
        severity: 'warning',
        place: { kind: 'move', id: move.id, path: 'hazards' },
        sentence: `"${move.name}" is a submission without a hazard.`,
        mend:
          hazards.length > 0
            ? `Mark it: ${hazards.map((tag) => tag.replaceAll('-', ' ')).join(', ')}.`
            : 'Mark what it can hurt, so that sheets and calls carry the caution.',
        ...(hazards.length > 0 && { command: edit('move', move, { ...move, hazards }) }),
      };
    });
