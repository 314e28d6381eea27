import { signWords } from '../../body/words.ts';
import { type SignValue, signOf } from '../../model/signs.ts';
import type { ArrivalCheck } from '../arrivals.ts';

/** Stances that pass into each other within a move. */
const LOW: readonly SignValue[] = ['kneeling', 'half-kneeling', 'all-fours', 'squatting'];
const levelOf = (stance: SignValue): string => (LOW.includes(stance) ? 'low' : stance);

/** Top stands at the end and the destination has top kneeling, or the other way round. */
export const arrivalStance: ArrivalCheck = ({ exchange, move, to, reaction, end }) => {
  const [has, wants] = [signOf(end.signs, 'top.stance'), signOf(to.signs, 'top.stance')];
  if (levelOf(has) === levelOf(wants)) return [];
  return [
    {
      code: 'arrival-stance',
      severity: 'warning',
      place: { kind: 'exchange', id: exchange.id },
      sentence: `“${move.name}”${reaction ? `, when top does “${reaction.name}”,` : ''} ends with ${signWords('top.stance', has)}; “${to.name}” has ${signWords('top.stance', wants)}.`,
      mend: 'Change the stance in a step, lead it elsewhere, or explain it in the note.',
    },
  ];
};
