import type { Fall } from '../../model/move.ts';
import { isOutcome } from '../../model/outcome.ts';
import { signOf } from '../../model/signs.ts';
import { sentences } from '../blocks/roleWords.ts';
import type { Teachable, Technique } from './technique.ts';

/** How top goes down: as the book says, else by the direction of a sweep. Common practice, no published source. */
export function fallOf({ move, variant, base, kind }: Technique): Fall {
  // A variant that only goes on to another guard throws nobody.
  if (variant && !isOutcome(base.to)) return 'none';
  if (move.fall) return kind === 'submission' ? 'none' : move.fall;
  if (!['sweep', 'stand-up'].includes(kind) || move.direction === undefined) return 'none';
  if (move.direction >= 120 && move.direction <= 240) return 'back';
  return move.direction <= 30 || move.direction >= 330 ? 'over' : 'side';
}

/** Top is down: on the knees, seated, lying. */
export const isLow = (teach: Teachable, position: string): boolean =>
  !['standing', 'squatting'].includes(signOf(teach.index.position.get(position)!.signs, 'top.stance'));

/** What both do about the fall of a technique, in words; nothing where nobody falls. */
export function fallWords(teach: Teachable, technique: Technique): string {
  const fall = fallOf(technique);
  const { holds } = teach.index.position.get(technique.at)!;
  const low = isLow(teach, technique.at);
  const holdsOn = (...parts: readonly string[]) =>
    holds.some(
      ({ action, target }) => ['grip', 'cup', 'two-on-one'].includes(action) && parts.includes(target.part),
    );
  const holdsHand = holdsOn('wrist', 'sleeve');
  const letsGo = holds.some(({ action }) => action === 'overhook')
    ? 'You open the overhook as they tip'
    : holdsHand
      ? 'You let go of the hand as they tip'
      : '';
  switch (fall) {
    case 'none':
      return '';
    case 'over':
      return sentences(
        'Partner: chin in, over one shoulder as in the roll, never flat on the head',
        'You keep the grips until they are down',
      );
    case 'forward':
      // Nobody lands on both hands while one of them is held.
      return holdsHand
        ? sentences(
            'Partner: the free hand soft, elbow bent, head aside',
            'You let go of the other hand as they tip',
          )
        : sentences('Partner: both hands soft, elbows bent, head aside', 'You wait until the hands are down');
    case 'side':
      return low
        ? sentences('Partner: on to hip and shoulder, feet slide out', letsGo)
        : sentences(
            'Partner: bend the knees, seat, then side, chin in, no hand behind',
            holdsHand || holdsOn('collar') ? 'You lower them by the grip' : 'You let them down',
          );
    case 'back':
      return low
        ? sentences('Partner: to one hip, feet out, never back over the heels', letsGo)
        : sentences(
            'Partner: squat, chin in, round back, hands beside the hips',
            'You never fall on the held leg',
          );
  }
}

/** A fall of the night as a warm-up: the same as in the blocks. */
export interface FallDrill {
  id: string;
  how: string;
}

/** The falls that the techniques of a class bring, at most two, each as it is practised before it is needed. */
export function fallDrills(teach: Teachable, techniques: readonly Technique[]): FallDrill[] {
  const sleeve = teach.request.apparel === 'gi' ? 'sleeve' : 'wrist';
  const drills = new Map<string, string>();
  for (const technique of techniques) {
    const fall = fallOf(technique);
    const low = isLow(teach, technique.at);
    if (fall === 'over')
      drills.set(
        fall,
        'Shoulder roll: chin tucked, shoulder blade to the opposite hip, 4 a shoulder. A sore neck or shoulder leaves it out.',
      );
    else if (fall === 'forward')
      drills.set(fall, 'Forward from a squat on two soft hands, elbows bent, head aside, 6 times.');
    else if (fall !== 'none' && low)
      drills.set(
        'side-kneeling',
        'From the knees: tip on to hip and shoulder, feet slide out, chin in, 5 a side.',
      );
    else if (fall === 'side')
      drills.set(
        fall,
        `From a squat, partner holds one ${sleeve}: one leg slides across, seat, then side; forearm on the mat, chin in, 5 a side.`,
      );
    else if (fall === 'back')
      drills.set(
        fall,
        'Back from a squat: seat to the heels, round back, chin in, hands beside the hips, 6 times.',
      );
  }
  return [...drills].slice(0, 2).map(([id, how]) => ({ id, how }));
}
