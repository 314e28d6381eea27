import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commandFor, DOCUMENTS, type Step, steps } from '../test/documentEdits.ts';
import { applyCommand } from './applyCommand.ts';
import { batch, type Command, CommandSchema } from './command.ts';
import { diffDocuments } from './diffDocuments.ts';
import { badReferences } from './documentIssues.ts';
import { DOCUMENT_KIND_NAMES, DOCUMENT_KINDS, type DocumentKindName } from './documentKinds.ts';
import { fieldsOfChange, isOrder, meet, overlap, withoutFields } from './fields.ts';
import { RefusedError } from './issue.ts';
import { commandOf, rebase } from './rebase.ts';

/** A document and what two people do to it, each on the document as it was. */
const twoPeople = (kind: DocumentKindName) =>
  fc.record({ document: DOCUMENTS[kind], mine: steps('mine'), theirs: steps('theirs') });

/** Does steps one after the other, as one person would, and gives the commands. */
function work(
  kind: DocumentKindName,
  from: typeof DOCUMENTS extends Record<string, fc.Arbitrary<infer D>> ? D : never,
  all: Step[],
) {
  const commands: Command[] = [];
  let document = from;
  for (const step of all) {
    const command = commandFor(kind, document, step);
    document = applyCommand(document, command).document;
    commands.push(command);
  }
  return { document, commands };
}

const refused = (run: () => unknown): boolean => {
  try {
    run();
    return false;
  } catch (error) {
    if (error instanceof RefusedError) return true;
    throw error;
  }
};

describe.each(DOCUMENT_KIND_NAMES)('a %s', (kind) => {
  it('is as it was after a change and its inverse, and the change can be made again', () => {
    fc.assert(
      fc.property(DOCUMENTS[kind], steps('mine', 6), (document, all) => {
        const command = batch(work(kind, document, all).commands);
        const applied = applyCommand(document, command);
        const back = applyCommand(applied.document, applied.inverse);
        expect(back.document).toEqual(document);
        expect(applyCommand(back.document, back.inverse).document).toEqual(applied.document);
        expect(CommandSchema.safeParse(JSON.parse(JSON.stringify(applied.inverse))).success).toBe(true);
      }),
    );
  });

  it('keeps its schema and its references through any sequence of changes', () => {
    fc.assert(
      fc.property(DOCUMENTS[kind], steps('mine', 8), (document, all) => {
        const { document: after } = work(kind, document, all);
        expect(DOCUMENT_KINDS[kind].schema.parse(after)).toEqual(after);
        expect(badReferences(after)).toEqual([]);
      }),
    );
  });

  it('is the same in either order of two changes that touch different fields', () => {
    let met = 0;
    fc.assert(
      fc.property(twoPeople(kind), ({ document, mine, theirs }) => {
        const a = commandFor(kind, document, mine[0]!);
        const b = commandFor(kind, document, theirs[0]!);
        const [first, second] = [applyCommand(document, a), applyCommand(document, b)];
        // The order of a list is a field here; whom the server hears first decides it between two people.
        if (first.touched.some((field) => second.touched.some((other) => meet(field, other)))) return;
        if (refused(() => applyCommand(first.document, b)) || refused(() => applyCommand(second.document, a)))
          return;
        met++;
        expect(applyCommand(first.document, b).document).toEqual(applyCommand(second.document, a).document);
      }),
    );
    expect(met).toBeGreaterThan(20);
  });

  it('says of a change by command and inverse alone what it touched, what a removal took along included', () => {
    fc.assert(
      fc.property(DOCUMENTS[kind], steps('mine', 1), (document, [step]) => {
        const command = commandFor(kind, document, step!);
        const { inverse, touched } = applyCommand(document, command);
        const said = fieldsOfChange({ command, inverse });
        for (const field of touched)
          if (!isOrder(field)) expect(said.some((other) => meet(field, other))).toBe(true);
      }),
    );
  });

  it('comes out of a rebase as if both had been done in the server’s order', () => {
    fc.assert(
      fc.property(twoPeople(kind), ({ document, mine, theirs }) => {
        const waiting = work(kind, document, mine).commands.map((command) => ({ commands: [command] }));
        const { document: server, commands: foreign } = work(kind, document, theirs);
        const { document: shown, refused: left } = rebase(server, waiting);
        const accepted = waiting.filter((_, i) => !left.has(i)).map(({ commands }) => commands[0]!);
        const inOrder = [...foreign, ...accepted].reduce(
          (current, command) => applyCommand(current, command).document,
          document,
        );
        expect(shown).toEqual(inOrder);
      }),
    );
  });

  it('loses nothing of theirs where mine is made without the fields that meet', () => {
    fc.assert(
      fc.property(twoPeople(kind), ({ document, mine, theirs }) => {
        const b = commandFor(kind, document, theirs[0]!);
        const a = commandFor(kind, document, mine[0]!);
        const foreign = applyCommand(document, b);
        const own = applyCommand(document, a);
        const shared = overlap(own.touched, foreign.touched);
        const rest = withoutFields({ command: a, inverse: own.inverse }, shared);
        if (!rest || refused(() => applyCommand(foreign.document, rest))) return;
        const { touched } = applyCommand(foreign.document, rest);
        const visible = touched.filter((field) => !isOrder(field));
        expect(overlap(visible, shared)).toEqual([]);
      }),
    );
  });

  it('is not changed at all by a change that is refused', () => {
    fc.assert(
      fc.property(DOCUMENTS[kind], steps('mine', 3), (document, all) => {
        const before = structuredClone(document);
        const good = work(kind, document, all).commands;
        const bad: Command = {
          do: 'remove',
          kind: Object.keys(DOCUMENT_KINDS[kind].entities)[0] as never,
          id: 'nobody',
        };
        expect(() => applyCommand(document, batch([...good, bad]))).toThrow(RefusedError);
        expect(document).toEqual(before);
      }),
    );
  });

  it('is turned into any other one by their difference, and back', () => {
    fc.assert(
      fc.property(DOCUMENTS[kind], DOCUMENTS[kind], (from, other) => {
        const to = { ...other, id: from.id };
        const command = diffDocuments(from, to);
        const { document, inverse } = applyCommand(from, command);
        expect(document).toEqual(to);
        expect(applyCommand(document, inverse).document).toEqual(from);
        expect(diffDocuments(document, to).commands).toEqual([]);
      }),
    );
  });
});

describe.each(DOCUMENT_KIND_NAMES)('of a %s a removal', (kind) => {
  /** What only makes sense whole: a chain with a gap leads nowhere, an answer of a variation is no answer without it. */
  const WHOLE = new Set(['chain', 'exchange']);

  it('takes along nothing that could stand without what it mentioned', () => {
    const lists = Object.entries(DOCUMENT_KINDS[kind].entities);
    let takenAlong = 0;
    fc.assert(
      fc.property(DOCUMENTS[kind], steps('mine', 6), fc.nat(), fc.nat(), (from, all, which, n) => {
        const { document } = work(kind, from, all);
        const [name, { list }] = lists[which % lists.length]!;
        const entities = (of: unknown, field: string) => (of as Record<string, { id: string }[]>)[field]!;
        const removed = entities(document, list)[n % Math.max(1, entities(document, list).length)];
        if (!removed) return;
        const left = applyCommand(document, { do: 'remove', kind: name as never, id: removed.id }).document;
        for (const [other, { list: field, schema }] of lists) {
          if (WHOLE.has(other)) continue;
          const stays = new Set(entities(left, field).map(({ id }) => id));
          for (const gone of entities(document, field)) {
            if (stays.has(gone.id) || gone === removed) continue;
            takenAlong++;
            // Put back without the items of its lists that mention what is gone, it would still mention it.
            const back = (item: { id: string }) => ({
              ...left,
              [field]: [...entities(left, field), item],
            });
            const dangling = badReferences(back(gone)).map(({ path }) => path.slice(2));
            const without = dangling.reduceRight<unknown>(withoutItem, gone);
            const stands =
              schema.safeParse(without).success &&
              badReferences(back(without as { id: string })).length === 0;
            expect(stands, `${other} ${gone.id} without ${name} ${removed.id}`).toBe(false);
          }
        }
      }),
      { numRuns: 300 },
    );
    // Only in a map do things hang on others.
    if (kind === 'map') expect(takenAlong).toBeGreaterThan(0);
  });
});

/** A value without the innermost item of a list that a path goes through. */
function withoutItem(value: unknown, path: readonly (string | number)[]): unknown {
  const item = path.findLastIndex((key) => typeof key === 'number');
  if (item < 0) return value;
  const drop = (node: unknown, depth: number): unknown => {
    const key = path[depth]!;
    if (depth === item) return (node as unknown[]).toSpliced(key as number, 1);
    if (Array.isArray(node)) return node.with(key as number, drop(node[key as number], depth + 1));
    return { ...(node as object), [key]: drop((node as Record<string, unknown>)[key], depth + 1) };
  };
  return drop(value, 0);
}

describe('several commands', () => {
  it('are one change', () => {
    expect(commandOf([batch([])])).toEqual(batch([]));
    expect(commandOf([batch([]), batch([])])).toEqual(batch([batch([]), batch([])]));
  });
});
