import { putAway } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { TakeOut } from './TakeOut.tsx';
import { say } from './words.ts';

/** Words that the program uses in a sense of its own, each in one sentence. */
const SENTENCES = {
  look: say.whatTopSeesMoves,
  hole: say.holeTopDoesHave,
  answered: say.firstFigureEveryHole,
  connect: say.setUpTakesBetter,
  provoke: say.baitDoWhatTop,
  rests: say.gripsMustNotLose,
  builds: say.buildsTallShortHeavy,
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
