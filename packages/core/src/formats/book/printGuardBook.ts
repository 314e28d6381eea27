import { same } from '../../documents/fieldChanges.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move, Variant } from '../../model/move.ts';
import type { Look, Position, System } from '../../model/position.ts';
import { isNothing, printSteps } from './bookSteps.ts';
import { printExchanges } from './exchangeTable.ts';
import { ADVICE, type BlockKind, HEADING_DEPTH, KEYWORDS } from './keywords.ts';
import type { BookFile, GuardBook } from './parseGuardBook.ts';
import { escapeText } from './text.ts';
import { reference } from './values.ts';

/** Values that need not be said. */
const USUAL: Partial<Record<BlockKind, Record<string, unknown>>> = {
  Position: { leadSide: 'R', apparel: 'both', level: 'novice' },
  Look: { timing: 'hidden' },
};

type Named = { id: string; name: string };

/**
 * A map as a guard book, one file or one a system. `parseGuardBook` gives the same things back, in the book's order:
 * moves by position and look, exchanges by move; empty notes are left out.
 */
export function printGuardBook(map: GuardBook, name: string, { split = false } = {}): BookFile[] {
  const { shared, systems, others } = chaptersOf(map);
  if (!split) {
    const alone = map.systems.length === 1;
    const whole = alone
      ? systems.flatMap((chapter) => [...chapter.slice(0, 2), ...shared.slice(1), ...chapter.slice(2)])
      : [...shared, ...systems.flat()];
    return [{ name: `${name}.md`, text: textOf([...whole, ...others]) }];
  }
  const chapters = [
    { name: 'shared', blocks: shared },
    ...systems.map((blocks, i) => ({ name: map.systems[i]!.id, blocks })),
    { name: 'others', blocks: others },
  ].filter(({ blocks }) => blocks.length > 0);
  // Files are read in the order of their names.
  const digits = String(chapters.length).length;
  return chapters.map((chapter, i) => ({
    name: `${String(i + 1).padStart(digits, '0')}-${chapter.name}.md`,
    text: textOf(chapter.blocks),
  }));
}

const textOf = (blocks: readonly string[]): string => `${blocks.filter(Boolean).join('\n\n')}\n`;

/** The blocks of what is shared, of each system, and of positions that are in none, or not in the systems' order. */
function chaptersOf(map: GuardBook): { shared: string[]; systems: string[][]; others: string[] } {
  const home = ({ systems }: Position) => systems[0];
  const inOrder = map.systems.flatMap(({ id }) => map.positions.filter((position) => home(position) === id));
  const homeless = map.positions.filter((position) => !map.systems.some(({ id }) => id === home(position)));
  const grouped = same([...inOrder, ...homeless], map.positions);
  const notions = [
    ...map.mechanics.flatMap((one) => blocksOf('Mechanic', one)),
    ...map.reactions.flatMap((one) => blocksOf('Reaction', one)),
    ...map.endings.flatMap((one) => blocksOf('Ending', one)),
  ];
  const loose = grouped ? homeless : map.positions;
  const shared =
    notions.length > 0 || (map.systems.length === 0 && loose.length > 0) ? ['# Shared', ...notions] : [];
  return {
    shared,
    systems: map.systems.map((system) => [
      ...blocksOf('System', system),
      ...(grouped ? inOrder.filter((one) => home(one) === system.id) : []).flatMap((one) =>
        positionBlocks(map, one, system),
      ),
    ]),
    others: loose.length > 0 ? ['# Shared', ...loose.flatMap((one) => positionBlocks(map, one))] : [],
  };
}

const heading = (kind: BlockKind, { id, name }: Named): string =>
  `${'#'.repeat(HEADING_DEPTH[kind])} ${kind}: ${name} (${id})`;

/** The heading of a thing and its keyword lines. */
const blocksOf = (kind: BlockKind, thing: Named, skip: readonly string[] = []): string[] => [
  heading(kind, thing),
  keywordLines(kind, thing, (word) => !skip.includes(word)),
];

function keywordLines(kind: BlockKind, thing: Named, wanted: (word: string) => boolean): string {
  const fields = thing as unknown as Record<string, unknown>;
  const lines = Object.entries(KEYWORDS[kind]).flatMap(([word, { field, codec, many, withId }]) => {
    const value = fields[field];
    // Empty loads say something: somebody looked.
    const unsaid = field === 'loads' ? value === undefined : isNothing(value);
    if (!wanted(word) || unsaid || USUAL[kind]?.[field] === value) return [];
    if (!many) return [`- ${word}: ${codec.print(value)}`];
    return (value as Named[]).map((one, i) => {
      const name = withId && one.id !== `f${i + 1}` ? `${word} ${one.id}` : word;
      return `- ${name}: ${codec.print(one)}`;
    });
  });
  return lines.join('\n');
}

function positionBlocks(map: GuardBook, position: Position, system?: System): string[] {
  const usual = same(position.systems, system ? [system.id] : []);
  const moves = indexMap(map as GuardMap).movesOf(position.id);
  return [
    ...blocksOf('Position', position, usual ? ['systems'] : []),
    ...position.looks.flatMap((look) => [
      heading('Look', look),
      lookLines(look),
      ...moves.filter((move) => move.look === look.id).flatMap((move) => moveBlocks(map, move)),
    ]),
  ];
}

/** The lines of a look, and under them the words that its reactions have of their own here. */
function lookLines(look: Look): string {
  const own = look.reactions.flatMap((ref) =>
    (['feel', 'script'] as const).flatMap((word) =>
      ref[word] ? [`- ${word} ${reference.print(ref)}: ${escapeText(ref[word])}`] : [],
    ),
  );
  return [keywordLines('Look', look, () => true), ...own].filter(Boolean).join('\n');
}

function moveBlocks(map: GuardBook, move: Move): string[] {
  const exchanges = indexMap(map as GuardMap).exchangesOf(move.id);
  return [
    heading('Move', move),
    keywordLines('Move', move, (word) => !ADVICE.includes(word)),
    printSteps(move.steps).join('\n'),
    keywordLines('Move', move, (word) => ADVICE.includes(word)),
    ...(exchanges.length > 0 ? [printExchanges(exchanges).join('\n')] : []),
    ...move.variants.flatMap((variant) => variantBlocks(variant, variant.id === move.houseVariant)),
  ];
}

function variantBlocks({ when, ...variant }: Variant, house: boolean): string[] {
  const { apparel, build, partner } = when;
  const flat = { ...variant, apparel, build, when: partner, ...(house && { house: 'yes' }) };
  return [...blocksOf('Variant', flat), printSteps(variant.steps).join('\n')];
}
