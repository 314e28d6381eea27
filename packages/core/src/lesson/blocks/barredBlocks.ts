import type { Block } from '../../model/blocks/blockKinds.ts';
import type { HazardTag } from '../../model/hazards.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';
import { barredTags } from '../../rules/legality.ts';

/** A block with something in it that the rules of a class bar. */
export interface BarredBlock {
  block: Block;
  barred: HazardTag[];
  /** Why it is done all the same; nothing said: it must not be. */
  override: string;
}

/** The blocks of a class that its rules bar, those that are overridden in words included. */
export function barredBlocks(blocks: readonly Block[], rules: RulesProfile | undefined): BarredBlock[] {
  if (!rules) return [];
  return blocks.flatMap((block): BarredBlock[] => {
    if (!('hazards' in block)) return [];
    const barred = barredTags(block.hazards, rules);
    const override = 'override' in block ? (block.override ?? '') : '';
    return barred.length > 0 ? [{ block, barred, override: override.trim() }] : [];
  });
}

/** What is said of a barred block on screen and on paper. */
export const barredWords = ({ override }: BarredBlock): string =>
  override
    ? `Against this class’s rules. Allowed anyway: ${override}`
    : 'Barred by the rules of this class, and no reason is given: not to be done.';
