import type { PlayLevel } from '../../model/playLevel.ts';

const TOP: Record<PlayLevel['top'], string> = {
  new: 'a new',
  club: 'a club-level',
  sharp: 'a sharp',
  'knows best': 'a perfect',
};
const BOTH: Record<PlayLevel['top'], string> = {
  new: 'both new to it',
  club: 'both at club level',
  sharp: 'both sharp',
  'knows best': 'perfect play on both sides',
};

/** Between whom a round is, as words that follow "with": "your plan against a club-level top". */
export function levelWords({ top, bottom }: PlayLevel): string {
  return top === 'knows best' || bottom === 'like the opponent'
    ? BOTH[top]
    : `your plan against ${TOP[top]} top`;
}
