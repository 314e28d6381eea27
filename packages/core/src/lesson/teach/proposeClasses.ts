import { indexMap } from '../../model/indexMap.ts';
import { isAbove } from '../choose/chooseRepertoire.ts';
import { helpfulRoots } from '../choose/helpfulRoot.ts';
import { ifAny } from '../choose/ifAny.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import { chooseThemes } from './chooseTheme.ts';
import { Said } from './said.ts';
import { themeAim } from './talkBlocks.ts';
import { teachable } from './technique.ts';

/** A class that could be held next, told in a sentence before it is made. */
export interface Proposal {
  /** What asks for it: faults and answers that fade, the class before, or the map. */
  from: 'log' | 'before' | 'map';
  root: string;
  /** What the class would be called. */
  name: string;
  /** What everybody can do by the end of it. */
  aim: string;
  why: string;
}

/** The class that was held last. */
export interface LastClass {
  name: string;
  root: string;
}

/** What is proposed beside a request. */
interface Beside {
  last?: LastClass | undefined;
  /** Positions that are not proposed: a class of them stands already. */
  without?: readonly string[] | undefined;
  /** So many at most. */
  most?: number | undefined;
}

const MAX_PROPOSALS = 3;
/** A fault that was seen asks for a class as much as so many answers that fade. */
const FAULT_WEIGHT = 2;

/**
 * Classes from different positions: what the log asks for, what goes on from the class before, and what the map asks
 * for, from other guards first. Where one of them is missing another start of the map stands in.
 * @param request with what is known, what fades and which faults were seen
 * @throws RangeError where the map cannot be weighed
 */
export function proposeClasses(
  request: Omit<LessonRequest, 'root'>,
  { last, without = [], most = MAX_PROPOSALS }: Beside = {},
): Proposal[] {
  const proposals: Proposal[] = [];
  const { position } = indexMap(request.map);
  const offer = (from: Proposal['from'], root: string, why: string) => {
    const stands = without.includes(root) || proposals.some((one) => one.root === root);
    if (stands || proposals.length === most) return;
    const asked = { ...request, root };
    const told = ifAny(() => {
      const teach = teachable(asked);
      const [theme] = chooseThemes(teach);
      if (!theme) return undefined;
      const said = new Said(teach);
      return { name: said.place(root), aim: themeAim(said, theme.taught) };
    });
    if (told) proposals.push({ from, root, ...told, why });
  };
  const logged = whatTheLogAsks(request);
  if (logged) offer('log', logged.root, logged.why);
  if (last) offer('before', last.root, `It goes on from “${last.name}”.`);
  const helpful = helpfulRoots(request);
  const sameGuard = (root: string) => {
    const { systems } = position.get(root)!;
    return proposals.some((one) => position.get(one.root)!.systems.some((id) => systems.includes(id)));
  };
  for (const { root, visits } of helpful) if (!sameGuard(root)) offer('map', root, throughHere(visits));
  for (const { root, visits } of helpful) offer('map', root, throughHere(visits));
  return proposals;
}

/** The position that most of what fades, and most of the faults, are of. */
function whatTheLogAsks({ map, level, returns = [], faults = [] }: Omit<LessonRequest, 'root'>) {
  const index = indexMap(map);
  const asks = new Map<string, { weight: number; faults: string[]; fading: number }>();
  const ask = (position: string | undefined, weight: number, fault?: string) => {
    const place = position === undefined ? undefined : index.position.get(position);
    if (!place || !index.movesOf(place.id).some((move) => !isAbove(move, place, level))) return;
    const known = asks.get(place.id) ?? { weight: 0, faults: [], fading: 0 };
    known.weight += weight;
    if (fault) known.faults.push(fault);
    else known.fading++;
    asks.set(place.id, known);
  };
  for (const { of, id, fault } of faults) {
    const position = of === 'position' ? id : of === 'move' ? index.move.get(id)?.position : undefined;
    ask(position, FAULT_WEIGHT, fault);
  }
  for (const { exchange } of returns)
    ask(index.move.get(index.exchange.get(exchange)?.move ?? '')?.position, 1);
  const [best] = [...asks].sort(([, a], [, b]) => b.weight - a.weight);
  if (!best) return undefined;
  const [root, { faults: seen, fading }] = best;
  const sentences = [
    ...(seen.length > 0 ? [`You saw lately: ${seen.map((fault) => `“${fault}”`).join(', ')}.`] : []),
    ...(fading > 0
      ? [`${fading} ${fading === 1 ? 'answer' : 'answers'} from here fade${fading === 1 ? 's' : ''}.`]
      : []),
  ];
  return { root, why: sentences.join(' ') };
}

/** How often a round comes through a position, as a coach counts. */
function throughHere(visits: number): string {
  const tenths = Math.round(visits * 10);
  if (tenths >= 10) return 'Every round comes through here.';
  if (tenths > 1) return `${tenths} rounds in 10 come through here.`;
  return `1 round in ${Math.max(10, Math.round(1 / visits))} comes through here.`;
}
