import type { Contact, HoldAction } from '@aftersquall/core';

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
