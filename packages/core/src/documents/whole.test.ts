import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mirror } from '../body/mirror.ts';
import { holes } from '../check/holes.ts';
import { printMapFile } from '../formats/mapFile.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome } from '../model/outcome.ts';
import { guardMap } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { applyCommand } from './applyCommand.ts';
import { CommandSchema } from './command.ts';
import { diffDocuments } from './diffDocuments.ts';
import { duplicatePosition, duplicateSystem } from './duplicate.ts';

describe('the difference of two maps', () => {
  it('turns the one into the other, to the byte and in its order, and back', () => {
    fc.assert(
      fc.property(guardMap, guardMap, fc.nat(), (a, b, n) => {
        const reordered: GuardMap = {
          ...b,
          positions: [...b.positions.slice(n % 3), ...b.positions.slice(0, n % 3)],
          exchanges: b.exchanges.toReversed(),
        };
        const command = diffDocuments(a, reordered, 'restore');
        expect(CommandSchema.safeParse(command).success).toBe(true);
        const { document: map, inverse } = applyCommand(a, command);
        expect(printMapFile(map)).toBe(printMapFile(reordered));
        expect(printMapFile(applyCommand(map, inverse).document)).toBe(printMapFile(a));
      }),
    );
  });

  it('says nothing of what is the same', () => {
    const map = smallMap();
    expect(diffDocuments(map, structuredClone(map)).commands).toEqual([]);
    const renamed = { ...map, name: 'Other', moves: map.moves.with(1, { ...map.moves[1]!, name: 'Choke' }) };
    expect(diffDocuments(map, renamed).commands.map((command) => command.do)).toEqual(['describe', 'set']);
  });
});

describe('a difference', () => {
  it('is none in the order in which fields were written', () => {
    const map = smallMap();
    const turned = {
      ...map,
      moves: map.moves.map((move) => Object.fromEntries(Object.entries(move).reverse()) as typeof move),
    };
    expect(diffDocuments(map, turned).commands).toEqual([]);
  });
});

describe('a duplicate', () => {
  it('of a position has its moves and answers, and leads where it led', () => {
    const map = smallMap();
    const { command, id } = duplicatePosition(map, 'start');
    const next = applyCommand(map, command).document;
    const index = indexMap(next);
    expect(index.position.get(id)!.name).toBe('Collar and far sleeve (copy)');
    expect(index.movesOf(id).map(({ name }) => name)).toEqual(
      indexMap(map)
        .movesOf('start')
        .map(({ name }) => name),
    );
    expect(holes(next).length).toBe(2 * holes(map).length);
    expect(command.label).toContain('Collar and far sleeve');
  });

  it('on the other side is its mirror image, and once more on the other side what it was', () => {
    fc.assert(
      fc.property(guardMap, fc.nat(), (map, n) => {
        const { id } = map.positions[n % map.positions.length]!;
        const first = duplicatePosition(map, id, { mirrored: true });
        const once = applyCommand(map, first.command).document;
        const copy = indexMap(once).position.get(first.id)!;
        const { holds, topHolds, signs, leadSide } = mirror('position', indexMap(map).position.get(id)!);
        expect(copy).toMatchObject({ holds, topHolds, signs, leadSide });
        const second = duplicatePosition(once, first.id, { mirrored: true });
        const twice = indexMap(applyCommand(once, second.command).document);
        const plain = (index: ReturnType<typeof indexMap>, at: string) =>
          index
            .movesOf(at)
            .map(({ id: move, steps, direction, needs }) => [
              steps,
              direction,
              needs,
              index
                .exchangesOf(move)
                .map(({ to, otherwise, reaction }) =>
                  JSON.stringify([to, otherwise, reaction]).replaceAll(`"${at}"`, '"here"'),
                ),
            ]);
        expect(plain(twice, second.id)).toEqual(plain(indexMap(map), id));
      }),
      { numRuns: 60 },
    );
  });

  it('of a system leads to its own positions inside and to the others outside', () => {
    const map = smallMap();
    map.positions[1]!.systems = [];
    const { command, id } = duplicateSystem(map, 'collar-sleeve');
    const next = applyCommand(map, command).document;
    const copies = next.positions.filter(({ systems }) => systems.includes(id));
    expect(copies).toHaveLength(1);
    const landings = indexMap(next)
      .movesOf(copies[0]!.id)
      .flatMap((move) =>
        indexMap(next)
          .exchangesOf(move.id)
          .map(({ to }) => to),
      )
      .filter((to) => !isOutcome(to));
    expect(landings).toEqual([{ position: 'cross' }]);
    expect(() => duplicateSystem(map, 'none')).toThrow('no guard system');
  });

  it('never breaks a map, and is undone whole', () => {
    fc.assert(
      fc.property(guardMap, fc.nat(), (map, n) => {
        const { command } = duplicatePosition(map, map.positions[n % map.positions.length]!.id);
        const { document: next, inverse } = applyCommand(map, command);
        expect(next.positions.length).toBe(map.positions.length + 1);
        expect(applyCommand(next, inverse).document).toEqual(map);
      }),
    );
  });
});
