import 'reflect-metadata';
import { type AnyDocument, applyCommand, type Change, changeKey } from '@aftersquall/core/documents';
import fc from 'fast-check';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { guardMap } from '../../../../packages/core/src/test/arbitraries.ts';
import { commandFor } from '../../../../packages/core/src/test/documentEdits.ts';
import { StandInServer } from '../../../web/src/test/standInServer.ts';
import { openApp, type TestApp } from '../test/openApp.ts';

let test: TestApp;
beforeEach(async () => {
  test = await openApp();
});
afterEach(() => test.close());

/** What one of three devices does: it looks at the server, or makes a change of what it saw last. */
const doing = fc.record({
  who: fc.nat({ max: 2 }),
  what: fc.constantFrom('look', 'change', 'change', 'again', 'from the future'),
  edit: fc.nat({ max: 1000 }),
  n: fc.nat({ max: 1000 }),
});

it('the stand-in server of the tests gives three devices the answers of the real one', async () => {
  let rounds = 0;
  await fc.assert(
    fc.asyncProperty(guardMap, fc.array(doing, { maxLength: 20 }), async (map, script) => {
      const document = { ...map, id: `map-${rounds++}` };
      await test.http.post('/api/documents/map').send(document).expect(201);
      const standIn = new StandInServer(document);
      const seen = [0, 1, 2].map(() => ({ revision: 1, document: document as AnyDocument }));
      const sent: Change[] = [];
      for (const [i, { who, what, edit, n }] of script.entries()) {
        if (what === 'look') {
          seen[who] = { revision: standIn.revision, document: standIn.document };
          continue;
        }
        const { revision, document: shown } = seen[who]!;
        const change: Change =
          what === 'again' && sent.length > 0
            ? sent[n % sent.length]!
            : {
                base: what === 'from the future' ? revision + 1 + (n % 5) : revision,
                key: changeKey(`device${who}`, `change${i}`),
                commands: [commandFor('map', shown as never, { edit, n, fresh: `d${who}-${i}` })],
                who: n % 2 ? 'Tern' : '',
              };
        sent.push(change);
        const there = await test.http.post(`/api/documents/map/${document.id}/changes`).send(change);
        const here = standIn.change(change);
        expect(there.status).toBe(here.status);
        const { revision: at, overlaps = [], issues = [] } = here.body as Record<string, unknown>;
        // As it is sent: what is undefined is not there.
        const plain = JSON.parse(JSON.stringify({ overlaps, issues }));
        expect(there.body.overlaps ?? []).toEqual(plain.overlaps);
        expect(there.body.issues ?? []).toEqual(plain.issues);
        if (there.status !== 400) expect(there.body.revision).toBe(at);
      }
      const { body } = await test.http.get(`/api/documents/map/${document.id}`).expect(200);
      expect(body.revision).toBe(standIn.revision);
      expect(body.document).toEqual(JSON.parse(JSON.stringify(standIn.document)));
      const folded = standIn.made.reduce(
        (current, { command }) => applyCommand(current, command).document,
        document as AnyDocument,
      );
      expect(folded).toEqual(standIn.document);
    }),
    { numRuns: 40 },
  );
});
