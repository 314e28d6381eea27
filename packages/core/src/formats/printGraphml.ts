import { XMLBuilder } from 'fast-xml-parser';
import { OUTCOME_WORDS } from '../body/landingWords.ts';
import { signsWords } from '../body/words.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing, OUTCOMES } from '../model/outcome.ts';
import { exchangeSeconds } from '../model/seconds.ts';

type KeyType = 'string' | 'double' | 'boolean';
const NODE_KEYS: Record<string, KeyType> = {
  kind: 'string',
  name: 'string',
  systems: 'string',
  apparel: 'string',
  level: 'string',
  entry: 'double',
  signs: 'string',
  holds: 'double',
};
const EDGE_KEYS: Record<string, KeyType> = {
  move: 'string',
  kind: 'string',
  reaction: 'string',
  reactionMirrored: 'boolean',
  chance: 'double',
  basis: 'string',
  seconds: 'double',
  mirrored: 'boolean',
  otherwise: 'string',
  hazards: 'string',
};

type Data = Record<string, string | number | boolean | undefined>;

const landingId = (landing: Landing): string =>
  isOutcome(landing) ? `outcome:${landing.outcome}` : landing.position;

/**
 * The map as GraphML (graphml.graphdrawing.org): positions and outcomes are nodes, exchanges are edges, parallel
 * ones kept apart, with what a reader of graphs can use as attributes. There is no way back: a map file is JSON.
 */
export function printGraphml(map: GuardMap): string {
  const index = indexMap(map);
  const used = new Set(
    map.exchanges
      .flatMap(({ to, otherwise }) => [to, otherwise])
      .flatMap((landing) => (landing && isOutcome(landing) ? [landing.outcome] : [])),
  );
  const nodes = [
    ...map.positions.map((position) =>
      node(position.id, {
        kind: 'position',
        name: position.name,
        systems: position.systems.join(' '),
        apparel: position.apparel,
        level: position.level,
        entry: position.entry ?? 0,
        signs: signsWords(position.signs).join('; '),
        holds: position.holds.length,
      }),
    ),
    ...OUTCOMES.filter((outcome) => used.has(outcome)).map((outcome) =>
      node(`outcome:${outcome}`, { kind: 'outcome', name: OUTCOME_WORDS[outcome] }),
    ),
  ];
  const edges = map.exchanges.map((exchange) => {
    const move = index.move.get(exchange.move)!;
    const { reaction, to, otherwise } = exchange;
    return {
      '@id': exchange.id,
      '@source': move.position,
      '@target': landingId(to),
      data: dataOf('e', EDGE_KEYS, {
        move: move.name,
        kind: move.kind,
        reaction: reaction === 'none' ? 'none' : (index.reaction.get(reaction.id)?.name ?? reaction.id),
        reactionMirrored: reaction !== 'none' && Boolean(reaction.mirrored),
        chance: exchange.chance,
        basis: exchange.basis,
        seconds: exchangeSeconds(move, exchange),
        mirrored: !isOutcome(to) && Boolean(to.mirrored),
        otherwise: otherwise && landingId(otherwise),
        hazards: move.hazards.join(' '),
      }),
    };
  });
  const builder = new XMLBuilder({
    format: true,
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    suppressEmptyNode: true,
    suppressBooleanAttributes: false,
  });
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    graphml: {
      '@xmlns': 'http://graphml.graphdrawing.org/xmlns',
      key: [...keys('n', 'node', NODE_KEYS), ...keys('e', 'edge', EDGE_KEYS)],
      graph: { '@id': map.id, '@edgedefault': 'directed', node: nodes, edge: edges },
    },
  });
}

const keys = (prefix: string, what: string, list: Record<string, KeyType>) =>
  Object.entries(list).map(([name, type]) => ({
    '@id': `${prefix}-${name}`,
    '@for': what,
    '@attr.name': name,
    '@attr.type': type,
  }));

const node = (id: string, data: Data) => ({ '@id': id, data: dataOf('n', NODE_KEYS, data) });

const dataOf = (prefix: string, list: Record<string, KeyType>, data: Data) =>
  Object.keys(list).flatMap((name) => {
    const value = data[name];
    return value === undefined || value === ''
      ? []
      : [{ '@key': `${prefix}-${name}`, '#text': String(value) }];
  });
