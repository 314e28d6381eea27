import Papa from 'papaparse';
import { reactionName } from '../body/landingWords.ts';
import type { HazardTag } from '../model/hazards.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Share } from '../weigh/game/solveMap.ts';
import { topSheet } from '../weigh/measure/topSheet.ts';
import type { Weighing } from '../weigh/measure/weighMap.ts';

export const WEIGHING_SHEETS = ['values', 'holes', 'top'] as const;
export type WeighingSheet = (typeof WEIGHING_SHEETS)[number];

type Row = Record<string, string | number>;

/**
 * One sheet of a weighed map as CSV (RFC 4180): what every position is worth and its plan, the holes by what an answer brings,
 * or what top should do about every look. Points with three decimals, shares in per cent.
 */
export function printWeighingSheet(map: GuardMap, weighing: Weighing, sheet: WeighingSheet): string {
  const columns = COLUMNS[sheet];
  return Papa.unparse(
    { fields: [...columns], data: ROWS[sheet](map, weighing).map((row) => columns.map((name) => row[name])) },
    // A name that a spreadsheet would take for a formula stays a name.
    { escapeFormulae: true },
  );
}

const COLUMNS = {
  values: [
    'position',
    'value',
    'if answered',
    'perfect play',
    'visits a round',
    'look',
    'moves',
    'cautions',
    'what top does best',
  ],
  holes: ['position', 'move', 'when top', 'brings a round', 'brings on the spot', 'exact', 'visits a round'],
  top: [
    'position',
    'look',
    'planned by bottom',
    'visits a round',
    'best',
    'cautions',
    'leaves',
    'worst',
    'worst leaves',
  ],
} as const satisfies Record<WeighingSheet, readonly string[]>;

/** Cautions travel with what they warn of, each once. */
const cautions = (tags: readonly HazardTag[] = []): string =>
  [...new Set(tags)].map((tag) => tag.replaceAll('-', ' ')).join(', ');

const points = (value: number): number => Math.round(value * 1000) / 1000;

const ROWS: Record<WeighingSheet, (map: GuardMap, weighing: Weighing) => Row[]> = {
  values: (map, { positions }) => {
    const index = indexMap(map);
    return positions.map(({ position, value, ifAnswered, knowsBest, visits, best, looks }) => {
      const plan = looks.find(({ look }) => look === best);
      return {
        position: index.position.get(position)!.name,
        value: points(value),
        'if answered': points(ifAnswered),
        'perfect play': points(knowsBest),
        'visits a round': points(visits),
        look: plan?.name ?? '',
        moves: mixWords(plan?.moves, (id) => index.move.get(id)!.name),
        cautions: cautions(plan?.moves.flatMap(({ what }) => index.move.get(what)!.hazards)),
        'what top does best': mixWords(plan?.reactions, (ref) => reactionName(map, ref)),
      };
    });
  },
  holes: (map, { holes }) => {
    const index = indexMap(map);
    return holes.map(({ position, move, reaction, stake, spot, exact, visits }) => ({
      position: index.position.get(position)!.name,
      move: index.move.get(move)!.name,
      'when top': reaction ? reactionName(map, reaction) : '',
      'brings a round': points(stake),
      'brings on the spot': points(spot),
      exact: exact ? 'yes' : 'no',
      'visits a round': points(visits),
    }));
  },
  top: (map, weighing) => {
    const index = indexMap(map);
    return topSheet(weighing).map(({ position, name, planned, visits, best, leaves, options }) => {
      const worst = options.at(-1)!;
      return {
        position: index.position.get(position)!.name,
        look: name,
        'planned by bottom': planned ? 'yes' : 'no',
        'visits a round': points(visits),
        best: mixWords(best, (ref) => reactionName(map, ref)),
        cautions: cautions(best.flatMap(({ what }) => index.reaction.get(what.id)!.hazards ?? [])),
        leaves: points(leaves),
        worst: reactionName(map, worst.reaction),
        'worst leaves': points(worst.leaves),
      };
    });
  },
};

/** "Scissor sweep 60 %, Collar choke 40 %"; a single one without its share. */
function mixWords<T>(mix: readonly Share<T>[] | undefined, name: (what: T) => string): string {
  if (!mix) return '';
  if (mix.length === 1) return name(mix[0]!.what);
  return mix.map(({ what, share }) => `${name(what)} ${Math.round(share * 100)} %`).join(', ');
}
