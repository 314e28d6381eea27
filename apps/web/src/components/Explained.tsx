import type { ReactNode } from 'react';
import { putAway } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { TakeOut } from './TakeOut.tsx';
import { say } from './words.ts';

/** Words that the program uses in a sense of its own, and what each place is for, in one sentence each. */
const SENTENCES = {
  look: say.whatTopSeesMoves,
  hole: say.holeTopDoesHave,
  answered: say.firstFigureEveryHole,
  connect: say.setUpTakesBetter,
  provoke: say.baitDoWhatTop,
  rests: say.gripsMustNotLose,
  builds: say.buildsTallShortHeavy,
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
export type Term = keyof typeof SENTENCES;

/** The sentence that says what a word means, where it first stands; put away, it stays away in every place. */
export function Explained({ term, children }: { term: Term; children?: ReactNode }) {
  const dispatch = useAppDispatch();
  const away = useAppSelector(({ settings }) => settings.putAway.includes(term));
  if (away) return null;
  return (
    <p className="explained small">
      {children ?? <span>{SENTENCES[term]}</span>}
      <TakeOut label={`Hide: ${SENTENCES[term]}`} onClick={() => dispatch(putAway(term))} />
    </p>
  );
}
