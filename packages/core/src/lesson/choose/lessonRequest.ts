import type { ChainTurn } from '../../model/chain.ts';
import type { Method } from '../../model/classPlan.ts';
import type { Basis } from '../../model/exchange.ts';
import type { GuardMap } from '../../model/map.ts';
import type { SeenFault } from '../../model/notes.ts';
import type { Apparel, Level } from '../../model/primitives.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';
import type { WeighOptions } from '../../weigh/game/mapGame.ts';
import type { ReturnOf } from '../practise/returnBlocks.ts';

/** What a lesson is asked for with. */
export interface LessonRequest {
  map: GuardMap;
  /** The position the lesson starts from. */
  root: string;
  minutes: number;
  people: number;
  apparel: Apparel;
  level: Level;
  youth?: boolean | undefined;
  rules?: RulesProfile | undefined;
  method: Method;
  sides?: 1 | 2 | undefined;
  known?: readonly string[] | undefined;
  pinned?: readonly string[] | undefined;
  out?: readonly string[] | undefined;
  /** The kept chain that the class goes along, from its start or from its end. */
  chain?: { name: string; turns: readonly ChainTurn[]; backward?: boolean | undefined } | undefined;
  /** What comes back first, of earlier classes. */
  returns?: readonly ReturnOf[] | undefined;
  /** Faults that were seen lately: taken up before anything else is drilled. */
  faults?: readonly SeenFault[] | undefined;
  /** On whose chances the map stands; kept with the lesson. */
  figures?: Basis | undefined;
  changeOverSeconds?: number | undefined;
  options?: WeighOptions | undefined;
}
