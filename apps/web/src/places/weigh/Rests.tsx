import { type GuardMap, JOINTS } from '@aftersquall/core/model';
import { pointsText, type WeighOptions } from '@aftersquall/core/weigh';
import { Ban, Play } from 'lucide-react';
import { useMemo, useState } from 'react';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { type Away, useDependence } from '../../workers/weighQuestions.ts';
import { holdClassesOf } from './holdClasses.ts';
import styles from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  options: WeighOptions;
}
type Kind = 'holds' | 'moves' | 'reactions' | 'joints';

const QUESTIONS: Record<Kind, string> = {
  holds: say.whatRoundLosesIf,
  moves: say.whatRoundLosesWithout,
  reactions: say.whatRoundGainsIf,
  joints: say.whatRoundLosesIf2,
};

const thingsOf: Record<Kind, (map: GuardMap) => Away[]> = {
  holds: (map) =>
    holdClassesOf(map).map(({ name, holds }) => ({
      name: `without ${name}`,
      taken: { forbiddenHolds: [holds] },
    })),
  moves: ({ moves }) =>
    moves.map(({ id, name }) => ({ name: `without ${name}`, taken: { forbiddenMoves: [id] } })),
  reactions: ({ reactions }) =>
    reactions.map(({ id, name }) => ({ name: `top never: ${name}`, taken: { forbiddenReactions: [id] } })),
  joints: () => JOINTS.map((joint) => ({ name: `sparing the ${joint}`, taken: { sparedJoints: [joint] } })),
};

/** What is left of the game without each class of holds, move, reaction of top or joint. */
export function Rests({ map, options }: Props) {
  const [kind, setKind] = useState<Kind>('holds');
  const things = useMemo(() => thingsOf[kind](map), [kind, map]);
  const { rows, left, ask, stop } = useDependence(map, options, things);
  return (
    <>
      <h2 className="mt-3">What carries the game</h2>
      <ChoiceToggle<Kind>
        label="What to leave out"
        value={kind}
        choices={[
          ['holds', 'Holds'],
          ['moves', 'Moves'],
          ['reactions', 'Reactions'],
          ['joints', 'Joints'],
        ]}
        onChange={setKind}
      />
      <p className="small mt-2">{QUESTIONS[kind]}</p>
      {left > 0 ? (
        <div className="d-flex align-items-center gap-2">
          <progress max={things.length} value={things.length - left} aria-label="Weighed without" />
          <button type="button" className="btn btn-sm btn-plain" onClick={stop}>
            <Ban size={14} aria-hidden /> Stop
          </button>
        </div>
      ) : (
        rows.length < things.length && (
          <button type="button" className="btn btn-sm btn-now" onClick={() => void ask()}>
            <Play size={14} aria-hidden /> Try without each
          </button>
        )
      )}
      <ol className="list-unstyled mt-2" aria-label={say.whatRoundLoses}>
        {rows.map(({ name, result }) => (
          <li key={name} className={styles.stake}>
            <b>
              {result.difference < 0 ? '+' : ''}
              {pointsText(Math.abs(result.difference))}
            </b>
            <span>{name}</span>
            <small className="soft">
              {pointsText(result.whole)} → {pointsText(result.without)} points
              {result.left !== undefined && leftWords(result.left)}
            </small>
          </li>
        ))}
      </ol>
    </>
  );
}

/** How much of the whole is left; less than nothing, or more than before, is no share of it. */
const leftWords = (left: number): string =>
  left < 0 || left > 1 ? '' : `, ${Math.round(left * 100)} % left`;
