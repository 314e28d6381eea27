import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseMap, parseMapFile, printMapFile } from '../formats/mapFile.ts';
import { ENTITY_KINDS, type GuardMap, LIST_OF, MapSchema } from '../model/map.ts';
import { guardMap, reaction } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { type Applied, applyCommand } from './applyCommand.ts';
import { batch, type Command, describe as describeHead, put, remove, removeAlone, set } from './command.ts';
import { badReferences } from './documentIssues.ts';
import { RefusedError } from './issue.ts';

const demoMap = () =>
  parseMapFile(readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'));

const refusal = (run: () => unknown): string[] => {
  try {
    run();
  } catch (error) {
    if (error instanceof RefusedError)
      return error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
    throw error;
  }
  return [];
};

/** A map with a command that it accepts: removals with their users, renamings, additions, all in a batch. */
const mapAndCommand = fc
  .tuple(guardMap, fc.infiniteStream(fc.nat()), reaction('new'))
  .map(([map, numbers, added]) => {
    const next = () => numbers.next().value as number;
    const commands: Command[] = [put('reaction', added, next() % 3)];
    const renamed = map.positions[next() % map.positions.length]!;
    commands.push(put('position', { ...renamed, name: 'Renamed', entry: 2 }));
    const kind = ENTITY_KINDS[next() % ENTITY_KINDS.length]!;
    const list = map[LIST_OF[kind]];
    const victim = list[next() % Math.max(1, list.length)];
    if (victim) commands.unshift(remove(kind, victim.id));
    if (victim?.id === renamed.id && kind === 'position') commands.pop();
    return { map, command: batch(commands) };
  });

describe('commands', () => {
  it('apply then undo is the identity, to the byte, and the schema always holds', () => {
    fc.assert(
      fc.property(mapAndCommand, ({ map, command }) => {
        let applied: Applied<GuardMap>;
        try {
          applied = applyCommand(map, command);
        } catch (error) {
          // A renamed position may mention what the same batch removes: then nothing may have happened.
          expect(error).toBeInstanceOf(RefusedError);
          return;
        }
        expect(() => MapSchema.parse(applied.document)).not.toThrow();
        expect(badReferences(applied.document)).toEqual([]);
        expect(printMapFile(applyCommand(applied.document, applied.inverse).document)).toBe(
          printMapFile(map),
        );
        const redone = applyCommand(applyCommand(applied.document, applied.inverse).document, command);
        expect(redone.document).toEqual(applied.document);
      }),
    );
  });

  it('removing anything with its users leaves nothing dangling', () => {
    fc.assert(
      fc.property(guardMap, fc.nat(), (map, n) => {
        for (const kind of ['position', 'move', 'reaction', 'exchange'] as const) {
          const list = map[LIST_OF[kind]];
          if (list.length === 0) continue;
          const id = list[n % list.length]!.id;
          const { document: left, inverse } = applyCommand(map, remove(kind, id));
          expect(badReferences(left)).toEqual([]);
          expect(applyCommand(left, inverse).document).toEqual(map);
        }
      }),
    );
  });

  it('removing a reaction takes it out of habits and what-ifs; the shares that are left sum to one', () => {
    const demo = demoMap();
    const marten = demo.opponents.find(({ id }) => id === 'marten')!;
    const withWhatIf = applyCommand(
      demo,
      put('scenario', {
        ...demo.scenarios[0]!,
        id: 'calm',
        name: 'Calm',
        forbiddenReactions: ['drive-forward', 'step-back'],
      }),
    ).document;
    const { document: left, inverse } = applyCommand(withWhatIf, remove('reaction', 'drive-forward'));
    expect(left.scenarios.find(({ id }) => id === 'calm')!.forbiddenReactions).toEqual(['step-back']);
    const habits = left.opponents.find(({ id }) => id === 'marten')!.tendencies;
    expect(habits).toHaveLength(marten.tendencies.length);
    for (const { reactions } of habits) {
      expect(reactions.map(({ id }) => id)).not.toContain('drive-forward');
      expect(reactions.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    }
    expect(applyCommand(left, inverse).document).toEqual(withWhatIf);
  });

  it('keeps an opponent when one of its positions is removed, without the habit that spoke of it', () => {
    const demo = demoMap();
    const { tendencies } = demo.opponents[0]!;
    const { position } = tendencies[0]!;
    const { document: left, inverse } = applyCommand(demo, remove('position', position));
    expect(left.opponents[0]!.tendencies).toEqual(
      tendencies.filter((tendency) => tendency.position !== position),
    );
    expect(left.opponents[0]!.tendencies.length).toBeGreaterThan(0);
    expect(applyCommand(left, inverse).document).toEqual(demo);
  });

  it('refuses what would dangle, and says where', () => {
    const map = smallMap();
    expect(refusal(() => applyCommand(map, removeAlone('position', 'cross')))).toEqual([
      ': move "roll" still needs the position "cross"',
      ': move "roll" still needs the look "roll" in "cross"',
      ': exchange "gather-strip" still needs the position "cross"',
    ]);
    const exchange = { ...map.exchanges[0]!, id: 'new', to: { position: 'nowhere' } };
    expect(refusal(() => applyCommand(map, put('exchange', exchange)))).toEqual([
      'value: this move already answers this reaction in "gather-strip"',
      'value.to.position: there is no position "nowhere"',
    ]);
    expect(refusal(() => applyCommand(map, remove('move', 'nothing')))).toEqual([
      'id: there is no move "nothing"',
    ]);
  });

  it('lets the parts of a batch lean on each other in any order', () => {
    const map = smallMap();
    const move = { ...map.moves[3]!, id: 'second', look: 'other' };
    const cross = {
      ...map.positions[1]!,
      looks: [
        ...map.positions[1]!.looks,
        { id: 'other', name: 'Other', timing: 'hidden' as const, reactions: [] },
      ],
    };
    expect(applyCommand(map, batch([put('move', move), put('position', cross)])).document.moves).toHaveLength(
      5,
    );
  });

  it('describes the map and takes it back', () => {
    const map = smallMap();
    const { document: named, inverse } = applyCommand(
      map,
      describeHead([{ path: ['name'], value: 'Other' }]),
    );
    expect(named.name).toBe('Other');
    expect(applyCommand(named, inverse).document).toEqual(map);
  });

  it('has what is put read by the schema of its kind, defaults and all, and says where it is wrong', () => {
    const map = smallMap();
    const added = applyCommand(map, put('system', { id: 'x', name: 'X' } as never)).document;
    expect(added.systems.at(-1)).toEqual({ id: 'x', name: 'X', aliases: [], note: '' });
    expect(
      refusal(() => applyCommand(map, batch([put('system', { id: 'x x', name: '' } as never)]))),
    ).toEqual([
      expect.stringMatching(/^commands\.0\.value\.id: use letters/),
      'commands.0.value.name: give it a name',
    ]);
    expect(
      refusal(() =>
        applyCommand(map, set('exchange', map.exchanges[0]!.id, [{ path: ['chance'], value: 1.5 }])),
      ),
    ).toEqual(['changes.chance: a chance lies between 0 and 1']);
    expect(refusal(() => applyCommand(map, put('block' as never, { id: 'b' } as never)))).toEqual([
      expect.stringMatching(/^kind: a map has no “block”; it has system, mechanic, reaction/),
    ]);
    expect(refusal(() => applyCommand(map, describeHead([{ path: ['id'], value: 'other' }])))).toEqual([
      'changes: of a map only these can be described: name, note, settings',
    ]);
  });
});

describe('map files', () => {
  it('print, parse and print again are the same bytes', () => {
    fc.assert(
      fc.property(guardMap, (map) => {
        const text = printMapFile(map);
        const read = parseMapFile(text);
        expect(read).toEqual(MapSchema.parse(JSON.parse(text)));
        expect(printMapFile(read)).toBe(text);
      }),
    );
  });

  it('say where a bad file is wrong, everything at once', () => {
    expect(refusal(() => parseMapFile('{'))[0]).toMatch(/^: this is not a JSON file/);
    const bad = JSON.parse(printMapFile(smallMap()));
    bad.exchanges[0].chance = 1.5;
    bad.exchanges[1].to = { outcome: 'glory' };
    bad.positions[0].colour = 'red';
    expect(refusal(() => parseMap(bad))).toEqual([
      expect.stringMatching(/^positions\.0: /),
      'exchanges.0.chance: a chance lies between 0 and 1',
      expect.stringMatching(/^exchanges\.1\.to\.outcome: one of top-side, top-mount/),
    ]);
    const dangling = JSON.parse(printMapFile(smallMap()));
    dangling.positions[0].looks[0].reactions.push({ id: 'sneeze' });
    dangling.moves.push(dangling.moves[0]);
    expect(refusal(() => parseMap(dangling))).toEqual([
      'positions.0.looks.0.reactions.1.id: there is no reaction "sneeze"',
      'moves.4.id: the id "gather" is used twice',
    ]);
  });
});
