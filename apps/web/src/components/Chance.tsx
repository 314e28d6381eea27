import { timesInTen } from '@aftersquall/core/model';
import { useState } from 'react';

interface Props {
  /** From 0 to 1. */
  chance: number;
  /** Where the figure comes from, in a word or two. */
  from: string;
  /** The same in a sentence. */
  about: string;
}

/** How often an answer works, as a coach counts; a tap shows the exact figure. */
export function Chance({ chance, from, about }: Props) {
  const [isExact, setExact] = useState(false);
  const exact = `${Math.round(chance * 100)} %`;
  const [, big, rest] = /^(\d*)(.*)$/.exec(timesInTen(chance))!;
  return (
    <button
      type="button"
      className="chance"
      title={about}
      aria-label={`Works ${timesInTen(chance)}, exactly ${exact}: ${from}`}
      onClick={() => setExact(!isExact)}
    >
      {isExact ? exact : big}
      <small>{isExact ? from : `${rest!.trim()}, ${from}`}</small>
    </button>
  );
}
