import {
  type Apparel,
  type Contact,
  contactName,
  DEPTHS,
  FACETS,
  type Facet,
  facetName,
  freshId,
  type Hold,
  type HoldAction,
  HoldSchema,
  holdWords,
  type Issue,
  mirror,
  type Position,
  type Signs,
  signOf,
  type Target,
  targetName,
  translateApparel,
  type WordContext,
  wordContext,
} from '@aftersquall/core';
import { FlipHorizontal2, X } from 'lucide-react';
import { useState } from 'react';
import { ApparelToggle } from '../ApparelToggle.tsx';
import { FallbacksField } from '../fields/FallbacksField.tsx';
import { TakeOut } from '../TakeOut.tsx';
import { BodyPlan, type Limb, type Spot } from './BodyPlan.tsx';
import { facetsIn, partsIn, regionAt } from './geometry.ts';

type Held = Pick<Position, 'holds' | 'topHolds' | 'signs'>;
interface Props {
  position: Position;
  onChange: (changes: Partial<Held>) => Issue[];
  /** Where side and apparel are switched for the whole place, the plan has no switches of its own. */
  withoutSwitches?: boolean;
}

/** What each kind of limb usually does, the commonest first. */
const ACTIONS: Record<string, HoldAction[]> = {
  hand: ['grip', 'cup', 'frame', 'post', 'press', 'two-on-one'],
  arm: ['underhook', 'overhook', 'wrap', 'frame', 'body-lock', 'harness', 'clamp', 'press'],
  foot: ['hook', 'place', 'wedge', 'post'],
  leg: ['shield', 'clamp', 'pinch', 'lace', 'press', 'hook'],
  head: ['press', 'post', 'wedge'],
  hips: ['press', 'wedge'],
  back: ['press'],
  chest: ['press'],
};
const kindOf = (contact: Contact): string => contact.replace(/[LR]$/, '');
const listOf = (body: Limb['body']) => (body === 'own' ? 'holds' : 'topHolds');

/**
 * Holds and signs by tapping: a limb, then what it takes; or, with no limb chosen, a part of a body and what can be
 * seen of it. The other side and the other apparel are looked at here too, with what they would lose.
 */
export function HoldsPlan({ position, onChange, withoutSwitches }: Props) {
  const [limb, setLimb] = useState<Limb>();
  const [spot, setSpot] = useState<Spot>();
  const [flipped, setFlipped] = useState(false);
  const [apparel, setApparel] = useState<Apparel>('gi');
  const looking = flipped || apparel === 'no-gi';
  const translation = translateApparel(flipped ? mirror('position', position) : position, apparel);
  const shown = looking ? translation.position : position;
  const context = wordContext(shown);

  const held = limb && position[listOf(limb.body)].find(({ contacts }) => contacts.includes(limb.contact));
  const put = (changed: Hold) => {
    if (!limb) return;
    const list = listOf(limb.body);
    onChange({ [list]: position[list].map((hold) => (hold.id === changed.id ? changed : hold)) });
  };
  const release = () => {
    if (!limb) return;
    const list = listOf(limb.body);
    onChange({ [list]: without(position[list], limb.contact) });
  };
  const take = (target: Target) => {
    if (!limb) return;
    const list = listOf(limb.body);
    const left = without(position[list], limb.contact);
    const hold = HoldSchema.parse({
      id: freshId(
        `${limb.contact}-${target.part}`,
        left.map(({ id }) => id),
      ),
      contacts: [limb.contact],
      action: target.of === 'mat' ? 'post' : ACTIONS[kindOf(limb.contact)]![0],
      target,
    });
    onChange({ [list]: [...left, hold] });
    setSpot(undefined);
  };
  return (
    <div className="holds-plan">
      <div className="plan-bar" hidden={withoutSwitches}>
        <button
          type="button"
          className={`btn btn-sm ${flipped ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={flipped}
          onClick={() => setFlipped(!flipped)}
        >
          <FlipHorizontal2 size={15} aria-hidden /> Other side
        </button>
        <ApparelToggle label="Apparel on the plan" value={apparel} onChange={setApparel} />
      </div>
      <BodyPlan
        holds={shown.holds}
        topHolds={shown.topHolds}
        signs={shown.signs}
        context={context}
        limb={looking ? undefined : limb}
        spot={looking ? undefined : spot}
        {...(!looking && {
          onLimb: (next: Limb) => {
            // A limb is chosen already: a dot of the other body is what it takes.
            if (limb && limb.body !== next.body) {
              setSpot({ body: next.body, region: regionAt(next.contact) });
              return;
            }
            setLimb(limb?.contact === next.contact ? undefined : next);
            setSpot(undefined);
          },
          onSpot: setSpot,
        })}
      />
      {looking ? (
        <div className="mt-1 small" aria-live="polite">
          {!translation.available && <p className="hazard mb-1">{translation.why}.</p>}
          {translation.lost.map(({ by, hold, why }) => (
            <p key={hold.id} className="hazard mb-1">
              Lost: {holdWords(hold, context, by)} ({why}).
            </p>
          ))}
          {translation.changed.map(({ by, to, from }) => (
            <p key={from.id} className="mb-1">
              {holdWords(to, context, by)}, instead of {targetName(from.target, context)}
            </p>
          ))}
          <p className="soft mb-0">Only looked at. It is written on its own side, with the gi.</p>
        </div>
      ) : (
        <>
          <p className="plan-hint" aria-live="polite">
            {limb ? (
              <>
                <b>
                  {limb.body === 'top' ? 'Top’s' : 'Our'} {contactName(limb.contact)}
                </b>
                <span>{held ? 'holds; tap what it takes instead' : 'tap what it takes'}</span>
                <TakeOut className="ms-auto" label="Leave this limb" onClick={() => setLimb(undefined)} />
              </>
            ) : (
              <span className="soft">
                Tap a limb’s dot, then what it takes. Tap a body without a limb to say what can be seen.
              </span>
            )}
          </p>
          {limb && spot && (
            <div className="plan-chips" role="group" aria-label="What it takes">
              {partsIn(spot.region).map((choice) => {
                const target: Target = { of: spot.body, ...choice };
                return (
                  <button
                    key={JSON.stringify(choice)}
                    type="button"
                    className="chip"
                    onClick={() => take(target)}
                  >
                    {targetName(target, context)}
                  </button>
                );
              })}
            </div>
          )}
          {limb && !spot && (
            <div className="plan-chips">
              <button
                type="button"
                className="chip"
                onClick={() => take({ of: 'mat', part: 'mat', side: 'C' })}
              >
                the mat
              </button>
              {held && (
                <button type="button" className="chip" onClick={release}>
                  <X size={14} aria-hidden /> let go
                </button>
              )}
            </div>
          )}
          {limb && held && !spot && (
            <HoldDetails
              hold={held}
              limb={limb}
              context={context}
              words={holdWords(held, context, limb.body)}
              onChange={put}
            />
          )}
          {!limb && spot && (
            <SignChoices spot={spot} signs={position.signs} onChange={(signs) => onChange({ signs })} />
          )}
        </>
      )}
    </div>
  );
}

/** The holds once a contact holds nothing: a shared hold stays with the others. */
const without = (holds: readonly Hold[], contact: Contact): Hold[] =>
  holds.flatMap((hold) => {
    const contacts = hold.contacts.filter((other) => other !== contact);
    return contacts.length === 0
      ? []
      : [contacts.length < hold.contacts.length ? { ...hold, contacts } : hold];
  });

interface DetailProps {
  hold: Hold;
  limb: Limb;
  context: WordContext;
  words: string;
  onChange: (hold: Hold) => void;
}

/** How a limb holds: what it does, how deep, with which other limb, and whether it is kept. */
function HoldDetails({ hold, limb, context, words, onChange }: DetailProps) {
  const twin = limb.contact.endsWith('L')
    ? (`${limb.contact.slice(0, -1)}R` as Contact)
    : (`${limb.contact.slice(0, -1)}L` as Contact);
  const paired = /[LR]$/.test(limb.contact);
  const shared = hold.contacts.includes(twin);
  return (
    <div className="hold-details" role="group" aria-label={words}>
      <div className="plan-chips" role="group" aria-label="What it does">
        {[...new Set([...ACTIONS[kindOf(limb.contact)]!, hold.action])].map((action) => (
          <Toggle key={action} on={hold.action === action} onPick={() => onChange({ ...hold, action })}>
            {action.replace('-', ' ')}
          </Toggle>
        ))}
      </div>
      <div className="plan-chips" role="group" aria-label="How deep, and marks">
        {DEPTHS.map((depth) => (
          <Toggle
            key={depth}
            on={(hold.depth ?? 'set') === depth}
            onPick={() => onChange({ ...hold, depth: depth === 'set' ? undefined : depth })}
          >
            {depth}
          </Toggle>
        ))}
        <Toggle
          on={Boolean(hold.keep)}
          onPick={() => onChange({ ...hold, keep: hold.keep ? undefined : true })}
        >
          keep
        </Toggle>
        {paired && (
          <Toggle
            on={shared}
            onPick={() =>
              onChange({
                ...hold,
                contacts: shared
                  ? hold.contacts.filter((contact) => contact !== twin)
                  : [...hold.contacts, twin],
              })
            }
          >
            with both {kindOf(limb.contact) === 'foot' ? 'feet' : `${kindOf(limb.contact)}s`}
          </Toggle>
        )}
      </div>
      {hold.target.of !== 'mat' && (
        <FallbacksField
          fallbacks={hold.fallbacks ?? []}
          of={hold.target.of}
          context={context}
          onChange={(fallbacks) => onChange({ ...hold, fallbacks })}
        />
      )}
    </div>
  );
}

function Toggle({ on, onPick, children }: { on: boolean; onPick: () => void; children: React.ReactNode }) {
  return (
    <button type="button" className={`chip ${on ? 'on' : ''}`} aria-pressed={on} onClick={onPick}>
      {children}
    </button>
  );
}

interface SignProps {
  spot: Spot;
  signs: Signs;
  onChange: (signs: Signs) => void;
}

/** What can be seen of one region, a row of chips for each facet; the usual value says nothing. */
function SignChoices({ spot, signs, onChange }: SignProps) {
  const facets = facetsIn(spot.body, spot.region);
  if (facets.length === 0) return <p className="soft">Nothing to see there.</p>;
  const set = (facet: Facet, value: string) => {
    const { [facet]: _, ...others } = signs;
    onChange(value === FACETS[facet][0] ? others : ({ ...others, [facet]: value } as Signs));
  };
  return facets.map((facet) => (
    <div key={facet} role="group" aria-label={facetName(facet)}>
      <div className="label-small mt-1">{facetName(facet)}</div>
      <div className="plan-chips">
        {FACETS[facet].map((value) => (
          <Toggle key={value} on={signOf(signs, facet) === value} onPick={() => set(facet, value)}>
            {value.replaceAll('-', ' ')}
          </Toggle>
        ))}
      </div>
    </div>
  ));
}
