import { z } from 'zod';
import { defineBlock, drilled, drilledLines, drilledShape, linesOf } from './defineBlock.ts';

const FORK_WEIGHTS = ['even', 'as top gives them', 'where we are weak'] as const;

/** One start; the partner gives one of a few reactions, unannounced; each of them was taught. */
export const fork = defineBlock({
  kind: 'fork',
  name: 'fork drill',
  schema: z.strictObject({
    kind: z.literal('fork'),
    ...drilled,
    weights: z.enum(FORK_WEIGHTS).default('even'),
    /** Draws the calls; the same number, the same calls. */
    seed: z.number().int().min(0).max(1_000_000).default(1),
    /** How often each of the links is called, in their order; they sum to about one. */
    shares: z.array(z.number().min(0).max(1)).max(60).default([]),
  }),
  shape: drilledShape,
  lines: (block) =>
    block.start
      ? drilledLines(block, 'Partner')
      : linesOf(
          ['bottom', block.bottom],
          ['top', block.top],
          ['all', block.links.map(({ move, meets }) => (meets ? `${meets}: ${move}` : move)).join('; ')],
          ['all', block.note],
        ),
});
