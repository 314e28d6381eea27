import { buildMap } from '../author.ts';
import { collarAndSleeve } from './collarAndSleeve.ts';
import { crossSleeve } from './crossSleeve.ts';
import { reactions } from './reactions.ts';

/** The map of a made-up club. Its chances are invented and say so: every basis is the coach's guess. */
export const kelpwick = buildMap(
  {
    id: 'kelpwick',
    name: 'Kelpwick Harbour Grappling',
    note: 'A made-up club. All chances are invented starting points, to be replaced by what your own log shows.',
    systems: [
      {
        id: 'collar-and-sleeve',
        name: 'Collar and sleeve',
        aliases: ['gola e manga'],
        note: 'Win two grips, then make them choose between the pull and the tilt.',
      },
      {
        id: 'cross-sleeve',
        name: 'Cross-sleeve and shoulder lock',
        note: 'One sleeve across, one leg underhooked: sweep and lock from the same turn.',
      },
    ],
    reactions,
  },
  [...collarAndSleeve, ...crossSleeve],
);
