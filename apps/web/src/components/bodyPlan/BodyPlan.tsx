import { holdWords, limbConflicts, type WordContext } from '@aftersquall/core/body';
import { CONTACTS, type Contact, type Facet, type Hold, type Signs } from '@aftersquall/core/model';
import { say } from '../words.ts';
import styles from './bodyPlan.module.scss';
import { ContactDot } from './ContactDot.tsx';
import { type Body, PLAN, REGIONS, type Region, regionOf } from './geometry.ts';
import { HoldLines } from './HoldLines.tsx';
import { RegionShape } from './RegionShape.tsx';
import { SignLabels } from './SignLabels.tsx';

export interface Limb {
  body: Body;
  contact: Contact;
}
export interface Spot {
  body: Body;
  region: Region;
}

interface Props {
  holds: readonly Hold[];
  topHolds: readonly Hold[];
  signs: Signs;
  context: WordContext;
  /** The limb that is about to take something. */
  limb?: Limb | undefined;
  spot?: Spot | undefined;
  /** Without these the plan is only looked at. */
  onLimb?: (limb: Limb) => void;
  onSpot?: (spot: Spot) => void;
  /** The hold that is pointed at, by its id, and who is told when that changes. */
  pointed?: string | undefined;
  onPoint?: ((hold: string | undefined) => void) | undefined;
}

/** Both bodies as bottom sees them: who holds whom with what, and what can be seen of each. */
export function BodyPlan(props: Props) {
  const { holds, topHolds, signs, context, limb, spot, onLimb, onSpot, pointed, onPoint } = props;
  const conflicts = {
    own: new Set(limbConflicts(holds, context).map(({ contact }) => contact)),
    top: new Set(limbConflicts(topHolds, context).map(({ contact }) => contact)),
  };
  const marked = Object.keys(signs).map((facet) => regionOf(facet as Facet));
  return (
    <svg
      className={`${styles['body-plan']} ${limb ? `taking of-${limb.body}` : ''}`}
      viewBox={`0 0 ${PLAN.width} ${PLAN.height}`}
      role="group"
      aria-label={say.bothBodiesTopFacing}
    >
      <text x="8" y="16" className="who top">
        top
      </text>
      <text x="8" y={PLAN.height - 8} className="who own">
        bottom
      </text>
      {(['top', 'own'] as const).map((body) => (
        <g key={body} className={`${styles.figure} ${body}`}>
          {REGIONS.map((region) => (
            <RegionShape
              key={region}
              body={body}
              region={region}
              here={spot?.body === body && spot.region === region}
              marked={marked.some((mark) => mark.body === body && mark.region === region)}
              onPick={onSpot && (() => onSpot({ body, region }))}
            />
          ))}
        </g>
      ))}
      {topHolds.map((hold) => (
        <HoldLines
          key={hold.id}
          hold={hold}
          body="top"
          words={holdWords(hold, context, 'top')}
          pointed={hold.id === pointed}
        />
      ))}
      {holds.map((hold) => (
        <HoldLines
          key={hold.id}
          hold={hold}
          body="own"
          words={holdWords(hold, context)}
          pointed={hold.id === pointed}
        />
      ))}
      {(['top', 'own'] as const).map((body) => {
        const holdOf = new Map(
          (body === 'own' ? holds : topHolds).flatMap(({ contacts, id }) =>
            contacts.map((contact) => [contact, id]),
          ),
        );
        return CONTACTS.map((contact) => (
          <ContactDot
            key={`${body} ${contact}`}
            body={body}
            contact={contact}
            holding={holdOf.has(contact)}
            onPoint={onPoint && ((on) => onPoint(on ? holdOf.get(contact) : undefined))}
            conflict={conflicts[body].has(contact)}
            chosen={limb?.body === body && limb.contact === contact}
            onPick={onLimb && (() => onLimb({ body, contact }))}
          />
        ));
      })}
      <SignLabels signs={signs} />
    </svg>
  );
}
