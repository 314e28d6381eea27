import { edit } from '../../documents/edit.ts';
import type { Exchange } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { Move } from '../../model/move.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

/** A chance that is none, or that says nothing of where it comes from. */
export const chance: MoveCheck = (map, move) =>
  indexMap(map)
    .exchangesOf(move.id)
    .flatMap((exchange) => troubleOf(exchange, move));

function troubleOf(exchange: Exchange, { name: move }: Move): Finding[] {
  const place = { kind: 'exchange' as const, id: exchange.id };
  const found: Finding[] = [];
  if (!(exchange.chance >= 0 && exchange.chance <= 1)) {
    found.push({
      code: 'chance-range',
      severity: 'error',
      place,
      sentence: `An answer of "${move}" has a chance of ${exchange.chance}.`,
      mend: 'Give a chance between 0 and 1.',
    });
  }
  if (!exchange.basis) {
    found.push({
      code: 'missing-basis',
      severity: 'note',
      place,
      sentence: `An answer of "${move}" does not say where its figure comes from.`,
      mend: 'Mark it as your guess.',
      command: edit('exchange', exchange, { ...exchange, basis: 'coach' }),
    });
  }
  return found;
}
