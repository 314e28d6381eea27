import type { Contact } from '../model/contacts.ts';
import type { Hold, HoldAction, Part } from '../model/hold.ts';

const ON_ARM: readonly HoldAction[] = [
  'grip',
  'two-on-one',
  'cup',
  'overhook',
  'wrap',
  'clamp',
  'lace',
  'pinch',
];
const ON_UPPER_ARM: readonly HoldAction[] = [
  'grip',
  'two-on-one',
  'overhook',
  'wrap',
  'clamp',
  'pinch',
  'place',
  'lace',
];
const ON_LEG: readonly HoldAction[] = [
  'grip',
  'cup',
  'two-on-one',
  'underhook',
  'wrap',
  'hook',
  'lace',
  'clamp',
  'wedge',
];

/** Which holds on which part take the hand, the foot, or the knee of that side away as a post. */
const TABLE: {
  parts: readonly Part[];
  actions: readonly HoldAction[];
  limb: 'hand' | 'foot' | 'leg';
  /** Only by bottom's legs and feet. */
  byLeg?: true;
}[] = [
  { parts: ['sleeve', 'wrist', 'forearm'], actions: [...ON_ARM, 'place'], limb: 'hand' },
  { parts: ['elbow', 'upper-arm'], actions: ON_UPPER_ARM, limb: 'hand' },
  { parts: ['shoulder', 'armpit'], actions: ['clamp', 'overhook', 'wrap'], limb: 'hand' },
  // A leg against a knee chops it away.
  { parts: ['knee'], actions: ['press', 'place', 'wedge', 'hook'], limb: 'leg', byLeg: true },
  { parts: ['ankle', 'heel', 'shin', 'knee-crook', 'trousers', 'toes'], actions: ON_LEG, limb: 'foot' },
  {
    parts: ['thigh', 'knee'],
    actions: ['hook', 'underhook', 'wrap', 'clamp', 'wedge', 'lace'],
    limb: 'foot',
  },
];

/**
 * Top's hands and feet that these holds of bottom keep from the mat: a held sleeve or wrist, an overhooked arm, a
 * hooked or lifted foot cannot be put down, a chopped knee bears nothing. Common practice, no published source.
 */
export function blockedPosts(holds: readonly Hold[]): { post: Contact; by: Hold }[] {
  return holds.flatMap((hold) => {
    const { of, part, side } = hold.target;
    if (of !== 'top' || side === 'C') return [];
    const legs = hold.contacts.every((contact) => contact.startsWith('leg') || contact.startsWith('foot'));
    const row = TABLE.find(
      ({ parts, actions, byLeg }) =>
        parts.includes(part) && actions.includes(hold.action) && (!byLeg || legs),
    );
    return row ? [{ post: `${row.limb}${side}` as Contact, by: hold }] : [];
  });
}
