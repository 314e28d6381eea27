import { putAway } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { TakeOut } from './TakeOut.tsx';

/** Words that the program uses in a sense of its own, each in one sentence. */
const SENTENCES = {
  look: 'What top sees: moves that start the same way share it, so top cannot tell which one comes.',
  hole: 'A hole: top does this, and you have written no answer.',
  answered: 'First figure: every hole counts as a failed move. Second: as if you had an answer.',
  connect: 'A set-up takes you to a better position. It does not finish or sweep by itself.',
  provoke: 'A bait: you do it for what top does next.',
  rests: 'The grips you must not lose. Without one of them you are somewhere else.',
  builds: 'Builds: tall or short, heavy or light. An answer says whom it suits.',
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
      <TakeOut label={`Hide: ${SENTENCES[term]}`} onClick={() => dispatch(putAway(term))} />
    </p>
  );
}
