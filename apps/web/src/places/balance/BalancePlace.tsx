import { checkSweep, GRAVITY, STANCES } from '@aftersquall/core/balance';
import { reactionName, sided } from '@aftersquall/core/body';
import { indexMap, reactionKey } from '@aftersquall/core/model';
import { Columns2, RotateCcw, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { Explained } from '../../components/Explained.tsx';
import { reactionOf } from '../../components/fields/landingChoices.ts';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { useEditedDocument } from '../../store/documents/useDocument.ts';
import { selectMap } from '../../store/openMap.ts';
import { useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { BalanceAnswer } from './BalanceAnswer.tsx';
import styles from './balance.module.scss';
import { type BalanceState, profileOf, STARTING, stateOfSweep } from './balanceState.ts';
import { MatView } from './MatView.tsx';
import { StandControls } from './StandControls.tsx';
import { SweepPicture } from './SweepPicture.tsx';
import { say } from './words.ts';

/** Which way does top fall, and which post is still free? Opened from a sweep, or set by hand. */
export function BalancePlace() {
  const map = useAppSelector(selectMap)!;
  useEditedDocument('map', map.id);
  const [params, set] = useAddress();
  const index = indexMap(map);
  const move = index.move.get(params.get('move') ?? '');
  const met = params.get('met') ?? 'none';
  const begun = () => (move ? stateOfSweep(map, move, reactionOf(met), STARTING) : STARTING);
  const [state, setState] = useState<BalanceState>(begun);
  const [beside, setBeside] = useState<BalanceState>();
  const change = (changes: Partial<BalanceState>) => setState((old) => ({ ...old, ...changes }));
  useEffect(() => {
    if (move) setState((old) => stateOfSweep(map, move, reactionOf(met), old));
  }, [map, move, met]);

  const { profile, pushHeight } = useMemo(() => profileOf(state), [state]);
  const direction =
    profile.directions.find(({ degrees }) => degrees === state.degrees) ?? profile.directions[0]!;
  const position = move && index.position.get(move.position);
  const reaction = useMemo(() => {
    const named = met === 'none' ? undefined : index.reaction.get(met.replace('~', ''));
    return named && sided('reaction', named, met.startsWith('~'));
  }, [index, met]);
  const check =
    move && position
      ? checkSweep(position, move, {
          reaction,
          stature: state.stature,
          mass: state.mass,
        })
      : undefined;
  const sweeps = map.moves.filter(({ kind }) => kind === 'sweep');

  return (
    <>
      <title>{`Balance · ${map.name}`}</title>
      <header className="place-bar">
        <h1>Balance</h1>
        <SelectField
          label="Sweep"
          hideLabel
          value={move?.id ?? ''}
          choices={[
            { value: '', name: say.noSweepSetHand },
            ...sweeps.map(({ id, name, position: from }) => ({
              value: id,
              name,
              group: index.position.get(from)?.name ?? '',
            })),
          ]}
          onChange={(id) => set({ move: id, met: undefined })}
        />
        {move && position && (
          <SelectField
            label="What top did"
            hideLabel
            value={met}
            choices={[
              { value: 'none', name: 'Top does nothing' },
              ...position.looks
                .flatMap(({ reactions }) => reactions)
                .map((ref) => ({ value: reactionKey(ref), name: reactionName(map, ref, position) })),
            ].filter(({ value }, i, list) => list.findIndex((other) => other.value === value) === i)}
            onChange={(value) => set({ met: value === 'none' ? undefined : value })}
          />
        )}
        {move && <Link to={`${mapAddress(map.id)}?sel=move.${move.id}`}>to the move</Link>}
        <span className="push" />
        <button
          type="button"
          className={`btn btn-sm ${beside ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={Boolean(beside)}
          onClick={() => setBeside(beside ? undefined : state)}
        >
          <Columns2 size={15} aria-hidden /> {beside ? 'End the comparison' : 'Compare with this'}
        </button>
        <button type="button" className="btn btn-sm btn-plain" onClick={() => setState(begun())}>
          <RotateCcw size={15} aria-hidden /> Begin again
        </button>
      </header>
      <Explained term="balance" />
      <div className={styles['balance-body']}>
        <StandControls state={state} onChange={change} />
        <section className={styles['balance-mat']} aria-label={say.matAbove}>
          <div className={beside ? `${styles.mats} beside` : styles.mats}>
            <MatView
              profile={profile}
              degrees={direction.degrees}
              sweep={move?.direction}
              label={say.topAboveMat}
              onDegrees={(degrees) => change({ degrees })}
              onLean={([x, y]) =>
                setState((old) => ({ ...old, shift: [old.shift[0] + x, old.shift[1] + y] }))
              }
            />
            {beside && <Beside state={beside} degrees={direction.degrees} onTake={() => setState(beside)} />}
          </div>
          <input
            type="range"
            className="form-range"
            aria-label={say.directionPushDegrees}
            min={0}
            max={345}
            step={15}
            value={Math.round(direction.degrees / 15) * 15}
            onChange={(event) => change({ degrees: Number(event.target.value) })}
          />
        </section>
        <BalanceAnswer
          profile={profile}
          direction={direction}
          pushHeight={pushHeight}
          posts={state.posts}
          sweep={check && { name: move?.name ?? '', check }}
          picture={
            move &&
            position && (
              <SweepPicture position={position} move={move} reaction={reaction} degrees={direction.degrees} />
            )
          }
        />
      </div>
    </>
  );
}

/** The set-up kept for comparison, in the same direction. */
function Beside({ state, degrees, onTake }: { state: BalanceState; degrees: number; onTake: () => void }) {
  const { profile } = useMemo(() => profileOf({ ...state, degrees }), [state, degrees]);
  const direction = profile.directions.find((other) => other.degrees === degrees) ?? profile.directions[0]!;
  return (
    <figure className="mb-0">
      <MatView profile={profile} degrees={degrees} label={say.stanceCompare} />
      <figcaption className="small">
        Compared with: {STANCES[state.stance].name},{' '}
        {direction.margin <= 0 ? 'falling that way' : `about ${Math.round(direction.force / GRAVITY)} kg`}
        {direction.guarded > 0 && `, guarded ${(direction.guarded * 100).toFixed(0)} cm`}
        <button type="button" className="btn btn-sm btn-plain ms-2" onClick={onTake}>
          <Undo2 size={13} aria-hidden /> back to it
        </button>
      </figcaption>
    </figure>
  );
}
