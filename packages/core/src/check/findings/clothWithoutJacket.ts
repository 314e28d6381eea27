import { isCloth } from '../../model/holdPattern.ts';
import type { Check } from '../finding.ts';

/** A cloth grip in a position that is played without a jacket. */
export const clothWithoutJacket: Check = (map) =>
  map.positions
    .filter((position) => position.apparel === 'no-gi')
    .flatMap((position) =>
      [...position.holds, ...position.topHolds]
        .filter((hold) => isCloth(hold.target))
        .map((hold) => ({
          code: 'cloth-no-gi',
          severity: 'error' as const,
          place: { kind: 'position' as const, id: position.id, path: `holds.${hold.id}` },
          sentence: `"${position.name}" is no-gi, but a hold is on the ${hold.target.part}.`,
          mend: 'Take a part of the body instead, or allow the gi here.',
        })),
    );
