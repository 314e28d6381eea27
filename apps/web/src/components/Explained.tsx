import { putAway } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { TakeOut } from './TakeOut.tsx';

/** Words that the program uses in a sense of its own, each in one sentence. */
const SENTENCES = {
  look: 'A look is what top sees: moves that begin alike share one, so that top cannot tell which of them comes.',
  hole: 'A hole is something top does about a move to which the map has no answer yet.',
  answered:
    'As mapped, a hole is worth what failing is; if answered, what the move is worth when top does nothing about it.',
  connect: 'A connecting move leads to a better position and ends nothing by itself.',
  provoke: 'A provoking move is made for what top does about it.',
  rests: 'What a position rests on are its holds marked as kept: without one of them one is not in it.',
  builds: 'Builds are how the two are made: an answer says whom it suits, and how much.',
} as const;
export type Term = keyof typeof SENTENCES;

/** The sentence that says what a word means, where it first stands; put away, it stays away in every place. */
export function Explained({ term }: { term: Term }) {
  const dispatch = useAppDispatch();
  const away = useAppSelector(({ settings }) => settings.putAway.includes(term));
  if (away) return null;
  return (
    <p className="explained small">
      {SENTENCES[term]}
      <TakeOut label={`Put away: ${SENTENCES[term]}`} onClick={() => dispatch(putAway(term))} />
    </p>
  );
}
