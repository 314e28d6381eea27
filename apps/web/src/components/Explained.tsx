import type { ReactNode } from 'react';
import { putAway } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { TakeOut } from './TakeOut.tsx';
import { say } from './words.ts';

/** Words that the program uses in a sense of its own, in one sentence each. */
const SENTENCES = {
  look: say.whatTopSeesMoves,
  hole: say.holeTopDoesHave,
  answered: say.firstFigureEveryHole,
  connect: say.setUpTakesBetter,
  provoke: say.baitDoWhatTop,
  rests: say.gripsMustNotLose,
  builds: say.buildsTallShortHeavy,
} as const;
/** What each place is for, and what to do first. */
const PLACES = {
  'chart-legend': say.whatLinesMean,
  tonight: say.placeTonight,
  chart: say.placeChart,
  board: say.placeBoard,
  handbook: say.placeHandbook,
  read: say.placeRead,
  weigh: say.placeWeigh,
  balance: say.placeBalance,
  lessons: say.placeLessons,
  term: say.placeTerm,
  log: say.placeLog,
} as const;
type Term = keyof typeof SENTENCES | keyof typeof PLACES;

/** The sentence that says what a word means, where it first stands; put away, it stays away in every place. */
export function Explained({ term, children }: { term: Term; children?: ReactNode }) {
  const dispatch = useAppDispatch();
  const away = useAppSelector(({ settings }) => settings.putAway.includes(term));
  if (away) return null;
  const sentence = { ...SENTENCES, ...PLACES }[term];
  return (
    <p className="explained small d-print-none">
      {children ?? <span>{sentence}</span>}
      <TakeOut
        label={term in PLACES ? 'Hide this sentence' : `Hide: ${sentence}`}
        onClick={() => dispatch(putAway(term))}
      />
    </p>
  );
}
