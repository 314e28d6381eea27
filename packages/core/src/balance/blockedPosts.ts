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

/** Which holds on which part take the hand, or the foot, of that side away as a post. */
const TABLE: { parts: readonly Part[]; actions: readonly HoldAction[]; limb: 'hand' | 'foot' }[] = [
  { parts: ['sleeve', 'wrist', 'forearm'], actions: [...ON_ARM, 'place'], limb: 'hand' },
  { parts: ['elbow', 'upper-arm'], actions: ON_UPPER_ARM, limb: 'hand' },
  { parts: ['shoulder', 'armpit'], actions: ['clamp', 'overhook', 'wrap'], limb: 'hand' },
  { parts: ['ankle', 'heel', 'shin', 'knee-crook', 'trousers', 'toes'], actions: ON_LEG, limb: 'foot' },
  {
    parts: ['thigh', 'knee'],
    actions: ['hook', 'underhook', 'wrap', 'clamp', 'wedge', 'lace'],
    limb: 'foot',
  },
];

/**
 * Top's hands and feet that these holds of bottom keep from the mat: a held sleeve or wrist, an overhooked arm, a
 * hooked or lifted foot cannot be put down. Common practice, no published source.
 */
export function blockedPosts(holds: readonly Hold[]): { post: Contact; by: Hold }[] {
  return holds.flatMap((hold) => {
    const { of, part, side } = hold.target;
    if (of !== 'top' || side === 'C') return [];
    const row = TABLE.find(({ parts, actions }) => parts.includes(part) && actions.includes(hold.action));
    return row ? [{ post: `${row.limb}${side}` as Contact, by: hold }] : [];
  });
}
