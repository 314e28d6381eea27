import type { Contact, HoldAction, Part } from '@aftersquall/core';

/** What each kind of limb usually does, the commonest first. */
const ACTIONS: Record<string, HoldAction[]> = {
  hand: ['grip', 'cup', 'frame', 'post', 'press', 'two-on-one'],
  arm: ['underhook', 'overhook', 'wrap', 'frame', 'body-lock', 'harness', 'clamp', 'press'],
  foot: ['hook', 'place', 'wedge', 'post'],
  leg: ['shield', 'clamp', 'pinch', 'lace', 'press', 'hook'],
  head: ['press', 'post', 'wedge'],
  hips: ['press', 'wedge'],
  back: ['press'],
  chest: ['press'],
};

/** `handL` → `hand`. */
export const limbKind = (contact: Contact): string => contact.replace(/[LR]$/, '');

/** What a limb usually does, the commonest first. */
export const usualActions = (contact: Contact): readonly HoldAction[] => ACTIONS[limbKind(contact)]!;

/** What a foot does on each part, where that is not to hook it (common practice, no published source). */
const FOOT_ON: Partial<Record<Part, HoldAction>> = {
  hip: 'place',
  'upper-arm': 'place',
  shoulder: 'place',
  chest: 'place',
  knee: 'place',
  waist: 'place',
};
/** What a hand does on parts that it does not grip. */
const HAND_ON: Partial<Record<Part, HoldAction>> = {
  hip: 'frame',
  shoulder: 'frame',
  neck: 'frame',
  chest: 'frame',
  head: 'cup',
  'knee-crook': 'cup',
  ankle: 'cup',
  heel: 'cup',
  elbow: 'cup',
};

/** What a limb is most likely doing on a part of a body. */
export function usualAction(contact: Contact, part: Part): HoldAction {
  if (part === 'mat') return 'post';
  const kind = limbKind(contact);
  const there = kind === 'foot' ? FOOT_ON[part] : kind === 'hand' ? HAND_ON[part] : undefined;
  return there ?? usualActions(contact)[0]!;
}
