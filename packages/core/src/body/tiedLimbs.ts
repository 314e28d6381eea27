import type { Contact } from '../model/contacts.ts';
import type { Hold, HoldAction, Part } from '../model/hold.ts';

const ON_ARM: readonly Part[] = ['sleeve', 'wrist', 'forearm', 'upper-arm', 'elbow'];
const PARTS_OF: readonly [limb: RegExp, parts: readonly Part[]][] = [
  [/^hand/, ON_ARM],
  [/^arm/, [...ON_ARM, 'shoulder', 'armpit']],
  [/^foot/, ['ankle', 'heel', 'toes', 'shin']],
  [/^leg/, ['ankle', 'shin', 'knee', 'knee-crook', 'thigh']],
  [/^head/, ['head', 'neck']],
];
const TIES: readonly HoldAction[] = [
  'grip',
  'two-on-one',
  'underhook',
  'overhook',
  'wrap',
  'clamp',
  'lace',
  'pinch',
  'harness',
];

/** The hold of bottom that keeps a limb of top from being used, if there is one (common practice, no published source). */
export const tiedBy = (holds: readonly Hold[], limb: Contact): Hold | undefined =>
  holds.find(({ action, target, contacts }) => {
    const side = /[LR]$/.exec(limb)?.[0];
    if (target.of !== 'top' || !TIES.includes(action) || (side && target.side !== side)) return false;
    // Two knees or feet that only squeeze a foot do not keep it from stepping.
    if (limb.startsWith('foot') && action === 'pinch' && contacts.every((own) => /^(foot|leg)/.test(own)))
      return false;
    if (/^(foot|leg)/.test(limb) && target.part === 'trousers' && target.at === 'cuff') return true;
    return PARTS_OF.some(([of, parts]) => of.test(limb) && parts.includes(target.part));
  });
