import { ZodError } from 'zod';
import { applyCommand } from '../documents/applyCommand.ts';
import { type BatchCommand, batch, type Command, put, remove } from '../documents/command.ts';
import { edit } from '../documents/edit.ts';
import { RefusedError } from '../documents/issue.ts';
import { zodIssues } from '../documents/zodIssues.ts';
import { allNames } from '../model/allNames.ts';
import { freshId } from '../model/freshId.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { type Move, MoveSchema } from '../model/move.ts';
import type { Landing, Outcome } from '../model/outcome.ts';
import { PositionSchema } from '../model/position.ts';
import { type ReactionRef, ReactionSchema } from '../model/reaction.ts';
import { remember } from '../model/remember.ts';
import {
  isOutcomeWord,
  type KnownNames,
  type Line,
  type LineError,
  type Named,
  parseLines,
} from './lineSyntax.ts';
import { type ChangedThing, type Make, setAnswer } from './setAnswer.ts';

/** What reading lines would do to one thing of the map. */
export interface LineChange extends ChangedThing {
  line: number;
}

export interface ReadLines {
  errors: LineError[];
  changes: LineChange[];
  /** One undoable change that does all of it; empty when the lines say what the map says already. */
  command: BatchCommand;
  map: GuardMap;
  /** The exchanges that the lines are about, new ones included. */
  mentioned: ReadonlySet<string>;
}

/**
 * What lines of notation mean for a map. Names are looked up by id, name or alias, whatever their case; a name
 * that nothing has makes a new position, move or reaction. A line for an exchange that exists changes its result,
 * chance and seconds and leaves the rest. Lines with errors do nothing; the others count.
 */
export function readLines(map: GuardMap, text: string): ReadLines {
  const { lines, errors } = parseLines(text, namesOf(map));
  const changes: LineChange[] = [];
  const commands: Command[] = [];
  const mentioned = new Set<string>();
  let current = map;
  for (const line of lines) {
    try {
      const { steps, exchange } = readLine(current, line);
      mentioned.add(exchange);
      for (const { command } of steps) current = applyCommand(current, command).document;
      commands.push(...steps.map(({ command }) => command));
      changes.push(...steps.flatMap(({ change }) => (change ? [{ ...change, line: line.line }] : [])));
    } catch (error) {
      errors.push({ line: line.line, ...lineTrouble(error) });
    }
  }
  errors.sort((a, b) => a.line - b.line || a.column - b.column);
  return { errors, changes, command: batch(commands, 'Lines'), map: current, mentioned };
}

/**
 * The same for a text that stands for all exchanges of some positions, as `printLines` writes them: what no line
 * mentions any more is taken out too, unless a line has an error (it may be the one that would mention it).
 */
export function readAllLines(map: GuardMap, text: string, positions: readonly string[]): ReadLines {
  const read = readLines(map, text);
  if (read.errors.length > 0) return read;
  const index = indexMap(map);
  const gone = positions
    .flatMap((position) => index.movesOf(position))
    .flatMap((move) => index.exchangesOf(move.id).map((exchange) => ({ move, exchange })))
    .filter(({ exchange }) => !read.mentioned.has(exchange.id));
  const command = batch(
    [...read.command.commands, ...gone.map(({ exchange }) => remove('exchange', exchange.id))],
    read.command.label,
  );
  return {
    ...read,
    changes: [
      ...read.changes,
      ...gone.map(
        ({ move, exchange }): LineChange => ({
          line: 0,
          kind: 'exchange',
          id: exchange.id,
          name: move.name,
          change: 'gone',
        }),
      ),
    ],
    command,
    map: applyCommand(map, command).document,
  };
}

/** What is wrong with a name of a line, and where it begins. */
export class NameSlip extends Error {
  readonly column: number;
  constructor(column: number, message: string) {
    super(message);
    this.column = column;
  }
}

/** One thing that a line does to the map. */
export interface Step {
  command: Command;
  change?: ChangedThing;
}

/** What stopped a line: a name that means nothing, or something that the map does not take. */
export function lineTrouble(error: unknown): Omit<LineError, 'line'> {
  if (error instanceof NameSlip) return { column: error.column, message: error.message };
  const issues =
    error instanceof RefusedError ? error.issues : error instanceof ZodError ? zodIssues(error) : undefined;
  if (!issues) throw error;
  return {
    column: 1,
    message: issues.map(({ path, message }) => `${String(path.at(-1) ?? 'map')}: ${message}`).join('; '),
  };
}

/** The names of a map, which are read whole. */
export const namesOf = remember(
  ({ positions, moves, reactions }: GuardMap): KnownNames => ({
    positions: positions.flatMap(allNames),
    moves: moves.flatMap(allNames),
    reactions: reactions.flatMap(allNames),
  }),
);

/** The steps one line takes, the things it needs first, and the exchange it is about. */
export function readLine(map: GuardMap, line: Line): { steps: Step[]; exchange: string } {
  const steps: Step[] = [];
  let current = map;
  const make: Make = (command, change) => {
    current = applyCommand(current, command).document;
    steps.push({ command, ...(change && { change }) });
  };
  const position = (name: Named): string => {
    const known = lookUp(current.positions, name, 'position');
    if (known) return known.id;
    const id = freshId(name.text, indexMap(current).position.keys());
    const value = PositionSchema.parse({
      id,
      name: name.text,
      ...(current.positions.length === 0 && { entry: 1 }),
    });
    make(put('position', value), { kind: 'position', id, name: name.text, change: 'new' });
    return id;
  };
  const landing = (name: Named): Landing => {
    if (isOutcomeWord(name.text) && !name.quoted) return { outcome: name.text as Outcome };
    const id = position(name);
    return name.mirrored ? { position: id, mirrored: true } : { position: id };
  };

  if (line.position.mirrored)
    throw new NameSlip(line.position.column, 'a line begins on the side it is written on: no ~ here');
  const from = position(line.position);
  const to = landing(line.to);
  const otherwise = line.otherwise && landing(line.otherwise);
  const reaction = line.reaction && reactionRef(current, line.reaction, make);
  const move = moveOf(current, from, line, make);
  const variant = line.variant && variantOf(move, line.variant);

  const exchange = setAnswer(
    current,
    { move, reaction: reaction ?? 'none', ...(variant && { variant }) },
    { to, otherwise, chance: line.chance, seconds: line.seconds },
    make,
  );
  return { steps, exchange };
}

function lookUp<T extends { id: string; name: string; aliases?: string[] }>(
  list: readonly T[],
  name: Named,
  what: string,
): T | undefined {
  const wanted = name.text.toLowerCase();
  const byId = list.find(({ id }) => id === name.text);
  if (byId) return byId;
  const byName = list.filter((item) => item.name.toLowerCase() === wanted);
  const found =
    byName.length > 0
      ? byName
      : list.filter((item) => item.aliases?.some((alias) => alias.toLowerCase() === wanted));
  if (found.length > 1) {
    throw new NameSlip(
      name.column,
      `${found.length} ${what}s are called "${name.text}"; write one of ${found.map(({ id }) => id).join(', ')}`,
    );
  }
  return found[0];
}

function reactionRef(map: GuardMap, name: Named, make: Make): ReactionRef {
  const known = lookUp(map.reactions, name, 'reaction');
  const id = known?.id ?? freshId(name.text, indexMap(map).reaction.keys());
  if (!known) {
    const value = ReactionSchema.parse({ id, name: name.text, group: 'posting & base' });
    make(put('reaction', value), { kind: 'reaction', id, name: name.text, change: 'new' });
  }
  return name.mirrored ? { id, mirrored: true } : { id };
}

/** The move of that name at a position; a new one gets a look of its own. */
function moveOf(map: GuardMap, from: string, line: Line, make: Make): Move {
  const name = line.move;
  if (name.mirrored) throw new NameSlip(name.column, 'a move is written on one side: no ~ here');
  const index = indexMap(map);
  const known = lookUp(index.movesOf(from), name, 'move');
  if (known) return known;
  const position = index.position.get(from)!;
  const look = freshId(
    name.text,
    position.looks.map(({ id }) => id),
  );
  const move = MoveSchema.parse({
    id: freshId(name.text, index.move.keys()),
    position: from,
    look,
    name: name.text,
    kind: kindOf(line),
  });
  const looks = [...position.looks, { id: look, name: name.text, timing: 'hidden' as const, reactions: [] }];
  make(batch([edit('position', position, { ...position, looks }), put('move', move)]), {
    kind: 'move',
    id: move.id,
    name: move.name,
    change: 'new',
  });
  return move;
}

/** What kind a move is likely to be, from where it leads. */
function kindOf({ to }: Line): Move['kind'] {
  if (to.text === 'submission') return 'submission';
  if (to.text === 'back') return 'back-take';
  if (to.text.startsWith('top-')) return 'sweep';
  if (to.text === 'entangled') return 'entry';
  return to.text === 'recovered' ? 'retention' : 'connect';
}

function variantOf(move: Move, name: Named): string {
  const known = lookUp(move.variants, name, 'variant');
  if (!known) throw new NameSlip(name.column, `"${move.name}" has no variation "${name.text}"`);
  return known.id;
}
