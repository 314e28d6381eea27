import { type GuardMap, printGuardBook } from '@aftersquall/core';
import { strToU8, zipSync } from 'fflate';
import { saveFile } from '../../../components/saveFile.ts';

/** One system of a map as a map of its own: its positions, and whatever these speak of. */
function systemOf(map: GuardMap, system: string): GuardMap {
  const positions = map.positions.filter(({ systems }) => systems.includes(system));
  const inside = new Set(positions.map(({ id }) => id));
  const moves = map.moves.filter(({ position }) => inside.has(position));
  const movesInside = new Set(moves.map(({ id }) => id));
  const exchanges = map.exchanges.filter(({ move }) => movesInside.has(move));
  const met = new Set([
    ...positions.flatMap(({ looks }) => looks.flatMap(({ reactions }) => reactions.map(({ id }) => id))),
    ...exchanges.flatMap(({ reaction }) => (reaction === 'none' ? [] : [reaction.id])),
  ]);
  const used = new Set(moves.flatMap(({ mechanics }) => mechanics));
  return {
    ...map,
    systems: map.systems.filter(({ id }) => id === system),
    mechanics: map.mechanics.filter(({ id }) => used.has(id)),
    reactions: map.reactions.filter(({ id }) => met.has(id)),
    positions,
    moves,
    exchanges,
  };
}

/** The whole map as one guard book, or a file a system in one archive; or the one system that is shown. */
export function exportBook(map: GuardMap, how: 'one file' | 'a file a system' | { system: string }): void {
  const type = 'text/markdown;charset=utf-8';
  if (typeof how === 'object') {
    const [file] = printGuardBook(systemOf(map, how.system), how.system);
    saveFile(file!.name, file!.text, type);
  } else if (how === 'one file') {
    const [file] = printGuardBook(map, map.id);
    saveFile(file!.name, file!.text, type);
  } else {
    const files = printGuardBook(map, map.id, { split: true });
    const folder = Object.fromEntries(files.map(({ name, text }) => [`${map.id}/${name}`, strToU8(text)]));
    saveFile(`${map.id}-book.zip`, zipSync(folder), 'application/zip');
  }
}
