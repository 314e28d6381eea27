import { translateHold } from '../../body/translateApparel.ts';
import { edit } from '../../documents/edit.ts';
import { isCloth } from '../../model/holdPattern.ts';
import type { Check, Finding } from '../finding.ts';

/** A cloth grip in a position that is played without a jacket. */
export const clothWithoutJacket: Check = (map) =>
  map.positions
    .filter((position) => position.apparel === 'no-gi')
    .flatMap((position) =>
      (['holds', 'topHolds'] as const).flatMap((list) =>
        position[list]
          .filter((hold) => isCloth(hold.target))
          .map((hold): Finding => {
            const { hold: bare } = translateHold(hold);
            return {
              code: 'cloth-no-gi',
              severity: 'error',
              place: { kind: 'position', id: position.id, path: `${list}.${hold.id}` },
              sentence: `"${position.name}" is no-gi, but a hold is on the ${hold.target.part}.`,
              mend: bare
                ? `Take the ${bare.target.part.replace('-', ' ')} instead.`
                : 'Take a part of the body instead, or allow the gi here.',
              ...(bare && {
                command: edit('position', position, {
                  ...position,
                  [list]: position[list].map((other) => (other === hold ? bare : other)),
                }),
              }),
            };
          }),
      ),
    );
