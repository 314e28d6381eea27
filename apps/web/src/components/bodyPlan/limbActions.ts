import type { Contact, HoldAction, Part } from '@aftersquall/core/model';

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

/** What a limb is most likely doing on a part of top's body, where it is not what it usually does: as the book has it most. */
const ON_PART: Record<string, Partial<Record<Part, HoldAction>>> = {
  hand: {
    'upper-arm': 'cup',
    elbow: 'cup',
    neck: 'cup',
    armpit: 'cup',
    knee: 'cup',
    'knee-crook': 'cup',
    ankle: 'cup',
    heel: 'cup',
    toes: 'cup',
    shoulder: 'frame',
    hip: 'frame',
    thigh: 'frame',
  },
  arm: {
    'upper-arm': 'overhook',
    neck: 'wrap',
    head: 'wrap',
    back: 'wrap',
    waist: 'wrap',
    'knee-crook': 'wrap',
    shin: 'wrap',
    ankle: 'wrap',
    heel: 'wrap',
    shoulder: 'frame',
    hip: 'frame',
  },
  foot: {
    hip: 'place',
    knee: 'place',
    'upper-arm': 'place',
    shoulder: 'place',
    shin: 'wedge',
  },
  leg: {
    shoulder: 'clamp',
    neck: 'clamp',
    head: 'clamp',
    back: 'clamp',
    thigh: 'clamp',
    elbow: 'wedge',
    knee: 'press',
    'knee-crook': 'hook',
    'upper-arm': 'lace',
  },
};

/** What a limb is most likely doing on a part of a body. */
export function usualAction(contact: Contact, part: Part): HoldAction {
  if (part === 'mat') return 'post';
  return ON_PART[limbKind(contact)]?.[part] ?? usualActions(contact)[0]!;
}
