import type { Contact } from '../model/contacts.ts';
import {
  type Hold,
  type HoldAction,
  type HoldPattern,
  type Part,
  slides,
  type Target,
} from '../model/hold.ts';
import type { Position } from '../model/position.ts';
import { type Condition, FACETS, type Facet, type Signs } from '../model/signs.ts';

/** What words are computed against: which side the position is built on, and which way top faces. */
export interface WordContext {
  leadSide: 'L' | 'R';
  facingAway?: boolean;
}

export const wordContext = (position: Pick<Position, 'leadSide' | 'signs'>): WordContext => ({
  leadSide: position.leadSide,
  facingAway: position.signs['top.facing'] === 'away',
});

const SIDE_WORD = { L: 'left', R: 'right' } as const;

/** `handL` → "left hand". */
export function contactName(contact: Contact): string {
  const side = contact.at(-1);
  return side === 'L' || side === 'R' ? `${SIDE_WORD[side]} ${contact.slice(0, -1)}` : contact;
}

const VERBS: Record<HoldAction, string> = {
  grip: 'grips',
  cup: 'cups',
  'two-on-one': 'two-on-one on',
  underhook: 'underhooks',
  overhook: 'overhooks',
  wrap: 'wraps',
  'body-lock': 'locks round',
  harness: 'harnesses',
  frame: 'frames on',
  post: 'posts on',
  hook: 'hooks',
  place: 'is placed on',
  wedge: 'wedges under',
  shield: 'shields against',
  pinch: 'pinches',
  clamp: 'clamps',
  lace: 'laces',
  press: 'presses on',
};

/** Parts of the jacket that are not called by one word. */
const PART_WORDS: Partial<Record<Part, string>> = {
  'jacket-back': 'back of the jacket',
  skirt: 'skirt of the jacket',
};
const partWord = (part: Part): string => PART_WORDS[part] ?? part.replace('-', ' ');

/** "the far sleeve at the cuff", "own left shin", "the mat": near and far are counted from the lead side. */
export function targetName(target: Target, context: WordContext): string {
  if (target.of === 'mat') return 'the mat';
  const part = partWord(target.part);
  const place = target.at ? ` at the ${target.at}` : '';
  if (target.of === 'own') {
    const side = target.side === 'C' ? '' : `${SIDE_WORD[target.side]} `;
    return `own ${side}${part}${place}`;
  }
  const side = target.side === 'C' ? '' : target.side === context.leadSide ? 'near ' : 'far ';
  return `the ${side}${part}${place}`;
}

/** Cross or same-side, for a sided contact of bottom on a sided part of top; undefined where neither applies. */
function crossing(hold: Hold, context: WordContext): 'cross' | 'same-side' | undefined {
  const { target, contacts } = hold;
  if (target.of !== 'top' || target.side === 'C' || contacts.length !== 1) return undefined;
  const side = contacts[0]!.at(-1);
  if (side !== 'L' && side !== 'R') return undefined;
  // Face to face, bottom's right is on top's left; behind a back that is turned, right is on right.
  const straight = (side === target.side) === Boolean(context.facingAway);
  return straight ? 'same-side' : 'cross';
}

/** "right hand grips the near sleeve at the cuff (cross, deep, keep)". */
export function holdWords(hold: Hold, context: WordContext, by: 'own' | 'top' = 'own'): string {
  const who = joinWords(hold.contacts.map(contactName));
  const verb = hold.contacts.length > 1 ? plural(VERBS[hold.action]) : VERBS[hold.action];
  const onBottom = by === 'top' && hold.target.of === 'own';
  const target = onBottom
    ? targetName(hold.target, context).replace(/^own/, 'our')
    : targetName(hold.target, context);
  const marks = [
    by === 'own' && (hold.action === 'grip' || hold.action === 'underhook' || hold.action === 'overhook')
      ? crossing(hold, context)
      : undefined,
    hold.depth === 'set' ? undefined : hold.depth,
    hold.keep ? 'keep' : undefined,
    slides(hold.target) ? 'the trousers slide' : undefined,
  ].filter(Boolean);
  return `${who} ${verb} ${target}${marks.length > 0 ? ` (${marks.join(', ')})` : ''}`;
}

function plural(verb: string): string {
  if (verb.startsWith('is ')) return `are ${verb.slice(3)}`;
  if (verb.startsWith('two-on-one')) return verb;
  const [head, ...rest] = verb.split(' ');
  const base = head!.endsWith('ches')
    ? head!.slice(0, -2)
    : head!.endsWith('sses')
      ? head!.slice(0, -2)
      : head!.slice(0, -1);
  return [base, ...rest].join(' ');
}

/** "a", "a and b", "a, b and c". */
export function joinWords(words: readonly string[]): string {
  if (words.length < 2) return words[0] ?? '';
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** "a grip on the near sleeve", "an underhook": what a pattern asks for. */
export function patternWords(pattern: HoldPattern, context: WordContext): string {
  const action = pattern.action ?? 'hold';
  const noun = `${/^[aeiou]/.test(action) ? 'an' : 'a'} ${action.replaceAll('-', action === 'two-on-one' ? '-' : ' ')}`;
  const place = pattern.at ? ` at the ${pattern.at}` : '';
  const side =
    !pattern.side || pattern.side === 'C' ? '' : pattern.side === context.leadSide ? 'near ' : 'far ';
  const on = pattern.part ? ` on the ${side}${partWord(pattern.part)}${place}` : '';
  const withWhat = pattern.contacts ? ` with the ${joinWords(pattern.contacts.map(contactName))}` : '';
  return `${noun}${on}${withWhat}`;
}

const FACET_WORDS: Partial<Record<string, string>> = { kneeElbow: 'knee and elbow', kneeLine: 'knee line' };

/** "top's left elbow". */
export function facetName(facet: Facet): string {
  const [who, rest] = facet.split('.') as ['top' | 'own', string];
  const sided = FACETS_SIDED.has(facet);
  const stem = sided ? rest.slice(0, -1) : rest;
  const side = sided ? `${SIDE_WORD[rest.at(-1) as 'L' | 'R']} ` : '';
  return `${who === 'top' ? "top's" : 'our'} ${side}${FACET_WORDS[stem] ?? stem}`;
}

const FACETS_SIDED = new Set<string>(
  Object.keys(FACETS).filter((facet) => /[LR]$/.test(facet) && `${facet.slice(0, -1)}L` in FACETS),
);

const valueWords = (value: string): string =>
  value.replace(/-L$/, ' left').replace(/-R$/, ' right').replaceAll('-', ' ');

/** "top's left hand posted". */
export const signWords = (facet: Facet, value: string): string => `${facetName(facet)} ${valueWords(value)}`;

export const signsWords = (signs: Signs): string[] =>
  Object.entries(signs).map(([facet, value]) => signWords(facet as Facet, value));

/** "top's left elbow open or straight". */
export const conditionWords = (condition: Condition): string =>
  `${facetName(condition.facet)} ${condition.values.map(valueWords).join(' or ')}`;
