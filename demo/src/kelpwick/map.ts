import { buildMap } from '../author.ts';
import { butterfly } from './butterfly.ts';
import { collarAndSleeve } from './collarAndSleeve.ts';
import { crossSleeve } from './crossSleeve.ts';
import { halfGuard } from './halfGuard.ts';
import { legs } from './legs.ts';
import { opponents } from './opponents.ts';
import { outsideHook } from './outsideHook.ts';
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
      {
        id: 'outside-hook',
        name: 'Outside hook',
        aliases: ['De La Riva', 'guarda de gancho por fora'],
        note: 'A hook round the outside of the near leg, with whichever grips are to be had; the deep form takes the back.',
      },
      {
        id: 'half-guard',
        name: 'Half guard',
        aliases: ['meia guarda', 'niju garami'],
        note: 'Shield first, underhook second, and the figure-four for the arm that crossfaces.',
      },
      {
        id: 'butterfly',
        name: 'Butterfly',
        aliases: ['borboleta', 'hooks'],
        note: 'Hooks under a kneeling opponent. Once they stand it is a seated guard with other answers.',
      },
      {
        id: 'single-leg-x',
        name: 'Single-leg X and X',
        aliases: ['X guards'],
        note: 'Under one leg of a standing opponent: stand up with it, or sit them down into it.',
      },
      {
        id: 'leg-entanglement',
        name: 'Leg entanglements',
        aliases: ['ashi garami', 'leg locks'],
        note: 'Knee line before foot. Twisting attacks are caught and let go in class, and novices do not do them.',
      },
    ],
    reactions,
    opponents,
    scenarios: [
      { id: 'no-jacket', name: 'No jacket', apparel: 'no-gi' },
      { id: 'sore-knees', name: 'Sore knees in the room', sparedJoints: ['knee'] },
      { id: 'marten-again', name: 'Marten again', opponent: 'marten', trust: 0.6 },
    ],
  },
  [...collarAndSleeve, ...crossSleeve, ...outsideHook, ...halfGuard, ...butterfly, ...legs],
);
