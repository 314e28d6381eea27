import type { Contact } from '../model/contacts.ts';
import type { Ending } from '../model/ending.ts';
import type { Exchange } from '../model/exchange.ts';
import type { Hold, HoldPattern, Target } from '../model/hold.ts';
import type { Move, Step, Variant } from '../model/move.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';
import type { PoseHints, PosePlace } from '../model/poseHints.ts';
import type { Look, Position } from '../model/position.ts';
import type { Side } from '../model/primitives.ts';
import type { Reaction, ReactionNeed, ReactionRef } from '../model/reaction.ts';
import type { Condition, Facet, Signs } from '../model/signs.ts';

const SIDE: Record<Side, Side> = { L: 'R', R: 'L', C: 'C' };
const WORDS: Record<string, string> = {
  left: 'right',
  right: 'left',
  'turned-left': 'turned-right',
  'turned-right': 'turned-left',
};

/** `handL` ↔ `handR`, `knee-L` ↔ `knee-R`, `left` ↔ `right`; whatever has no side stays. */
function swapName(name: string): string {
  if (WORDS[name]) return WORDS[name];
  if (name.endsWith('L')) return `${name.slice(0, -1)}R`;
  if (name.endsWith('R')) return `${name.slice(0, -1)}L`;
  return name;
}

const contact = (value: Contact): Contact => swapName(value) as Contact;
const side = (value: Side): Side => SIDE[value];
const target = (value: Target): Target => ({ ...value, side: side(value.side) });

const hold = (value: Hold): Hold => ({
  ...value,
  contacts: value.contacts.map(contact),
  target: target(value.target),
  ...(value.fallbacks && { fallbacks: value.fallbacks.map(target) }),
});

const pattern = (value: HoldPattern): HoldPattern => ({
  ...value,
  ...(value.contacts && { contacts: value.contacts.map(contact) }),
  ...(value.side && { side: side(value.side) }),
});

const signs = (value: Signs): Signs =>
  Object.fromEntries(Object.entries(value).map(([facet, sign]) => [swapName(facet), swapName(sign)]));

const condition = (value: Condition): Condition => ({
  ...value,
  facet: swapName(value.facet) as Facet,
  values: value.values.map(swapName),
});

/** A reference from the mirrored thing to something that stays as it is written. */
function toggle<T extends { mirrored?: boolean | undefined }>(reference: T): T {
  const { mirrored, ...rest } = reference;
  return (mirrored ? rest : { ...rest, mirrored: true }) as T;
}

const landing = (value: Landing): Landing => (isOutcome(value) ? value : toggle(value));
const reactionRef = (value: ReactionRef): ReactionRef => toggle(value);
const look = (value: Look): Look => ({ ...value, reactions: value.reactions.map(toggle) });

const step = (value: Step): Step => ({
  ...value,
  take: value.take.map(hold),
  release: value.release.map(contact),
  ...(value.topTakes && { topTakes: value.topTakes.map(hold) }),
  ...(value.topReleases && { topReleases: value.topReleases.map(pattern) }),
  ...(value.signs && { signs: signs(value.signs) }),
});

const variant = (value: Variant): Variant => ({ ...value, steps: value.steps.map(step) });

const turned = (degrees: number): number => (degrees === 0 ? 0 : -degrees);
const placed = ([right, ...others]: PosePlace): PosePlace => [turned(right), ...others];
const poseHints = (value: PoseHints): PoseHints => ({
  ...value,
  ...(value.ownYaw !== undefined && { ownYaw: turned(value.ownYaw) }),
  ...(value.topYaw !== undefined && { topYaw: turned(value.topYaw) }),
  ...(value.ownPlace && { ownPlace: placed(value.ownPlace) }),
  ...(value.topPlace && { topPlace: placed(value.topPlace) }),
  ...(value.view && { view: { ...value.view, azimuth: turned(value.view.azimuth) } }),
  ...(value.routes && {
    routes: Object.fromEntries(
      Object.entries(value.routes).map(([by, route]) => [contact(by as Contact), route]),
    ),
  }),
});

const position = (value: Position): Position => ({
  ...value,
  leadSide: value.leadSide === 'L' ? 'R' : 'L',
  holds: value.holds.map(hold),
  topHolds: value.topHolds.map(hold),
  signs: signs(value.signs),
  looks: value.looks.map(look),
  ...(value.pose && { pose: poseHints(value.pose) }),
  ...(value.drift && { drift: landing(value.drift) }),
});

const move = (value: Move): Move => ({
  ...value,
  needs: value.needs.map(condition),
  needsHolds: value.needsHolds.map(pattern),
  variants: value.variants.map(variant),
  steps: value.steps.map(step),
  ...(value.direction !== undefined && { direction: (360 - value.direction) % 360 }),
});

const need = (value: ReactionNeed): ReactionNeed => {
  if ('free' in value) return { free: contact(value.free) };
  return 'not' in value ? { not: pattern(value.not) } : condition(value);
};

const reaction = (value: Reaction): Reaction => ({
  ...value,
  needs: value.needs.map(need),
  changes: signs(value.changes),
  breaks: value.breaks.map(pattern),
  topTakes: value.topTakes.map(hold),
  topReleases: value.topReleases.map(pattern),
});

const exchange = (value: Exchange): Exchange => ({
  ...value,
  reaction: value.reaction === 'none' ? 'none' : toggle(value.reaction),
  to: landing(value.to),
  ...(value.otherwise && { otherwise: landing(value.otherwise) }),
});

const ending = (value: Ending): Ending => ({
  ...value,
  holds: value.holds.map(hold),
  topHolds: value.topHolds.map(hold),
  signs: signs(value.signs),
  ...(value.pose && { pose: poseHints(value.pose) }),
});

const MIRRORS = {
  contact,
  side,
  target,
  hold,
  pattern,
  signs,
  condition,
  landing,
  reactionRef,
  look,
  step,
  position,
  move,
  reaction,
  exchange,
  ending,
};
export type Mirrored = { [K in keyof typeof MIRRORS]: Parameters<(typeof MIRRORS)[K]>[0] };

/**
 * The same thing on the other side: every left and right of its contacts, targets, signs and directions
 * swapped (θ → (360 − θ) mod 360), and its references to other positions and reactions turned over, since those
 * stay as they are written. Mirroring twice gives the thing back.
 */
export function mirror<K extends keyof Mirrored>(kind: K, value: Mirrored[K]): Mirrored[K] {
  return (MIRRORS[kind] as unknown as (value: Mirrored[K]) => Mirrored[K])(value);
}

/** What has been mirrored, by what it was, kind by kind: nothing is ever changed in place. */
const kept = new Map<keyof Mirrored, WeakMap<object, unknown>>();

/** The thing as it is, or on the other side when `mirrored` is set: then the same one every time it is asked for. */
export function sided<K extends keyof Mirrored>(
  kind: K,
  value: Mirrored[K],
  mirrored: boolean | undefined,
): Mirrored[K] {
  if (!mirrored) return value;
  if (typeof value !== 'object') return mirror(kind, value);
  let ofKind = kept.get(kind);
  if (!ofKind) {
    ofKind = new WeakMap();
    kept.set(kind, ofKind);
  }
  let other = ofKind.get(value) as Mirrored[K] | undefined;
  if (!other) {
    other = mirror(kind, value);
    ofKind.set(value, other);
  }
  return other;
}
