import { indexMap } from '../model/indexMap.ts';
import { playMap } from '../weigh/playMap.ts';
import { solveMap } from '../weigh/solveMap.ts';
import { chooseRepertoire, isAbove } from './chooseRepertoire.ts';
import { lessonOptions } from './lessonOptions.ts';
import type { LessonRequest } from './lessonRequest.ts';
import { repertoireOf } from './repertoire.ts';

/** So many of the positions that come up most are tried, with so many sets of moves each. */
const TRIED = 8;
const SETS = 60;

/**
 * The position whose lesson would help most: how often a round comes through it × what three moves from there would add.
 * @param request with the positions that are not asked about
 * @throws RangeError where the map cannot be weighed, or nothing in it is for the level
 */
export function helpfulRoot(
  request: Omit<LessonRequest, 'root' | 'minutes'> & { without?: readonly string[] | undefined },
): string {
  const { map, level, known, without = [] } = request;
  const options = lessonOptions(request);
  const index = indexMap(map);
  const solution = solveMap(map, options);
  const play = playMap(solution, options.level);
  const { positionVisits } = play;
  const open = map.positions
    .map((position, s) => ({ position, rate: positionVisits[s]! }))
    .filter(({ position: { id } }) => !without.includes(id))
    .filter(({ position }) => index.movesOf(position.id).some((move) => !isAbove(move, position, level)))
    .sort((a, b) => b.rate - a.rate)
    .slice(0, TRIED);
  const rated = open.map(({ position: { id }, rate }) => {
    const repertoire = repertoireOf(map, { root: id, options, whole: { solution, play } });
    const choice = { root: id, level, known, mostNew: 3, seconds: () => 1, budget: 10, limit: SETS };
    const { value, before } = chooseRepertoire(map, repertoire, choice);
    return { id, helps: rate * (value - before) };
  });
  const [best] = rated.sort((a, b) => b.helps - a.helps || (a.id < b.id ? -1 : 1));
  if (!best)
    throw new RangeError('Nothing in this map is for that level yet: take a higher one, or write moves.');
  return best.id;
}
