import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { GuardMap } from '../../model/map.ts';
import { guardMap } from '../../test/arbitraries.ts';
import { smallMap } from '../../test/smallMap.ts';
import { CLAUSES, HEADING_DEPTH, KEYWORDS } from './keywords.ts';
import { type GuardBook, parseGuardBook } from './parseGuardBook.ts';
import { printGuardBook } from './printGuardBook.ts';
import { escapeText, unescapeText } from './text.ts';
import { chance, hold, pattern } from './values.ts';

const LISTS = ['systems', 'mechanics', 'reactions', 'positions', 'moves', 'exchanges'] as const;

/** What a book holds of a map, in the order of a book. */
function inBookOrder(map: GuardMap): GuardBook {
  const moves = map.positions.flatMap((position) =>
    position.looks.flatMap((look) =>
      map.moves.filter((move) => move.position === position.id && move.look === look.id),
    ),
  );
  const exchanges = moves.flatMap((move) => map.exchanges.filter((exchange) => exchange.move === move.id));
  return { ...map, moves, exchanges };
}
/** Without what says nothing: empty texts and lists. */
const plain = (book: GuardBook) =>
  JSON.parse(
    JSON.stringify(
      LISTS.map((list) => book[list]),
      (_, value) =>
        value === '' || value === false || (Array.isArray(value) && value.length === 0) ? undefined : value,
    ),
  );
const parsed = (files: Parameters<typeof parseGuardBook>[0]) => {
  const { book, errors } = parseGuardBook(files);
  expect(errors).toEqual([]);
  return book;
};

describe('a guard book', () => {
  it('printed and read again is the same map, whole and a file a system', () => {
    fc.assert(
      fc.property(guardMap, fc.boolean(), (map, split) => {
        const files = printGuardBook(map, 'book', { split });
        const again = parsed(files);
        expect(plain(again)).toEqual(plain(inBookOrder(map)));
        expect(printGuardBook(again, 'book', { split })).toEqual(files);
      }),
      { numRuns: 60 },
    );
  });

  it('has no keyword that its page in docs leaves out', () => {
    const page = readFileSync(new URL('../../../../../docs/guard-book.md', import.meta.url), 'utf8');
    const missing = Object.entries(KEYWORDS).flatMap(([kind, keywords]) => {
      const marks = '#'.repeat(HEADING_DEPTH[kind as keyof typeof KEYWORDS]);
      const line = page.split('\n').find((one) => one.startsWith(`- \`${marks} ${kind}\``)) ?? '';
      const named = line.split(/[:,;.] ?/).map((word) => word.replace(/[*⁺]|\s*\(.*$/g, '').trim());
      return Object.keys(keywords)
        .filter((word) => !named.includes(word))
        .map((word) => `${kind}: ${word}`);
    });
    const clauses = page.split('\n').find((line) => line.startsWith('- **step clauses**')) ?? '';
    expect([...missing, ...Object.keys(CLAUSES).filter((word) => !clauses.includes(`\`${word} `))]).toEqual(
      [],
    );
  });

  it('of the small map reads like a notebook', () => {
    const { text } = printGuardBook(smallMap(), 'small')[0]!;
    expect(text).toContain('## Reaction: Strips the collar grip (strip-collar)');
    expect(text).toMatch(/\| met by \| leads to \| chance \| else \|/);
    expect(text).toMatch(/^- holds: handR grip collar\.R deep as collar, handL grip/m);
  });

  it('keeps any text, whatever is in it', () => {
    const pieces = fc.array(
      fc.constantFrom(
        '\\',
        '\n',
        ' ',
        '→',
        '->',
        '|',
        '<br>',
        '<!--',
        '#',
        '- ',
        '1. ',
        '[2 s]',
        ';',
        ',',
        '~',
        'a',
        'Ö',
        '"',
      ),
      { minLength: 1, maxLength: 10 },
    );
    fc.assert(
      fc.property(pieces, (parts) => {
        const text = parts.join('').replace(/^\s+|\s+$/g, '') || 'a';
        expect(unescapeText(escapeText(text).replace(/\\\n {2}/g, '\\\n'))).toBe(text);
        const map = smallMap();
        map.positions[0]!.cues = [text];
        map.positions[0]!.note = text;
        map.positions[0]!.faults = [{ id: 'f1', text, mend: text }];
        map.moves[0]!.falsePositives = [{ text, test: text }];
        map.moves[0]!.steps[0]!.text = text;
        map.exchanges[0]!.note = text;
        const again = parsed(printGuardBook(map, 'small'));
        expect(plain(again)).toEqual(plain(inBookOrder(map)));
      }),
      { numRuns: 400 },
    );
  });

  it('writes a chance as exactly the number that it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (value) => {
        if (!/e-/.test(String(value))) expect(chance.read(chance.print(value))).toBe(value);
      }),
    );
    expect([0, 0.05, 0.5, 0.551, 1, 0.9631].map(chance.print)).toEqual([
      '0 %',
      '5 %',
      '50 %',
      '55.1 %',
      '100 %',
      '96.31 %',
    ]);
  });

  it('writes holds and patterns shortly', () => {
    const text = 'handL+handR two-on-one sleeve.R.cuff deep keep as both | wrist.R | own:shin.L';
    expect(hold.print(hold.read(text))).toBe(text);
    for (const line of ['* sleeve.R', 'top handR grip *', 'own clamp neck', '* *.L'])
      expect(pattern.print(pattern.read(line))).toBe(line);
  });
});

describe('an error of a book', () => {
  const head = '# System: S (s)\n\n## Position: P (p)\n\n';
  const errorsOf = (text: string) =>
    parseGuardBook([{ name: 'a.md', text }]).errors.map(
      ({ file, line, column, message }) => `${file}:${line}:${column} ${message}`,
    );

  it.each([
    ['hello', 'a.md:1:1 text before a heading that is understood; expected a heading'],
    ['# Sytem: S (s)', /^a\.md:1:1 unknown heading; expected # System: Name \(id\)/],
    ['# System: S', 'a.md:1:3 a System without a name and an id; expected System: Name (id)'],
    ['### Look: L (l)', 'a.md:1:1 a Look outside of a Position; expected a Position heading before it'],
    [
      `${head}- leed: R`,
      /^a\.md:5:3 unknown keyword in a Position; expected "- keyword: …" with short, usual, aliases, /,
    ],
    [`${head}- lead: X`, 'a.md:5:9 "X" is no side; expected L, R'],
    [
      `${head}- holds: handR grip collar.R, handL grib sleeve.R`,
      /^a\.md:5:37 "grib" is no action; expected grip, /,
    ],
    [
      `${head}- holds: handR grip collar.R.cuff`,
      'a.md:5:30 a collar has no "cuff"; expected nothing after the side',
    ],
    [`${head}- signs: top.stance=lying`, /^a\.md:5:21 "lying" is no value of top\.stance; expected kneeling/],
    [`${head}- lead: R\n- lead: L`, 'a.md:6:3 "lead" is said twice; expected it once'],
    [`${head}- note:`, 'a.md:5:8 nothing after "note:"; expected a blank and a value, or no such line'],
    [`${head}1. A step`, 'a.md:5:1 no steps in a Position; expected them under a Move or a Variant'],
    [`${head}what`, /^a\.md:5:1 not understood; expected a heading/],
    [
      `${head}### Look: L (l)\n\n#### Move: M (m)`,
      'a.md:7:1 a Move without "kind"; expected "- kind: …" under it',
    ],
    [
      '# Shared\n\n## Ending: E (e)\n\n- outcome: back\n- signs: own.torso=seated',
      'a.md:3:1 holds: an ending says who holds what: give at least one hold, of bottom or of top',
    ],
    ['# Shared\n\n## Ending: E (e)\n\n- outcome: bak', /^a\.md:5:12 "bak" is no outcome; expected top-side/],
    [`${head}- picture: own at 0 1`, /^a\.md:5:12 "at 0 1" is no place; expected metres to the right/],
    [`${head}- picture: top at 0 1 x`, /"x" is no number here; expected 0 to 2/],
    [`${head}## Position: Q (p)`, 'a.md:5:1 position p is in a.md:3 already; expected an unused id'],
  ])('says where, what and what was expected: %j', (text, message) => {
    const [first, ...others] = errorsOf(text);
    if (typeof message === 'string') expect(first).toBe(message);
    else expect(first).toMatch(message);
    expect(others).toEqual([]);
  });

  const move = `${head}### Look: L (l)\n\n- reactions: post\n\n#### Move: M (m)\n\n- kind: sweep\n\n`;
  it.each([
    [`${move}1. Go [tak handL]`, /^a\.md:13:8 "tak handL" is no clause; expected release, take/],
    [`${move}1. Go [after 1]`, 'a.md:13:14 step 1 does not come before this one; expected an earlier one'],
    [`${move}2. Go`, 'a.md:13:1 step 2; expected 1'],
    [
      `${move}| met by | leads to |\n|---|---|`,
      'a.md:13:1 no header of a table; expected | met by | leads to | chance | …',
    ],
    [
      `${move}| met by | leads to | chance |\n|---|---|---|\n| post | back | 140 % |`,
      'a.md:15:17 "140 %" is no chance; expected 0 % to 100 %',
    ],
    [
      `${move}| met by | leads to | chance |\n|---|---|---|\n| post | back |`,
      'a.md:15:1 2 cells; expected 3 as in the header',
    ],
  ])('does so in moves: %j', (text, message) => {
    const [first] = errorsOf(text);
    if (typeof message === 'string') expect(first).toBe(message);
    else expect(first).toMatch(message);
  });

  it('is none of a byte-order mark or of Windows line ends, and two positions may have one name', () => {
    const text = `\uFEFF${head}- lead: L\n\n## Position: P (q)\n`.replaceAll('\n', '\r\n');
    const { book, errors, places } = parseGuardBook([{ name: 'a.md', text }]);
    expect(errors).toEqual([]);
    expect(book.positions.map(({ id, name, leadSide }) => [id, name, leadSide])).toEqual([
      ['p', 'P', 'L'],
      ['q', 'P', 'R'],
    ]);
    expect(places.get('position q')).toBe('a.md:7');
  });

  it.each([
    [`${head}- holds: grip collar.R set`, /^a\.md:5:10 "grip" is no contact; expected handL/],
    [`${head}- holds: handR grip`, /^a\.md:5:10 "handR grip" is no hold; expected: contacts action target/],
    [`${head}- holds: handR grip collar.R,`, /^a\.md:5:30 nothing beside ","; expected an entry/],
  ])('names the limb or the part that is missing: %j', (text, message) => {
    expect(errorsOf(text)[0]).toMatch(message);
  });

  it('comes with all the others at once, and nothing is taken over', () => {
    const { book, errors } = parseGuardBook([
      { name: 'b.md', text: `${head}- lead: X\n- level: expart` },
      { name: 'a.md', text: '# Nonsense' },
      { name: 'README.md', text: 'never read' },
    ]);
    expect(errors.map(({ file }) => file)).toEqual(['a.md', 'b.md', 'b.md']);
    expect(LISTS.flatMap((list): object[] => book[list])).toEqual([]);
  });
});
