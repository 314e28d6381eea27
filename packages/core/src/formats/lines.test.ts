import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyCommand } from '../documents/applyCommand.ts';
import { emptyMap } from '../model/map.ts';
import { OUTCOMES } from '../model/outcome.ts';
import { guardMap } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { type Line, parseLines, printLine, quoteName } from './lineSyntax.ts';
import { printMapFile } from './mapFile.ts';
import { printLines } from './printLines.ts';
import { readAllLines, readLines } from './readLines.ts';

/** A line without what only says where it stood. */
const plain = (line: object) =>
  JSON.parse(
    JSON.stringify(line, (key, value) =>
      key === 'line' || key === 'column' || key === 'quoted' ? undefined : value,
    ),
  );

const anyName = fc.oneof(
  fc.constantFrom(
    'Knee shield',
    'none',
    'a: b',
    'x | y',
    'to -> there',
    '50% of it',
    'or else what',
    'hold 8s',
    '~tilde',
    '#1',
    'say "so"',
    'back\\slash',
    'else',
  ),
  fc
    .string({ minLength: 1, maxLength: 12 })
    .map((text) => text.trim())
    .filter((text) => text !== '' && !/[\r\n]/.test(text)),
);
const named = fc.record({ text: anyName, mirrored: fc.boolean(), column: fc.constant(0) });
const plainName = fc.record({ text: anyName, mirrored: fc.constant(false), column: fc.constant(0) });
const result = fc.oneof(
  named,
  fc.constantFrom(...OUTCOMES).map((text) => ({ text, mirrored: false, column: 0 })),
);
const anyLine: fc.Arbitrary<Omit<Line, 'line'>> = fc.record(
  {
    position: plainName,
    move: plainName,
    variant: plainName,
    reaction: named,
    to: result,
    chance: fc.integer({ min: 0, max: 10000 }).map((n) => n / 10000),
    otherwise: result,
    seconds: fc.integer({ min: 0, max: 900 }).map((n) => n / 4),
  },
  { requiredKeys: ['position', 'move', 'to'] },
);

describe('a line of notation', () => {
  it('has an error, and nothing worse, whatever is typed into it', () => {
    const pieces = fc.constantFrom(
      '"',
      '""',
      '\\',
      ': ',
      ' | ',
      ' -> ',
      '@',
      '~',
      ' else ',
      '40%',
      '8s',
      'Knee',
      ' ',
    );
    fc.assert(
      fc.property(fc.array(pieces, { maxLength: 14 }), (parts) => {
        const { errors, changes, command } = readLines(smallMap(), parts.join(''));
        expect(errors.length === 0 || command.commands.length === 0).toBe(true);
        expect(errors.length > 0 || changes.length >= 0).toBe(true);
      }),
      { numRuns: 3000 },
    );
  });

  it('says where a name is missing between quotation marks, and where one is too long', () => {
    const messages = (text: string) =>
      readLines(smallMap(), text).errors.map(({ column, message }) => [column, message]);
    expect(messages('Posture broken: Climb -> ""')).toEqual([
      [26, 'a result is missing between the quotation marks'],
    ]);
    expect(messages('"": Climb -> back')).toEqual([[1, 'a position is missing between the quotation marks']]);
    expect(messages('Knee: Climb | "" -> back')).toEqual([
      [15, 'what top does is missing between the quotation marks'],
    ]);
    expect(messages(`${'x'.repeat(130)}: Climb -> back`)).toEqual([[1, 'name: at most 120 characters']]);
  });

  it('takes a name that the map has without quotation marks, whatever is in it', () => {
    const text = '"Pass begun: knee past the near leg": Frame | none -> recovered 40%';
    const first = readLines(emptyMap('e', 'E'), text);
    const again = readLines(first.map, 'Pass begun: knee past the near leg: Frame -> recovered 60%');
    expect(again.errors).toEqual([]);
    expect(again.changes).toMatchObject([{ kind: 'exchange', change: 'changed' }]);
    expect(readLines(first.map, 'Pass begun: Frame -> recovered').changes[0]).toMatchObject({
      kind: 'position',
      name: 'Pass begun',
      change: 'new',
    });
    expect(
      readLines(
        first.map,
        'Pass begun: knee past the near leg: Frame -> Pass begun: knee past the near leg 5%',
      ).changes,
    ).toHaveLength(1);
  });

  it('reads as it is said', () => {
    const { lines, errors } = parseLines(
      'Collar and sleeve: scissor sweep | ~posts a hand -> top-mount 45% else collar and sleeve 6s\n',
    );
    expect(errors).toEqual([]);
    expect(plain(lines[0]!)).toEqual({
      position: { text: 'Collar and sleeve', mirrored: false },
      move: { text: 'scissor sweep', mirrored: false },
      reaction: { text: 'posts a hand', mirrored: true },
      to: { text: 'top-mount', mirrored: false },
      chance: 0.45,
      otherwise: { text: 'collar and sleeve', mirrored: false },
      seconds: 6,
    });
  });

  it('may leave out the reaction, the chance, what else and the seconds', () => {
    const { lines } = parseLines('# a comment\n\nSeated: drag -> back\nSeated: drag | none -> ~Seated 30%');
    expect(lines.map((line) => [line.line, line.reaction, line.chance, line.to.mirrored])).toEqual([
      [3, undefined, undefined, false],
      [4, undefined, 0.3, true],
    ]);
  });

  it('survives printing and parsing, whatever the names', () => {
    fc.assert(
      fc.property(anyLine, (line) => {
        const text = printLine(line);
        const { lines, errors } = parseLines(text);
        expect(errors).toEqual([]);
        expect(plain(lines[0]!)).toEqual(plain(line));
        expect(printLine(lines[0]!)).toBe(text);
      }),
      { numRuns: 500 },
    );
  });

  it.each([
    ['Seated drag -> back', 8, 'a colon'],
    ['Seated: drag | push', 20, 'an arrow'],
    ['Seated: -> back', 9, 'a move is missing'],
    ['Seated: drag | -> back', 16, 'what top does is missing'],
    ['Seated: drag ->', 16, 'a result is missing'],
    ['Seated: drag -> back 140%', 22, 'more than certain'],
    ['Seated: drag -> "back', 17, 'not closed'],
    ['Seated: drag -> back 40% maybe', 26, 'does not belong here'],
    [': drag -> back', 1, 'a position is missing'],
  ])('says where %j is wrong', (text, column, message) => {
    const { errors, lines } = parseLines(`\n${text}`);
    expect(lines).toEqual([]);
    expect(errors).toHaveLength(1);
    expect(errors[0]).toMatchObject({ line: 2, message: expect.stringContaining(message) });
    if (message !== 'a colon') expect(errors[0]!.column).toBe(column);
  });

  it('quotes only what needs it', () => {
    expect(quoteName('Knee shield')).toBe('Knee shield');
    expect(quoteName('1:1')).toBe('"1:1"');
    expect(quoteName('none')).toBe('"none"');
    expect(quoteName('say "so"', true)).toBe('~"say \\"so\\""');
  });
});

describe('lines and a map', () => {
  it('print what is there, and reading that changes nothing', () => {
    fc.assert(
      fc.property(guardMap, (map) => {
        const { errors, changes, command } = readLines(map, printLines(map));
        expect(errors).toEqual([]);
        expect(changes).toEqual([]);
        expect(command.commands).toEqual([]);
      }),
    );
    expect(printLines(smallMap())).toBe(
      [
        'Collar and far sleeve: Gather the sleeve with both hands | Strips the collar grip -> Two on one 70%',
        'Collar and far sleeve: Collar choke | none -> submission 40%',
        'Collar and far sleeve: Tilt to the side | none -> top-side 50%',
        'Two on one: Roll under | none -> ~Collar and far sleeve 50%',
        '',
      ].join('\n'),
    );
    expect(printLines(smallMap(), ['cross'])).toBe(
      'Two on one: Roll under | none -> ~Collar and far sleeve 50%\n',
    );
  });

  it('write a whole system from nothing, and undo takes all of it back at once', () => {
    const empty = emptyMap('mine', 'Mine');
    const text = `
      Knee shield: underhook and come up | crossface -> Half guard, flat 40% else passed
      Knee shield: underhook and come up -> top-side 60%
      Knee shield: roll under | whizzer -> back 35% 9s
      Half guard, flat: bring the shield back | none -> ~Knee shield 50%
    `;
    const read = readLines(empty, text);
    expect(read.errors).toEqual([]);
    expect(read.changes.map(({ line, kind, name }) => `${line} ${kind} ${name}`)).toEqual([
      '2 position Knee shield',
      '2 position Half guard, flat',
      '2 reaction crossface',
      '2 move underhook and come up',
      '2 exchange underhook and come up',
      '3 exchange underhook and come up',
      '4 reaction whizzer',
      '4 move roll under',
      '4 exchange roll under',
      '5 move bring the shield back',
      '5 exchange bring the shield back',
    ]);
    const applied = applyCommand(empty, read.command);
    expect(applied.document).toEqual(read.map);
    expect(applied.document.moves.map(({ kind }) => kind)).toEqual(['connect', 'back-take', 'connect']);
    expect(applied.document.positions[0]).toMatchObject({
      entry: 1,
      looks: [{ reactions: [{ id: 'crossface' }] }, { reactions: [{ id: 'whizzer' }] }],
    });
    expect(printMapFile(applyCommand(applied.document, applied.inverse).document)).toBe(printMapFile(empty));
    expect(readLines(applied.document, text).changes).toEqual([]);
  });

  it('change an exchange that exists and keep what lines cannot say', () => {
    const map = smallMap();
    map.exchanges[0]!.note = 'Works best early.';
    map.exchanges[0]!.basis = 'logged';
    const { map: next, changes } = readLines(
      map,
      'collar and far sleeve: GATHER THE SLEEVE WITH BOTH HANDS | strips the collar grip -> back 55%',
    );
    expect(changes).toMatchObject([{ kind: 'exchange', id: 'gather-strip', change: 'changed' }]);
    expect(next.exchanges[0]).toMatchObject({
      chance: 0.55,
      to: { outcome: 'back' },
      note: 'Works best early.',
      basis: 'coach',
    });
    const same = readLines(map, 'start: gather | strip-collar -> back');
    expect(same.map.exchanges[0]).toMatchObject({ chance: 0.7, basis: 'logged' });
  });

  it('that stand for whole positions take out what they mention no more', () => {
    const map = smallMap();
    const text = printLines(map, ['start']);
    expect(readAllLines(map, text, ['start']).changes).toEqual([]);
    const fewer = text.split('\n').slice(1).join('\n');
    const { changes, map: next, command } = readAllLines(map, fewer, ['start']);
    expect(changes).toMatchObject([{ kind: 'exchange', id: 'gather-strip', change: 'gone' }]);
    expect(next.exchanges.map(({ id }) => id)).toEqual(['choke-none', 'tilt-none', 'roll-none']);
    expect(printMapFile(applyCommand(next, applyCommand(map, command).inverse).document)).toBe(
      printMapFile(map),
    );
    // While a line cannot be read nobody knows what it mentions: nothing goes.
    expect(readAllLines(map, `${fewer}\nCollar and far sleeve Gather`, ['start']).changes).toEqual([]);
  });

  it('leave out lines with errors and do the others', () => {
    const { errors, changes } = readLines(
      smallMap(),
      'start: tilt -> top-mount 50%\nstart tilt -> back\n~start: tilt -> back\nstart: tilt @ flying -> back',
    );
    expect(changes).toHaveLength(1);
    expect(errors.map(({ line, message }) => `${line}: ${message}`)).toEqual([
      expect.stringMatching(/^2: expected a colon/),
      '3: a line begins on the side it is written on: no ~ here',
      '4: "Tilt to the side" has no variation "flying"',
    ]);
  });

  it('ask which one when a name is not one thing’s alone', () => {
    const map = smallMap();
    const twins = { ...map, positions: [...map.positions, { ...map.positions[1]!, id: 'twin', looks: [] }] };
    const { errors } = readLines(twins, 'Two on one: Roll under -> back');
    expect(errors).toEqual([
      { line: 1, column: 1, message: '2 positions are called "Two on one"; write one of cross, twin' },
    ]);
    expect(printLines(twins)).toContain('cross: Roll under');
    expect(readLines(twins, printLines(twins)).changes).toEqual([]);
  });
});
