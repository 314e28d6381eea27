import {
  answerTo,
  bareRef,
  type Exchange,
  type GuardMap,
  indexMap,
  type Look,
  type Move,
  type Position,
  REACTION_GROUPS,
  type ReactionRef,
  reactionKey,
  reactionName,
} from '@aftersquall/core';

export interface BoardColumn {
  /** `none`, a reaction's id, or `~` and its id on the other side. */
  key: string;
  reaction: ReactionRef | 'none';
  name: string;
}

export type BoardRow =
  | { kind: 'position'; key: string; position: Position; moves: number }
  | {
      kind: 'move';
      key: string;
      position: Position;
      move: Move;
      look: Look;
      /** Whether the move above shares the look: a double attack stands together. */
      sharesAbove: boolean;
      shared: boolean;
    };

export type BoardCell =
  | { kind: 'answer'; exchange: Exchange; others: number }
  /** Listed on the look, and nobody has answered it. */
  | { kind: 'hole' }
  /** Top may do it elsewhere; here it is not listed. */
  | { kind: 'unlisted' };

export interface Board {
  rows: BoardRow[];
  columns: BoardColumn[];
  holes: number;
}

/** Positions and their moves down, reactions across, for a system or the whole map. */
export function boardOf(map: GuardMap, shown: (position: Position) => boolean): Board {
  const index = indexMap(map);
  const rows: BoardRow[] = [];
  const used = new Map<string, ReactionRef>();
  const use = (ref: ReactionRef) => used.set(reactionKey(ref), ref);
  for (const position of map.positions.filter(shown)) {
    const moves = index.movesOf(position.id);
    rows.push({ kind: 'position', key: position.id, position, moves: moves.length });
    for (const look of position.looks) {
      for (const ref of look.reactions) use(bareRef(ref));
      const alike = moves.filter((move) => move.look === look.id);
      alike.forEach((move, i) => {
        rows.push({
          kind: 'move',
          key: move.id,
          position,
          move,
          look,
          sharesAbove: i > 0,
          shared: alike.length > 1,
        });
        for (const { reaction } of index.exchangesOf(move.id)) if (reaction !== 'none') use(reaction);
      });
    }
  }
  const place = new Map(map.reactions.map(({ id }, i) => [id, i]));
  const rank = ({ id, mirrored }: ReactionRef): number =>
    REACTION_GROUPS.indexOf(index.reaction.get(id)?.group ?? 'posting & base') * 1e6 +
    (place.get(id) ?? 0) * 2 +
    Number(Boolean(mirrored));
  const reactions = [...used.values()].sort((a, b) => rank(a) - rank(b));
  const columns: BoardColumn[] = [
    { key: 'none', reaction: 'none', name: 'Nothing: top is late' },
    ...reactions.map((reaction) => ({
      key: reactionKey(reaction),
      reaction,
      name: reactionName(map, reaction),
    })),
  ];
  let holes = 0;
  for (const row of rows) {
    for (const column of columns) if (cellOf(map, row, column)?.kind === 'hole') holes++;
  }
  return { rows, columns, holes };
}

/** What stands where a move meets a reaction; a position's own row has no cells. */
export function cellOf(map: GuardMap, row: BoardRow, column: BoardColumn): BoardCell | undefined {
  if (row.kind === 'position') return undefined;
  const written = indexMap(map).exchangesOf(row.move.id);
  const shown = answerTo(row.move, written, column.reaction);
  if (shown) {
    const met = written.filter(({ reaction }) => reactionKey(reaction) === column.key);
    return { kind: 'answer', exchange: shown, others: met.length - 1 };
  }
  const listed = row.look.reactions.some((ref) => reactionKey(ref) === column.key);
  return listed ? { kind: 'hole' } : { kind: 'unlisted' };
}
