import type { Contact, Hold, HoldAction, Part } from '@aftersquall/core/model';
import { expect, it } from 'vitest';
import { readDemo } from '../../../../../demo/readDemo.ts';
import { limbKind, usualAction } from './limbActions.ts';

/** Seen less often than this, a limb on a part says nothing about what is usual. */
const LEAST_SEEN = 5;

it.each([
  ['footL', 'hip', 'place'],
  ['footR', 'upper-arm', 'place'],
  ['footL', 'thigh', 'hook'],
  ['handR', 'sleeve', 'grip'],
  ['handL', 'mat', 'post'],
  ['legR', 'chest', 'shield'],
] as const)('%s on the %s is usually a %s', (limb, part, action) => {
  expect(usualAction(limb, part)).toBe(action);
});

it('is what the book has most, for every limb on every part of top that it has often enough', () => {
  const { positions, moves } = readDemo();
  const steps = moves.flatMap((move) => [
    ...move.steps,
    ...move.variants.flatMap((variant) => variant.steps),
  ]);
  const holds: readonly Hold[] = [
    ...positions.flatMap((one) => one.holds),
    ...steps.flatMap(({ take }) => take),
  ];
  const seen = new Map<string, Map<HoldAction, number>>();
  for (const { contacts, action, target } of holds) {
    if (contacts.length > 1 || target.of !== 'top') continue;
    const key = `${limbKind(contacts[0]!)} ${target.part}`;
    const counts = seen.get(key) ?? new Map();
    seen.set(key, counts.set(action, (counts.get(action) ?? 0) + 1));
  }
  let checked = 0;
  for (const [key, counts] of seen) {
    if ([...counts.values()].reduce((a, b) => a + b) < LEAST_SEEN) continue;
    const [kind, part] = key.split(' ') as [string, Part];
    const most = Math.max(...counts.values());
    const contact = (/^(hand|arm|foot|leg)$/.test(kind) ? `${kind}L` : kind) as Contact;
    expect(counts.get(usualAction(contact, part)), `${key}: ${JSON.stringify([...counts])}`).toBe(most);
    checked++;
  }
  expect(checked).toBeGreaterThan(30);
});
