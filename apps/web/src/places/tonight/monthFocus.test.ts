import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { playMap, solveMap, tellRound } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { monthFocus } from './monthFocus.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const solution = solveMap(map);
const story = tellRound(map, {}, solution, playMap(solution));

describe('the one thing to work on this month', () => {
  it('is what hurts most, with how often and what it costs, and a way to its answers', () => {
    const focus = monthFocus(map, { hurts: story.hurts, hole: undefined })!;
    expect(focus.position.id).toBe(story.hurts[0]!.position);
    expect(focus.what).toMatch(/^This hurts your people most: top [a-z].+ in “.+”, .*rounds?.*\.$/);
    expect(focus.cost).toMatch(/^It costs \d\.\d+ points a round\. A sweep is 2 points\.$/);
    expect(focus.answer.address).toContain(`read?at=${focus.position.id}&met=`);
  });

  it('is a hole where closing it brings more than the worst hurt costs', () => {
    const [worst] = story.hurts;
    const { id: move } = map.moves.find(({ position }) => position === worst!.position)!;
    const hole = { ...worst!, move, stake: worst!.cost + 0.1 } as unknown as NonNullable<typeof story.hole>;
    const focus = monthFocus(map, { hurts: story.hurts, hole })!;
    expect(focus.what).toMatch(/^You have no answer yet: “.+” in “.+” when top [a-z].+\.$/);
    expect(focus.answer.words).toBe('Write the answer');
    expect(focus.answer.address).toContain(`cell=${move}.`);
  });

  it('is nothing where nothing hurts', () => {
    expect(monthFocus(map, { hurts: [], hole: undefined })).toBeUndefined();
  });
});
