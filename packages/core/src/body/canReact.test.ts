import { expect, it } from 'vitest';
import { HoldSchema } from '../model/hold.ts';
import { ReactionSchema } from '../model/reaction.ts';
import { canReact } from './canReact.ts';

const collar = HoldSchema.parse({
  id: 'collar',
  contacts: ['handR'],
  action: 'grip',
  target: { of: 'top', part: 'collar', side: 'L' },
});
const kneeling = { holds: [collar], topHolds: [], signs: { 'top.stance': 'kneeling' } } as const;
const moment = { ...kneeling, holds: [...kneeling.holds], topHolds: [] };
const reaction = (more: object) =>
  ReactionSchema.parse({ id: 'one', name: 'One', group: 'arms & grips', ...more });

it('tears off only what is held', () => {
  const strips = reaction({ breaks: [{ action: 'grip', part: 'collar' }] });
  expect(canReact(moment, strips)).toBe(true);
  expect(canReact({ ...moment, holds: [] }, strips)).toBe(false);
});

it('does nothing that is so already', () => {
  expect(canReact(moment, reaction({ changes: { 'top.stance': 'kneeling' } }))).toBe(false);
  expect(canReact(moment, reaction({ changes: { 'top.stance': 'standing' } }))).toBe(true);
});

it('needs its stance, its free hand and that a hold is not there', () => {
  const posts = { changes: { 'top.handL': 'posted' } };
  const standing = { facet: 'top.stance', values: ['standing'], mark: 'must' };
  expect(canReact(moment, reaction({ ...posts, needs: [standing] }))).toBe(false);
  const trapped = { ...moment, signs: { ...moment.signs, 'top.handL': 'trapped' as const } };
  expect(canReact(moment, reaction({ ...posts, needs: [{ free: 'handL' }] }))).toBe(true);
  expect(canReact(moment, reaction({ ...posts, needs: [{ free: 'legR' }, { free: 'head' }] }))).toBe(true);
  expect(canReact(trapped, reaction({ ...posts, needs: [{ free: 'handL' }] }))).toBe(false);
  expect(canReact(moment, reaction({ ...posts, needs: [{ not: { part: 'collar' } }] }))).toBe(false);
});
