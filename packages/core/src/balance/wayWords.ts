import type { Contact } from '../model/contacts.ts';

const WAYS = ['front', 'front right', 'right', 'back right', 'back', 'back left', 'left', 'front left'];
type IsGone = (contact: Contact) => boolean;
const NONE: IsGone = () => false;

/**
 * A direction in a coach's words, seen from top: "top's front left, over the trapped arm".
 * @param degrees clockwise from where top faces
 * @param gone which of top's limbs cannot come down
 */
export function wayWords(degrees: number, gone: IsGone = NONE): string {
  const right = Math.sin((degrees * Math.PI) / 180);
  const side = right > 0.3 ? 'R' : right < -0.3 ? 'L' : undefined;
  const over = !side
    ? ''
    : gone(`leg${side}`)
      ? ', over the leg that is gone'
      : gone(`hand${side}`)
        ? ', over the trapped arm'
        : '';
  return `top's ${WAYS[Math.round(degrees / 45) % 8]}${over}`;
}

/** Neighbouring directions of an arc, 15° apart, as one: in words, then in degrees. */
export function arcWords(arc: Iterable<number>, gone: IsGone = NONE): string {
  const every = new Set([...arc].filter((degrees) => degrees % 15 === 0));
  if (every.size === 24) return 'every side (0–345°)';
  const starts = [...every].filter((degrees) => !every.has((degrees + 345) % 360)).sort((a, b) => a - b);
  return starts
    .map((start) => {
      let end = start;
      while (every.has((end + 15) % 360)) end += 15;
      const way = wayWords((start + (end - start) / 2) % 360, gone);
      return `${way} (${start === end ? `${start}°` : `${start}–${end % 360}°`})`;
    })
    .join('; ');
}
