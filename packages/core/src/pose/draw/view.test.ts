import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Body } from '../bodies/body.ts';
import { fleshOf, PART } from '../bodies/flesh.ts';
import type { Pair } from '../bodies/pair.ts';
import { AVERAGE_BUILD } from '../bodies/skeleton.ts';
import { cross, dot, length, radians, sub } from '../bodies/vec3.ts';
import { axesOf, centreOf, frameFor, splat, toPicture } from './view.ts';
import { viewAcross } from './viewAcross.ts';

const view = fc.record({
  azimuth: fc.integer({ min: -360, max: 360 }),
  elevation: fc.integer({ min: 0, max: 80 }),
});
const bodies: Pair = [new Body(AVERAGE_BUILD), new Body(AVERAGE_BUILD)];
bodies[1].place = [0, 1.2, 1];
bodies[1].forward();
const flesh = fleshOf(bodies, [new Set(), new Set(['L'])], 0.6);

describe('a view across a push', () => {
  it('has the push going right: a top who faces bottom falls to the front towards bottom', () => {
    const position = (topYaw: number) => ({ id: 'p', holds: [], topHolds: [], signs: {}, pose: { topYaw } });
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), fc.integer({ min: 0, max: 359 }), (topYaw, push) => {
        const { right } = axesOf(viewAcross(position(topYaw), push));
        // Bottom faces +y and top, unturned, −y; a turn of top's goes against the clock, a push with it.
        const angle = radians(180 + topYaw - push);
        expect(length(sub(right, [-Math.sin(angle), Math.cos(angle), 0]))).toBeLessThan(1e-9);
      }),
    );
    const { right } = axesOf(viewAcross(position(0), 0));
    expect(right[1]).toBeCloseTo(-1, 12);
  });
});

describe('a view', () => {
  it('has three directions square to one another, right-handed', () => {
    fc.assert(
      fc.property(view, (from) => {
        const { right, up, towards } = axesOf(from);
        for (const axis of [right, up, towards]) expect(length(axis)).toBeCloseTo(1, 12);
        expect(dot(right, towards)).toBeCloseTo(0, 12);
        expect(length(sub(cross(right, up), towards))).toBeLessThan(1e-12);
      }),
    );
  });

  it('has all flesh inside of its frame, whatever its size', () => {
    fc.assert(
      fc.property(
        view,
        fc.integer({ min: 40, max: 300 }),
        fc.integer({ min: 40, max: 300 }),
        (from, width, height) => {
          const axes = axesOf(from);
          const frame = frameFor(flesh, axes, width, height, 4);
          for (let i = 0; i < flesh.count; i++) {
            const [x, y] = toPicture(centreOf(flesh, i), axes, frame);
            const r = flesh.radii[i]! * frame.scale;
            expect(Math.min(x - r, y - r)).toBeGreaterThanOrEqual(4 - 1e-6);
            expect(x + r).toBeLessThanOrEqual(width - 4 + 1e-6);
            expect(y + r).toBeLessThanOrEqual(height - 4 + 1e-6);
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  it('shows what is nearer in front: from behind bottom, bottom hides the middle of top', () => {
    const axes = axesOf({ azimuth: 0, elevation: 0 });
    const frame = frameFor(flesh, axes, 120, 120, 2);
    const { sphere } = splat(flesh, axes, frame);
    const seen = (who: number, part: number) =>
      sphere.filter((i) => i >= 0 && flesh.whos[i] === who && flesh.parts[i] === part).length;
    expect(seen(0, PART.trunk)).toBeGreaterThan(50);
    expect(seen(1, PART.trunk)).toBe(0);
  });
});
