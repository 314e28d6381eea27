import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyCommand } from '../../documents/applyCommand.ts';
import { guardMap } from '../../test/arbitraries.ts';
import { smallMap } from '../../test/smallMap.ts';
import { parseGuardBook } from './parseGuardBook.ts';
import { printGuardBook } from './printGuardBook.ts';
import { takeBook } from './takeBook.ts';

const bookOf = (text: string) => {
  const { book, errors } = parseGuardBook([{ name: 'a.md', text }]);
  expect(errors).toEqual([]);
  return book;
};
const printed = (map: ReturnType<typeof smallMap>) => printGuardBook(map, 'small')[0]!.text;

describe('taking a book into a map', () => {
  it('changes what it says otherwise, adds what is new, and leaves the rest', () => {
    const map = smallMap();
    const text = printed(map)
      .replace('- kind: submission', '- kind: submission\n- note: both thumbs in')
      .concat('\n## Position: Turtle (turtle)\n\n- drift: passed\n');
    const { changes, command, issues } = takeBook(map, bookOf(text));
    expect(issues).toEqual([]);
    expect(changes).toEqual([
      { kind: 'position', id: 'turtle', name: 'Turtle', change: 'new' },
      { kind: 'move', id: 'choke', name: 'Collar choke', change: 'changed' },
    ]);
    const { document, inverse } = applyCommand(map, command);
    expect(document.moves[1]!.note).toBe('both thumbs in');
    expect(applyCommand(document, inverse).document).toEqual(map);
  });

  it('takes out what it does not name, with what hangs on it, only where that is asked for', () => {
    const map = {
      ...smallMap(),
      chains: [{ id: 'c', name: 'Over', note: '', exchanges: ['gather-strip', 'roll-none'] }],
    };
    const text = printed(map)
      .split('## Position: Two on one')[0]!
      .replace(/\| strip-collar \| cross .*\n/, '');
    const part = takeBook(map, bookOf(text));
    expect(part.changes).toEqual([]);
    const whole = takeBook(map, bookOf(text), { whole: true });
    expect(whole.changes.map(({ kind, id, change }) => [kind, id, change])).toEqual([
      ['position', 'cross', 'gone'],
      ['move', 'roll', 'gone'],
      ['exchange', 'gather-strip', 'gone'],
      ['exchange', 'roll-none', 'gone'],
    ]);
    const { document, inverse } = applyCommand(map, whole.command);
    expect(document.chains).toEqual([]);
    expect(applyCommand(document, inverse).document).toEqual(map);
  });

  it('does nothing where an id leads nowhere, and says which', () => {
    const { issues, command } = takeBook(
      smallMap(),
      bookOf('# System: S (s)\n\n## Position: P (p)\n\n- drift: moon'),
    );
    expect(issues[0]!.message).toContain('moon');
    expect(issues[0]!.at).toBe('position p');
    expect(command.commands).toEqual([]);
  });

  it('of its own book changes nothing', () => {
    fc.assert(
      fc.property(guardMap, (map) => {
        const { book } = parseGuardBook(printGuardBook(map, 'a'));
        const { changes, issues } = takeBook(map, book);
        expect(issues).toEqual([]);
        // What says nothing (an empty list of fallbacks, a mark that is off) is left out by the book.
        const plain = (value: unknown) =>
          JSON.stringify(value, (_, one) =>
            one === false || (Array.isArray(one) && one.length === 0) ? undefined : one,
          );
        for (const { kind, id } of changes)
          expect(plain(book[`${kind}s`].find((thing) => thing.id === id))).toBe(
            plain(map[`${kind}s`].find((thing) => thing.id === id)),
          );
      }),
      { numRuns: 40 },
    );
  });
});
