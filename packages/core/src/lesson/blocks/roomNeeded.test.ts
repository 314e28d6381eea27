import { describe, expect, it } from 'vitest';
import { BlockSchema } from '../../model/blocks/blockKinds.ts';
import { roomNeeded } from './roomNeeded.ts';

const timed = (kind: 'talk' | 'rest', id: string, seconds: number) =>
  BlockSchema.parse({ kind, id, title: id, seconds });
const game = (id: string, bouts: number) =>
  BlockSchema.parse({
    kind: 'game',
    id,
    title: id,
    rounds: bouts,
    secondsPerRound: 60,
    demoSeconds: 0,
    start: 'guard',
  });
const plan = {
  minutes: 30,
  people: 10,
  changeOverSeconds: 0,
  blocks: [timed('talk', 'today', 1200), game('first', 1), game('second', 2), timed('rest', 'water', 60)],
};

describe('what one more block takes of a class', () => {
  it('is nothing more than its own time where that is free', () => {
    const roomy = { ...plan, minutes: 40 };
    expect(roomNeeded(roomy, timed('talk', 'more', 300))).toEqual({
      seconds: 300,
      short: 0,
      minutes: 40,
      instead: undefined,
    });
  });

  it('is so many minutes to the next five, or the smallest block that is long enough and can be spared', () => {
    const needs = roomNeeded(plan, timed('talk', 'more', 360));
    expect(needs).toMatchObject({ seconds: 360, minutes: 35 });
    expect(needs.short).toBeGreaterThan(60);
    expect(needs.instead?.id).toBe('second');
    expect(roomNeeded(plan, timed('talk', 'more', 360 - needs.short + 60)).instead?.id).toBe('second');
  });

  it('never spares the first game, what is said or water', () => {
    const needs = roomNeeded(
      { ...plan, blocks: plan.blocks.filter(({ id }) => id !== 'second') },
      timed('talk', 'more', 600),
    );
    expect(needs.short).toBeGreaterThan(0);
    expect(needs.instead).toBeUndefined();
  });
});
