import { z } from 'zod';
import { chain } from './chain.ts';
import type { BlockDefinition, BlockLine, BlockShape } from './defineBlock.ts';
import { flow } from './flow.ts';
import { fork } from './fork.ts';
import { game } from './game.ts';
import { link } from './link.ts';
import { move } from './move.ts';
import { rest } from './rest.ts';
import { review } from './review.ts';
import { rounds } from './rounds.ts';
import { setup } from './setup.ts';
import { talk } from './talk.ts';

/** Every kind of block there is: a new one is a file beside these and a line here. */
const BLOCK_KINDS = { talk, move, setup, link, chain, fork, game, rounds, flow, rest, review };

/** A stretch of a class: said, drilled, played, or rested. */
export const BlockSchema = z.discriminatedUnion('kind', [
  talk.schema,
  move.schema,
  setup.schema,
  link.schema,
  chain.schema,
  fork.schema,
  game.schema,
  rounds.schema,
  flow.schema,
  rest.schema,
  review.schema,
]);
export type Block = z.infer<typeof BlockSchema>;
export type BlockKind = Block['kind'];
/** Blocks that are reckoned in reps, and those that are reckoned in rounds. */
export type DrilledBlock = Extract<Block, { reps: number }>;
export type PlayedBlock = Extract<Block, { rounds: number }>;

const definitionOf = (block: Block) =>
  BLOCK_KINDS[block.kind] as unknown as BlockDefinition<z.ZodType<Block>>;

/** How a block fills its time. */
export const blockShape = (block: Block): BlockShape => definitionOf(block).shape(block);
/** What is said of it to everybody and to either partner. */
export const blockLines = (block: Block): BlockLine[] => definitionOf(block).lines(block);
export const blockName = (kind: BlockKind): string => BLOCK_KINDS[kind].name;
/** Against a partner who tries, lightly or fully. */
export const isLive = (block: Block): boolean =>
  'resistance' in block && (block.resistance === 'light' || block.resistance === 'full');

export const isDrilled = (block: Block): block is DrilledBlock => 'reps' in block;
export const isPlayed = (block: Block): block is PlayedBlock => 'rounds' in block;
