import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commandFor, DOCUMENTS, steps } from '../test/documentEdits.ts';
import { smallMap } from '../test/smallMap.ts';
import { applyCommand } from './applyCommand.ts';
import { type Change, changeKey, type MadeChange } from './change.ts';
import { type Command, remove, set } from './command.ts';
import { decideChange } from './decideChange.ts';
import { DOCUMENT_KIND_NAMES } from './documentKinds.ts';

const map = smallMap();
const [exchange] = map.exchanges;
const chance = (value: number): Command => set('exchange', exchange!.id, [{ path: ['chance'], value }]);
const note = (value: string): Command => set('exchange', exchange!.id, [{ path: ['note'], value }]);
const change = (command: Command, given: Partial<Change> = {}): Change => ({
  base: 1,
  key: changeKey('mine', 'change-one'),
  commands: [command],
  who: 'Tern',
  ...given,
});

/** The document after a change, with that change as it was made. */
function after(command: Command, given: Partial<MadeChange> = {}) {
  const { document, inverse } = applyCommand(map, command);
  const made: MadeChange = {
    revision: 2,
    key: changeKey('theirs', 'change-two'),
    command,
    inverse,
    at: '2026-01-01T00:00:00.000Z',
    who: 'Gull',
    ...given,
  };
  return { document, revision: 2, since: [made] };
}

describe('a change', () => {
  it('is taken where nobody touched the same fields since', () => {
    const decision = decideChange(after(note('late')), change(chance(0.3)));
    expect(decision).toMatchObject({ is: 'taken' });
  });

  it('is asked about where others touched the same fields, with both values', () => {
    const decision = decideChange(after(chance(0.44)), change(chance(0.3)));
    expect(decision).toEqual({
      is: 'overlaps',
      issues: [],
      overlaps: [{ kind: 'exchange', id: exchange!.id, path: ['chance'], theirs: 0.44, mine: 0.3 }],
    });
  });

  it('is asked about where others removed what it needs', () => {
    const decision = decideChange(after(remove('exchange', exchange!.id)), change(chance(0.3)));
    expect(decision).toMatchObject({ is: 'overlaps', overlaps: [] });
    expect(decision.is === 'overlaps' && decision.issues).toHaveLength(1);
  });

  it('is never asked about because of the same coach’s own change on the same device', () => {
    const own = { key: changeKey('mine', 'change-two'), who: 'Tern' };
    expect(decideChange(after(chance(0.44), own), change(chance(0.3)))).toMatchObject({ is: 'taken' });
    const otherDevice = { ...own, key: changeKey('theirs', 'change-two') };
    expect(decideChange(after(chance(0.44), otherDevice), change(chance(0.3)))).toMatchObject({
      is: 'overlaps',
    });
    const otherCoach = { ...own, who: 'Gull' };
    expect(decideChange(after(chance(0.44), otherCoach), change(chance(0.3)))).toMatchObject({
      is: 'overlaps',
    });
  });

  it('is refused where it is wrong by itself, or made for a revision that is not there yet', () => {
    const kept = { document: map, revision: 1, since: [] };
    expect(decideChange(kept, change(chance(1.5)))).toMatchObject({ is: 'refused' });
    expect(decideChange(kept, change(chance(0.5), { base: 4 }))).toMatchObject({
      is: 'refused',
      issues: [{ path: ['base'] }],
    });
  });

  it.each(DOCUMENT_KIND_NAMES)('of a %s that is taken loses nothing that others did since', (kind) => {
    fc.assert(
      fc.property(DOCUMENTS[kind], steps('mine', 1), steps('theirs', 1), (document, [mine], [theirs]) => {
        const command = commandFor(kind, document, theirs!);
        const made = applyCommand(document, command);
        const since: MadeChange[] = [
          {
            revision: 2,
            key: 'theirs_change',
            command,
            inverse: made.inverse,
            at: '2026-01-01T00:00:00.000Z',
            who: '',
          },
        ];
        const own = change(commandFor(kind, document, mine!));
        const decision = decideChange({ document: made.document, revision: 2, since }, own);
        if (decision.is !== 'taken') return;
        // Taking it back leaves exactly what they made.
        expect(applyCommand(decision.applied.document, decision.applied.inverse).document).toEqual(
          made.document,
        );
      }),
    );
  });
});
