import { reactionName, reactionShort } from '@aftersquall/core/body';
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
} from '@aftersquall/core/model';

export interface BoardColumn {
  /** `none`, a reaction's id, or `~` and its id on the other side. */
  key: string;
  reaction: ReactionRef | 'none';
  name: string;
  /** What a coach calls it across the mat. */
  short?: string;
}

/** A table a position, each with its own reactions across; or one grid with every reaction across. */
export type BoardLayout = 'tables' | 'grid';

interface RowOf {
  key: string;
  position: Position;
  /** What stands across this row: of its own position, or of all that are shown. */
  columns: readonly BoardColumn[];
}

export type BoardRow =
  | (RowOf & { kind: 'position'; moves: number; holes: number })
  | (RowOf & {
      kind: 'move';
      move: Move;
      look: Look;
      /** Whether the move above shares the look: a double attack stands together. */
      sharesAbove: boolean;
      shared: boolean;
    });

export type BoardCell =
  | { kind: 'answer'; exchange: Exchange; others: number }
  /** Listed on the look, and nobody has answered it. */
  | { kind: 'hole' }
  /** Top may do it elsewhere; here it is not listed. */
  | { kind: 'unlisted' };

export interface Board {
  layout: BoardLayout;
  rows: BoardRow[];
  holes: number;
}

const TOP_DOES_NOTHING: BoardColumn = { key: 'none', reaction: 'none', name: 'Top does nothing' };

/** Positions and their moves down, reactions across, for a system or the whole map. */
export function boardOf(
  map: GuardMap,
  shown: (position: Position) => boolean,
  layout: BoardLayout = 'tables',
): Board {
  const positions = map.positions.filter(shown);
  const all = layout === 'grid' ? gridColumns(map, positions) : undefined;
  const rows = positions.flatMap((position) => tableRows(map, position, all ?? tableColumns(map, position)));
  const holes = rows.reduce((sum, row) => sum + (row.kind === 'position' ? row.holes : 0), 0);
  return { layout, rows, holes };
}

/** A position's own row, and under it its moves, those that look alike next to each other. */
function tableRows(map: GuardMap, position: Position, columns: readonly BoardColumn[]): BoardRow[] {
  const moves = indexMap(map).movesOf(position.id);
  const rows = position.looks.flatMap((look) => {
    const alike = moves.filter((move) => move.look === look.id);
    return alike.map(
      (move, i): BoardRow => ({
        kind: 'move',
        key: move.id,
        position,
        columns,
        move,
        look,
        sharesAbove: i > 0,
        shared: alike.length > 1,
      }),
    );
  });
  const isHole = (row: BoardRow) => (column: BoardColumn) => cellOf(map, row, column)?.kind === 'hole';
  const holes = rows.reduce((sum, row) => sum + columns.filter(isHole(row)).length, 0);
  return [{ kind: 'position', key: position.id, position, columns, moves: moves.length, holes }, ...rows];
}

/** What top is known to do in a position: look by look, so that what is answered together stands together. */
function tableColumns(map: GuardMap, position: Position): BoardColumn[] {
  const used = position.looks.flatMap((look) => reactionsAt(map, position, look));
  return [TOP_DOES_NOTHING, ...named(map, used, position)];
}

/** What top is known to do anywhere, in the order of the groups of reactions. */
function gridColumns(map: GuardMap, positions: readonly Position[]): BoardColumn[] {
  const { reaction } = indexMap(map);
  const place = new Map(map.reactions.map(({ id }, i) => [id, i]));
  const rank = ({ id, mirrored }: ReactionRef): number =>
    REACTION_GROUPS.indexOf(reaction.get(id)?.group ?? 'posting & base') * 1e6 +
    (place.get(id) ?? 0) * 2 +
    Number(Boolean(mirrored));
  const used = positions.flatMap((position) =>
    position.looks.flatMap((look) => reactionsAt(map, position, look)),
  );
  return [TOP_DOES_NOTHING, ...named(map, used).sort((a, b) => rank(a.reaction) - rank(b.reaction))];
}

/** What is listed for a look, and what its moves answer besides. */
function reactionsAt(map: GuardMap, position: Position, look: Look): ReactionRef[] {
  const { movesOf, exchangesOf } = indexMap(map);
  const answered = movesOf(position.id)
    .filter((move) => move.look === look.id)
    .flatMap((move) => exchangesOf(move.id))
    .flatMap(({ reaction }) => (reaction === 'none' ? [] : [reaction]));
  return [...look.reactions.map(bareRef), ...answered];
}

/** Each reaction once, as it was met first. */
function named(
  map: GuardMap,
  refs: readonly ReactionRef[],
  at?: Position,
): (BoardColumn & { reaction: ReactionRef })[] {
  const byKey = new Map(refs.map((ref) => [reactionKey(ref), ref]));
  return [...byKey].map(([key, reaction]) => ({
    key,
    reaction,
    name: reactionName(map, reaction, at),
    short: reactionShort(map, reaction, at),
  }));
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
