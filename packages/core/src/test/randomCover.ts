import { seeded } from '../game/seeded.ts';
import type { CoverInput } from '../lesson/cover/coverArcs.ts';

/** A random covering problem: a fifth of the arcs end the chain, some are loops, seconds are 3 to 15. */
export function randomCover(
  seed: number,
  size: { positions: number; arcs: number; chosen: number; most?: number },
): CoverInput {
  const random = seeded(seed);
  const pick = (count: number) => Math.floor(random() * count);
  const positions = Array.from({ length: size.positions }, (_, i) => `p${i}`);
  let left = size.most ?? Number.POSITIVE_INFINITY;
  const arcs = Array.from({ length: size.arcs }, (_, i) => {
    const mustCover = random() < size.chosen && left-- > 0;
    const to = random() < 0.2 ? null : positions[pick(size.positions)]!;
    return { id: `a${i}`, from: positions[pick(size.positions)]!, to, seconds: 3 + pick(13), mustCover };
  });
  return {
    arcs,
    positions,
    entries: positions.filter(() => random() < 0.3),
    resetSeconds: pick(12),
    coldStartSeconds: pick(12),
  };
}
