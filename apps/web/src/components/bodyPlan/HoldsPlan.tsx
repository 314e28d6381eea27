import { contactName, holdWords, targetName, wordContext } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import {
  type Contact,
  freshId,
  type Hold,
  HoldSchema,
  type Position,
  type Target,
} from '@aftersquall/core/model';
import { FlipHorizontal2, X } from 'lucide-react';
import { useState } from 'react';
import { ApparelToggle } from '../ApparelToggle.tsx';
import { TakeOut } from '../TakeOut.tsx';
import { useLayer } from '../useLayer.ts';
import { say } from '../words.ts';
import { BodyPlan, type Limb, type Spot } from './BodyPlan.tsx';
import styles from './bodyPlan.module.scss';
import { partsIn, regionAt } from './geometry.ts';
import { HoldDetails } from './HoldDetails.tsx';
import { LookedAt } from './LookedAt.tsx';
import { usualAction } from './limbActions.ts';
import { type Looking, lookAt } from './looking.ts';
import { SignChoices } from './SignChoices.tsx';

type Held = Pick<Position, 'holds' | 'topHolds' | 'signs'>;
interface Props {
  position: Position;
  onChange: (changes: Partial<Held>) => Issue[];
  /** Looked at from the other side or in the other apparel; where the place switches these itself, it is left out. */
  looking?: Looking;
  onLooking?: (looking: Looking) => void;
  /** The hold that is pointed at, by its id, and who is told when that changes. */
  pointed?: string | undefined;
  onPoint?: (hold: string | undefined) => void;
}

const AS_IT_IS: Looking = { flipped: false, apparel: 'gi' };

const listOf = (body: Limb['body']) => (body === 'own' ? 'holds' : 'topHolds');

/**
 * Holds and signs by tapping: a limb, then what it takes; or, with no limb chosen, a part of a body and what can be
 * seen of it. The other side and the other apparel are looked at here too, with what they would lose.
 */
export function HoldsPlan(props: Props) {
  const { position, onChange, looking = AS_IT_IS, onLooking, pointed, onPoint } = props;
  const [limb, setLimb] = useState<Limb>();
  const [spot, setSpot] = useState<Spot>();
  const translation = lookAt(position, looking);
  const shown = translation?.position ?? position;
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
      action: usualAction(limb.contact, target.part),
      target,
    });
    onChange({ [list]: [...left, hold] });
    setSpot(undefined);
  };
  useLayer(Boolean(limb || spot), () => {
    setLimb(undefined);
    setSpot(undefined);
  });
  return (
    <div className="holds-plan">
      {onLooking && (
        <div className={styles['plan-bar']}>
          <button
            type="button"
            className={`btn btn-sm ${looking.flipped ? 'btn-dark' : 'btn-plain'}`}
            aria-pressed={looking.flipped}
            onClick={() => onLooking({ ...looking, flipped: !looking.flipped })}
          >
            <FlipHorizontal2 size={15} aria-hidden /> Other side
          </button>
          <ApparelToggle
            label={say.apparelPlan}
            value={looking.apparel}
            onChange={(apparel) => onLooking({ ...looking, apparel })}
          />
        </div>
      )}
      <BodyPlan
        holds={shown.holds}
        topHolds={shown.topHolds}
        signs={shown.signs}
        context={context}
        limb={translation ? undefined : limb}
        spot={translation ? undefined : spot}
        pointed={pointed}
        onPoint={onPoint}
        {...(!translation && {
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
      {translation ? (
        <LookedAt translation={translation} context={context} />
      ) : (
        <>
          <p className={styles['plan-hint']} aria-live="polite">
            {limb ? (
              <>
                <b>
                  {limb.body === 'top' ? 'Top’s' : 'Our'} {contactName(limb.contact)}
                </b>
                <span>{held ? 'is holding; tap what it takes instead' : 'tap what it takes'}</span>
                <TakeOut className="ms-auto" label="Leave this limb" onClick={() => setLimb(undefined)} />
              </>
            ) : (
              <span className="soft">{say.tapHandFootThen}</span>
            )}
          </p>
          {limb && spot && (
            <div className={styles['plan-chips']} role="group" aria-label="What it takes">
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
            <div className={styles['plan-chips']}>
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
