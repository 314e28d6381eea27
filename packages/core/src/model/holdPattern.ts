import { CLOTH_PARTS, type Hold, type HoldClass, type HoldPattern, type Target } from './hold.ts';

/** Whether a hold by the given player fits the pattern: every field of the pattern must match. */
export function matchesPattern(hold: Hold, pattern: HoldPattern, by: 'own' | 'top' = 'own'): boolean {
  const { target } = hold;
  return (
    (pattern.by === undefined || pattern.by === by) &&
    (pattern.contacts === undefined ||
      pattern.contacts.every((contact) => hold.contacts.includes(contact))) &&
    (pattern.action === undefined || pattern.action === hold.action) &&
    (pattern.part === undefined || pattern.part === target.part) &&
    (pattern.side === undefined || pattern.side === target.side) &&
    (pattern.at === undefined || pattern.at === target.at)
  );
}

/** A class of holds as a pattern for a position. */
export function patternOf({ side, ...rest }: HoldClass, leadSide: 'L' | 'R'): HoldPattern {
  if (side === undefined) return rest;
  if (side !== 'near' && side !== 'far') return { ...rest, side };
  return { ...rest, side: (side === 'near') === (leadSide === 'R') ? 'R' : 'L' };
}

/** Whether all that fits one pattern fits the other one, too. */
export function narrower(pattern: HoldPattern, wider: HoldPattern): boolean {
  const { by: _, contacts, ...rest } = wider;
  return (
    (Object.keys(rest) as (keyof typeof rest)[]).every(
      (key) => rest[key] === undefined || rest[key] === pattern[key],
    ) && (contacts ?? []).every((contact) => pattern.contacts?.includes(contact))
  );
}

/** Whether a target is cloth, which only a jacket, trousers or a belt gives. */
export function isCloth(target: Pick<Target, 'part'>): boolean {
  return (CLOTH_PARTS as readonly string[]).includes(target.part);
}

const sameTarget = (a: Target, b: Target): boolean =>
  a.of === b.of && a.part === b.part && a.side === b.side && a.at === b.at;

/** Two holds that do the same thing to the same place with the same limbs; ids and depth aside. */
export function sameHold(a: Hold, b: Hold): boolean {
  return (
    a.action === b.action &&
    a.contacts.length === b.contacts.length &&
    a.contacts.every((contact) => b.contacts.includes(contact)) &&
    sameTarget(a.target, b.target)
  );
}

/** Whether more limbs come to a hold that is there already: two hands share what one held. */
export const joins = (hold: Hold, held: Hold): boolean =>
  sameTarget(hold.target, held.target) &&
  hold.contacts.length > held.contacts.length &&
  held.contacts.every((contact) => hold.contacts.includes(contact));
