import type { PlayLevel } from '../../model/playLevel.ts';

const TOP: Record<PlayLevel['top'], string> = {
  new: 'them new to it',
  club: 'them at club level',
  sharp: 'them sharp',
  'knows best': 'them knowing best',
};

/** Between whom a round is, as words that follow "with": "you at your plan and them at club level". */
export function levelWords({ top, bottom }: PlayLevel): string {
  if (top === 'knows best') return 'both knowing best';
  return bottom === 'like the opponent'
    ? `${TOP[top]} and you no better`
    : `you at your plan and ${TOP[top]}`;
}
