import './balance.scss';
import {
  type Build,
  type Contact,
  checkSweep,
  contactName,
  GRAVITY,
  indexMap,
  MASS_RANGE,
  type ProfileDirection,
  reactionKey,
  STANCE_NAMES,
  STANCES,
  STATURE_RANGE,
  type StanceName,
  sided,
  type TippingProfile,
} from '@aftersquall/core';
import { Columns2, RotateCcw, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { reactionOf } from '../../components/fields/landingChoices.ts';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { selectMap } from '../../store/mapSession.ts';
import { useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import {
  type BalanceState,
  POSTS,
  type PostState,
  type PushAt,
  profileOf,
  STARTING,
  stateOfSweep,
  wayWords,
  weakestArc,
} from './balanceState.ts';
import { MatView } from './MatView.tsx';
import { SideView } from './SideView.tsx';

/** Which way does top fall, and which post is still free? Opened from a sweep, or set by hand. */
export function BalancePlace() {
  const map = useAppSelector(selectMap)!;
  const { mapId } = useParams();
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
  const arc = weakestArc(profile);
  const direction =
    profile.directions.find(({ degrees }) => degrees === state.degrees) ?? profile.directions[0]!;
  const position = move && index.position.get(move.position);
  const reaction = met === 'none' ? undefined : index.reaction.get(met.replace('~', ''));
  const check =
    move && position
      ? checkSweep(position, move, {
          reaction: reaction && sided('reaction', reaction, met.startsWith('~')),
          stature: state.stature,
          mass: state.mass,
        })
      : undefined;
  const sweeps = map.moves.filter(({ kind }) => kind === 'sweep');

  return (
    <>
      <header className="place-bar">
        <h1>Balance</h1>
        <SelectField
          label="Sweep"
          hideLabel
          value={move?.id ?? ''}
          choices={[
            { value: '', name: 'No sweep: set by hand' },
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
              { value: 'none', name: 'Nothing: top is late' },
              ...position.looks
                .flatMap(({ reactions }) => reactions)
                .map((ref) => ({
                  value: reactionKey(ref),
                  name: index.reaction.get(ref.id)?.name ?? ref.id,
                })),
            ].filter(({ value }, i, list) => list.findIndex((other) => other.value === value) === i)}
            onChange={(value) => set({ met: value === 'none' ? undefined : value })}
          />
        )}
        {move && <Link to={`/${mapId}/map?sel=move.${move.id}`}>to the move</Link>}
        <span className="push" />
        <button
          type="button"
          className={`btn btn-sm ${beside ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={Boolean(beside)}
          onClick={() => setBeside(beside ? undefined : state)}
        >
          <Columns2 size={15} aria-hidden /> {beside ? 'End the comparison' : 'Keep this beside'}
        </button>
        <button type="button" className="btn btn-sm btn-plain" onClick={() => setState(begun())}>
          <RotateCcw size={15} aria-hidden /> Begin again
        </button>
      </header>
      <div className="balance-body">
        <section className="balance-controls" aria-label="How top stands">
          <SelectField
            label="Stance"
            value={state.stance}
            choices={STANCE_NAMES.map((name) => ({ value: name, name: STANCES[name].name }))}
            onChange={(stance) => change({ stance: stance as StanceName })}
          />
          <div className="two">
            <SavedField
              label="Height"
              unit="m"
              type="number"
              value={String(state.stature)}
              onSave={(text) => number(text, STATURE_RANGE, 'm', (stature) => change({ stature }))}
            />
            <SavedField
              label="Weight"
              unit="kg"
              type="number"
              value={String(state.mass)}
              onSave={(text) => number(text, MASS_RANGE, 'kg', (mass) => change({ mass }))}
            />
          </div>
          <ChoiceToggle<Build>
            label="Body table"
            above="Body table"
            value={state.build}
            choices={[
              ['average', 'between'],
              ['men', 'men'],
              ['women', 'women'],
            ]}
            onChange={(build) => change({ build })}
          />
          <fieldset className="posts" aria-label="Posts">
            <legend className="form-label">What top can stand on</legend>
            {POSTS.map((contact) => (
              <PostRow
                key={contact}
                contact={contact}
                state={state.posts[contact] ?? 'free'}
                onChange={(post) => change({ posts: { ...state.posts, [contact]: post } })}
              />
            ))}
          </fieldset>
          <ChoiceToggle<PushAt>
            label="Pushed at"
            above="Pushed at"
            value={state.pushAt}
            choices={[
              ['knees', 'knees'],
              ['belt', 'belt'],
              ['shoulders', 'shoulders'],
            ]}
            onChange={(pushAt) => change({ pushAt })}
          />
          <p className="soft small mb-0">
            Statics only: speed, timing, and how the mat and the hands grip are not in it.
          </p>
        </section>
        <section className="balance-mat" aria-label="The mat from above">
          <div className={beside ? 'mats beside' : 'mats'}>
            <MatView
              profile={profile}
              degrees={direction.degrees}
              sweep={move?.direction}
              label="Top from above on the mat"
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
            aria-label="Direction of the push, in degrees"
            min={0}
            max={345}
            step={15}
            value={Math.round(direction.degrees / 15) * 15}
            onChange={(event) => change({ degrees: Number(event.target.value) })}
          />
        </section>
        <section className="balance-answer" aria-label="What it takes" aria-live="polite">
          <h2>
            Towards {wayWords(direction.degrees)} <small className="soft">{direction.degrees}°</small>
          </h2>
          <p className={arc.has(direction.degrees) ? 'weakest' : ''}>
            {arc.has(direction.degrees)
              ? 'This is where top is weakest.'
              : `Weakest towards ${[...arc].map((d) => `${d}°`).join(', ')}.`}
          </p>
          <Push direction={direction} profile={profile} />
          <SideView profile={profile} direction={direction} pushHeight={pushHeight} />
          {direction.reposts.length > 0 ? (
            <p>
              Still free:{' '}
              {direction.reposts
                .map(({ contact, reach }) => `${contactName(contact)} (reaches ${reach.toFixed(2)} m)`)
                .join(', ')}
              . With {direction.reposts.length > 1 ? 'them' : 'it'} down the edge is{' '}
              {(direction.guarded * 100).toFixed(0)} cm away.
            </p>
          ) : (
            <p>Nothing is left to post on this side.</p>
          )}
          {check && (
            <div className="sweep-verdict">
              <h3>{move?.name}</h3>
              <p className="mb-1">{check.verdict}</p>
              {check.setup.by.length > 0 && (
                <p className="soft small mb-0">
                  Taken by holds:{' '}
                  {[...new Set(check.setup.by.map(({ post }) => contactName(post)))].join(', ')}.
                </p>
              )}
            </div>
          )}
        </section>
      </div>
    </>
  );
}

function number(
  text: string,
  [least, most]: readonly [number, number],
  unit: string,
  save: (value: number) => void,
): string | undefined {
  const value = readNumber(text);
  if (value === undefined || !(value >= least && value <= most)) return `From ${least} to ${most} ${unit}.`;
  save(value);
  return undefined;
}

function PostRow({
  contact,
  state,
  onChange,
}: {
  contact: Contact;
  state: PostState;
  onChange: (state: PostState) => void;
}) {
  const foot = contact.startsWith('foot');
  const choices: [PostState, string][] = [
    ['free', 'free'],
    ['blocked', 'taken'],
    foot ? ['pinned', 'cannot step'] : ['added', 'on the mat'],
  ];
  return (
    <div className="post-row">
      <span>{contactName(contact)}</span>
      <ChoiceToggle<PostState>
        label={contactName(contact)}
        value={state}
        choices={choices}
        onChange={onChange}
      />
    </div>
  );
}

/** The push in plain words, with newtons beside. */
function Push({ direction, profile }: { direction: ProfileDirection; profile: TippingProfile }) {
  if (direction.margin < -1e-6) return <p className="big">Falling that way already.</p>;
  if (direction.margin <= 0) {
    const fall = profile.directions.reduce((a, b) => (b.margin < a.margin ? b : a));
    return <p className="big">Falls by itself, towards {wayWords(fall.degrees)}.</p>;
  }
  return (
    <>
      <p className="big">
        about {Math.max(1, Math.round(direction.force / GRAVITY))} kg of pull{' '}
        <small className="soft">{direction.force.toFixed(0)} N</small>
      </p>
      <dl className="numbers">
        <dt>to the edge</dt>
        <dd>{(direction.margin * 100).toFixed(0)} cm</dd>
        <dt>tips at</dt>
        <dd>{direction.tipAngle.toFixed(0)}°</dd>
        <dt>lift over it</dt>
        <dd>{direction.energy.toFixed(0)} J</dd>
      </dl>
      {direction.slides && <p className="hazard">Pushed so low, top slides before tipping.</p>}
    </>
  );
}

/** The set-up kept for comparison, in the same direction. */
function Beside({ state, degrees, onTake }: { state: BalanceState; degrees: number; onTake: () => void }) {
  const { profile } = useMemo(() => profileOf({ ...state, degrees }), [state, degrees]);
  const direction = profile.directions.find((other) => other.degrees === degrees) ?? profile.directions[0]!;
  return (
    <figure className="mb-0">
      <MatView profile={profile} degrees={degrees} label="The set-up kept beside" />
      <figcaption className="small">
        Kept: {STANCES[state.stance].name},{' '}
        {direction.margin <= 0 ? 'falling that way' : `about ${Math.round(direction.force / GRAVITY)} kg`}
        {direction.guarded > 0 && `, guarded ${(direction.guarded * 100).toFixed(0)} cm`}
        <button type="button" className="btn btn-sm btn-plain ms-2" onClick={onTake}>
          <Undo2 size={13} aria-hidden /> back to this one
        </button>
      </figcaption>
    </figure>
  );
}
