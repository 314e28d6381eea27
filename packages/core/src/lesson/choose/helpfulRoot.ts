import { indexMap } from '../../model/indexMap.ts';
import { solveMap } from '../../weigh/game/solveMap.ts';
import { playMap } from '../../weigh/play/playMap.ts';
import { chooseRepertoire, isAbove } from './chooseRepertoire.ts';
import { lessonOptions } from './lessonOptions.ts';
import type { LessonRequest } from './lessonRequest.ts';
import { repertoireOf } from './repertoire.ts';

/** So many of the positions that come up most are tried, with so many sets of moves each. */
const TRIED = 8;
const SETS = 60;

/** A position that a lesson could start from. */
export interface HelpfulRoot {
  root: string;
  /** How often a round comes through it. */
  visits: number;
  /** Points a round that three moves from there would add. */
  helps: number;
}

type Asked = Omit<LessonRequest, 'root' | 'minutes'> & { without?: readonly string[] | undefined };

/**
 * The position whose lesson would help most.
 * @param request with the positions that are not asked about
 * @throws RangeError where the map cannot be weighed, or nothing in it is for the level
 */
export function helpfulRoot(request: Asked): string {
  const [best] = helpfulRoots(request);
  if (!best)
    throw new RangeError('Nothing in this map is for that level yet: take a higher one, or write moves.');
  return best.root;
}

/**
 * Positions whose lesson would help, the best first: how often a round comes through × what three moves would add.
 * @throws RangeError where the map cannot be weighed
 */
export function helpfulRoots(request: Asked): HelpfulRoot[] {
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
    return { root: id, visits: rate, helps: rate * (value - before) };
  });
  return rated.sort((a, b) => b.helps - a.helps || (a.root < b.root ? -1 : 1));
}
