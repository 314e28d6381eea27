import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { Position } from '../model/position.ts';
import type { Reaction } from '../model/reaction.ts';
import type { Check, Finding } from './finding.ts';

/** What a check of a move may look at beside the move itself; where all of it is as it was, so are the findings. */
interface Checked {
  position: Position | undefined;
  exchanges: readonly Exchange[];
  reactions: readonly Reaction[];
  findings: Finding[];
}

/**
 * A check that looks at each move by itself, with its position, its answers and the reactions. After an edit only what
 * the edit touches is looked at again.
 */
export function checkMoves(check: (map: GuardMap, move: Move) => Finding[]): Check {
  const known = new WeakMap<Move, Checked>();
  return (map) => {
    const { position: positions, exchangesOf } = indexMap(map);
    const { reactions } = map;
    const all: Finding[] = [];
    for (const move of map.moves) {
      const position = positions.get(move.position);
      const exchanges = exchangesOf(move.id);
      let checked = known.get(move);
      if (
        checked?.position !== position ||
        checked?.exchanges !== exchanges ||
        checked.reactions !== reactions
      ) {
        checked = { position, exchanges, reactions, findings: check(map, move) };
        known.set(move, checked);
      }
      if (checked.findings.length > 0) all.push(...checked.findings);
    }
    return all;
  };
}

/** A check that looks at each position by itself and at nothing else. */
export function checkPositions(check: (position: Position) => Finding[]): Check {
  const known = new WeakMap<Position, Finding[]>();
  return ({ positions }) => {
    const all: Finding[] = [];
    for (const position of positions) {
      let findings = known.get(position);
      if (!findings) {
        findings = check(position);
        known.set(position, findings);
      }
      if (findings.length > 0) all.push(...findings);
    }
    return all;
  };
}
