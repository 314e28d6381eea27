import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ClassSchema } from '../model/classPlan.ts';
import { commandFor, DOCUMENTS, steps } from '../test/documentEdits.ts';
import { smallMap } from '../test/smallMap.ts';
import { applyCommand } from './applyCommand.ts';
import { batch, type Command, describe as describeHead, place, put, remove, set } from './command.ts';
import { describeChange, describeField, describeValue } from './describeChange.ts';
import { DOCUMENT_KIND_NAMES } from './documentKinds.ts';
import { fieldsOfChange, isOrder } from './fields.ts';
import { fieldValue } from './fieldValue.ts';

const map = smallMap();
const words = (command: Command): string => {
  const { document, inverse } = applyCommand(map, command);
  return describeChange(document, command, inverse);
};
const [exchange] = map.exchanges;

describe('a change in words', () => {
  it('says which field of what, and the values before and after', () => {
    const now = `${Math.round(exchange!.chance * 100)} %`;
    expect(words(set('exchange', exchange!.id, [{ path: ['chance'], value: 0.45 }]))).toMatch(
      new RegExp(`^answer “.+ when top .+”: chance ${now} → 45 %$`),
    );
    expect(
      words(
        set('position', 'start', [
          { path: ['looks', map.positions[0]!.looks[0]!.id, 'timing'], value: 'seen' },
        ]),
      ),
    ).toBe(`position “${map.positions[0]!.name}”: timing “hidden” → “seen”`);
    expect(words(set('position', 'start', [{ path: ['name'], value: 'Grips won' }]))).toBe(
      `position “${map.positions[0]!.name}” → “Grips won”`,
    );
    expect(words(describeHead([{ path: ['name'], value: 'Other' }]))).toBe(
      `name of the map “${map.name}” → “Other”`,
    );
  });

  it('names what is new, what is gone and what moved', () => {
    expect(words(put('system', { id: 'x', name: 'New one', aliases: [], note: '' }))).toBe(
      'new guard system “New one”',
    );
    expect(words(remove('position', 'start'))).toBe(`position “${map.positions[0]!.name}” removed`);
    expect(words(place('position', 'start', 1))).toBe(`place of position “${map.positions[0]!.name}”`);
  });

  it('uses the label of a batch, and counts where there is too much to name', () => {
    expect(words(batch([remove('position', 'start')], 'Tidy up'))).toBe('Tidy up');
    const many = ['a', 'b', 'c', 'd'].map((id) => put('system', { id, name: id, aliases: [], note: '' }));
    expect(words(batch(many))).toBe('new guard system “a”, new guard system “b” and 2 more');
    expect(words(batch([]))).toBe('nothing');
  });

  it('is of any kind of document', () => {
    const plan = ClassSchema.parse({
      format: 'aftersquall-class',
      version: 1,
      id: 'c',
      name: 'Monday',
      map: 'small',
      minutes: 60,
      people: 14,
      apparel: 'gi',
      blocks: [{ kind: 'rest', id: 'water', title: 'Water', seconds: 60 }],
    });
    const command = set('block', 'water', [{ path: ['seconds'], value: 90 }]);
    const { document, inverse } = applyCommand(plan, command);
    expect(describeChange(document, command, inverse)).toBe('block “Water”: seconds 60 → 90');
  });
});

describe('a field in words', () => {
  it('has words for a whole thing, which has no field', () => {
    const whole = { kind: 'position', id: 'start', path: [] };
    const { name } = map.positions[0]!;
    expect(describeField(map, whole)).toBe(`position “${name}”`);
    expect(describeValue(map, whole, undefined)).toBe('removed');
    expect(describeValue(map, whole, map.positions[0])).toBe(name);
    expect(describeField(map, { kind: 'position', id: 'gone', path: [] })).toBe('position');
  });

  it.each(
    DOCUMENT_KIND_NAMES,
  )('has words for whatever a change of a %s touches, before and after', (kind) => {
    fc.assert(
      fc.property(DOCUMENTS[kind], steps('mine', 1), (document, [step]) => {
        const command = commandFor(kind, document, step!);
        const { document: after, inverse } = applyCommand(document, command);
        // The order of a list is never asked about.
        for (const field of fieldsOfChange({ command, inverse }).filter((one) => !isOrder(one)))
          for (const from of [document, after])
            for (const of of [document, after]) {
              expect(describeField(from, field)).not.toBe('');
              expect(describeValue(from, field, fieldValue(of, field))).not.toBe('');
            }
      }),
    );
  });
});
