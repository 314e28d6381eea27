import type { Position } from '../model/position.ts';
import { signOf } from '../model/signs.ts';
import { holdWords, wordContext } from './words.ts';

const plain = (value: string): string => value.replaceAll('-', ' ');

/** A position in words, for who cannot see its picture: how both are, then what is held. */
export function pictureWords(position: Position): string {
  const { signs, holds, topHolds } = position;
  const context = wordContext(position);
  const posture = signOf(signs, 'top.posture');
  const top = `Top ${plain(signOf(signs, 'top.stance'))}${posture === 'upright' ? '' : `, ${posture === 'broken' ? 'bent over' : posture}`}`;
  const own = `bottom ${plain(signOf(signs, 'own.torso'))}`;
  const held = [
    ...holds.map((hold) => holdWords(hold, context)),
    ...topHolds.map((hold) => `top: ${holdWords(hold, context, 'top')}`),
  ];
  return `${top}; ${own}. ${held.length > 0 ? `${held.join('; ')}.` : 'Nothing is held.'}`;
}
