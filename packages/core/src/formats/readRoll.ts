import { landingWords } from '../body/landingWords.ts';
import { applyCommand } from '../documents/applyCommand.ts';
import { type BatchCommand, batch, type Command } from '../documents/command.ts';
import { same } from '../documents/fieldChanges.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Landing } from '../model/outcome.ts';
import { type Line, type LineError, parseLines } from './lineSyntax.ts';
import { type LineChange, lineTrouble, NameSlip, namesOf, readLine, type Step } from './readLines.ts';

/** One try of a roll. */
interface RollTry {
  line: number;
  /** In the map that the roll was read into. */
  exchange: string;
  worked: boolean;
}

export interface ReadRoll {
  errors: LineError[];
  tries: RollTry[];
  /** What the map does not have yet. */
  changes: LineChange[];
  /** One undoable change that adds it. */
  command: BatchCommand;
  /** The map with it. */
  map: GuardMap;
}

/** The word at the end of a line that says how it went. */
const MARK = /\s+(worked|failed)\s*$/i;
/** Stands where a line says no result: what the map says of it counts. */
const NO_RESULT = ' -> recovered';

/**
 * What happened in a roll, a line a try: "Position: move | what top did -> where it led". Where the map has the answer,
 * nothing of it is changed, and it worked if it led where the map says; without a result it worked, unless `failed` stands
 * at the end. What the map does not have yet is added, with the result that the line says. Lines with errors do nothing.
 */
export function readRoll(map: GuardMap, text: string): ReadRoll {
  const errors: LineError[] = [];
  const tries: RollTry[] = [];
  const changes: LineChange[] = [];
  const commands: Command[] = [];
  let current = map;
  for (const [i, source] of text.split(/\r?\n/).entries()) {
    if (source.trim() === '' || source.trimStart().startsWith('#')) continue;
    const line = i + 1;
    try {
      const { exchange, worked, added } = readTry(current, source);
      tries.push({ line, exchange, worked });
      for (const { command, change } of added) {
        current = applyCommand(current, command).document;
        commands.push(command);
        if (change) changes.push({ ...change, line });
      }
    } catch (error) {
      errors.push({ line, ...lineTrouble(error) });
    }
  }
  return { errors, tries, changes, command: batch(commands, 'What a roll added'), map: current };
}

/** One line of a roll; what has to be added to the map for it, where the map does not have its answer. */
function readTry(map: GuardMap, source: string): { exchange: string; worked: boolean; added: Step[] } {
  const mark = MARK.exec(source)?.[1]?.toLowerCase();
  const said = source.replace(MARK, '');
  const { line, hasResult } = parseTry(map, said);
  const { steps, exchange } = readLine(map, line);
  const known = indexMap(map).exchange.get(exchange);
  if (!known) {
    if (!hasResult)
      throw new NameSlip(
        said.length + 1,
        'the map has no such answer yet: say where it led, as in "-> top-side"',
      );
    return { exchange, worked: mark !== 'failed', added: steps };
  }
  if (mark || !hasResult) return { exchange, worked: mark !== 'failed', added: [] };
  let after = map;
  for (const { command } of steps) after = applyCommand(after, command).document;
  const { to: led } = indexMap(after).exchange.get(exchange)!;
  const failing: Landing = known.otherwise ?? { position: indexMap(map).move.get(known.move)!.position };
  if (!same(led, known.to) && !same(led, failing))
    throw new NameSlip(
      line.to.column,
      `on the map it leads to ${landingWords(map, known.to)}, else to ${landingWords(map, failing)}: write one of them, or "worked" or "failed" at the end`,
    );
  return { exchange, worked: same(led, known.to), added: [] };
}

/** A line with or without a result; where neither can be read, what is wrong with it as it stands is said. */
function parseTry(map: GuardMap, text: string): { line: Line; hasResult: boolean } {
  const whole = parseLines(text, namesOf(map));
  if (whole.lines[0]) return { line: whole.lines[0], hasResult: true };
  const bare = parseLines(text + NO_RESULT, namesOf(map));
  if (bare.lines[0]) return { line: bare.lines[0], hasResult: false };
  const [{ column, message }] = whole.errors as [LineError];
  throw new NameSlip(column, message);
}
