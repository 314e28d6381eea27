import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { MultiDirectedGraph } from 'graphology';
import { parse } from 'graphology-graphml';
import { describe, expect, it } from 'vitest';
import { isOutcome } from '../model/outcome.ts';
import { guardMap } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { parseMapFile, printMapFile } from './mapFile.ts';
import { mapJsonSchema } from './mapJsonSchema.ts';
import { printGraphml } from './printGraphml.ts';

const file = (name: string) => readFileSync(new URL(`../../../../${name}`, import.meta.url), 'utf8');
const demo = parseMapFile(file('testing/club/kelpwick.map.json'));

describe('the JSON Schema of a map file', () => {
  const validate = new Ajv2020({ allErrors: true, strict: false }).compile(mapJsonSchema());

  it('is the one that is published', () => {
    expect(JSON.parse(file('docs/map.schema.json'))).toEqual(JSON.parse(JSON.stringify(mapJsonSchema())));
  });

  it('accepts what is printed, whatever the map', () => {
    expect(
      validate(JSON.parse(file('testing/club/kelpwick.map.json'))),
      JSON.stringify(validate.errors),
    ).toBe(true);
    fc.assert(
      fc.property(guardMap, (map) => {
        expect(validate(JSON.parse(printMapFile(map))), JSON.stringify(validate.errors)).toBe(true);
      }),
      { numRuns: 50 },
    );
  });

  it.each([
    ['/exchanges/0/chance', (map: ReturnType<typeof smallMap>) => (map.exchanges[0]!.chance = 2)],
    [
      '/positions/0/leadSide',
      (map: ReturnType<typeof smallMap>) => (map.positions[0]!.leadSide = 'C' as 'L'),
    ],
    ['/format', (map: ReturnType<typeof smallMap>) => (map.format = 'other' as never)],
  ])('refuses a wrong %s', (path, spoil) => {
    const map = structuredClone(smallMap());
    spoil(map);
    expect(validate(map)).toBe(false);
    expect(validate.errors!.map(({ instancePath }) => instancePath)).toContain(path);
  });
});

describe('GraphML', () => {
  it('is read back by a graph library with every position, exchange and attribute', () => {
    const graph = parse(MultiDirectedGraph, printGraphml(demo));
    for (const position of demo.positions)
      expect(graph.getNodeAttribute(position.id, 'name')).toBe(position.name);
    expect(graph.size).toBe(demo.exchanges.length);
    for (const exchange of demo.exchanges) {
      expect(graph.getEdgeAttribute(exchange.id, 'chance')).toBe(exchange.chance);
      expect(graph.target(exchange.id)).toBe(
        isOutcome(exchange.to) ? `outcome:${exchange.to.outcome}` : exchange.to.position,
      );
    }
  });

  it('escapes what XML would read as its own', () => {
    const map = smallMap();
    map.positions[0]!.name = 'Grip <A> & "B"';
    const graph = parse(MultiDirectedGraph, printGraphml(map));
    expect(graph.getNodeAttribute('start', 'name')).toBe('Grip <A> & "B"');
  });
});
