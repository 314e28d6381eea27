import {
  CONTACTS,
  type Contact,
  contactName,
  type Facet,
  type Hold,
  holdWords,
  limbConflicts,
  type Signs,
  signWords,
  type WordContext,
} from '@aftersquall/core';
import type { KeyboardEvent } from 'react';
import styles from './bodyPlan.module.scss';
import {
  type Body,
  contactAt,
  jointAt,
  PLAN,
  type Point,
  REGIONS,
  type Region,
  regionOf,
  targetAt,
} from './geometry.ts';

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
}

const REGION_NAMES: Record<Region, string> = {
  head: 'head and neck',
  trunk: 'trunk',
  armL: 'left arm',
  armR: 'right arm',
  legL: 'left leg',
  legR: 'right leg',
};

/** Both bodies as bottom sees them: who holds whom with what, and what can be seen of each. */
export function BodyPlan(props: Props) {
  const { holds, topHolds, signs, context, limb, spot, onLimb, onSpot } = props;
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
      aria-label="Both bodies, top facing us, bottom below"
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
        <HoldLines key={hold.id} hold={hold} body="top" words={holdWords(hold, context, 'top')} />
      ))}
      {holds.map((hold) => (
        <HoldLines key={hold.id} hold={hold} body="own" words={holdWords(hold, context)} />
      ))}
      {(['top', 'own'] as const).map((body) => {
        const held = new Set((body === 'own' ? holds : topHolds).flatMap(({ contacts }) => contacts));
        return CONTACTS.map((contact) => (
          <ContactDot
            key={`${body} ${contact}`}
            body={body}
            contact={contact}
            holding={held.has(contact)}
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

const path = (...points: Point[]): string => `M${points.map((point) => point.join(' ')).join(' L')}`;

function shapeOf(body: Body, region: Region): { d: string; width: number; head?: Point } {
  const [x, y] = jointAt(body, 'L', 'head');
  const side = region.endsWith('L') ? 'L' : 'R';
  const at = (joint: Parameters<typeof jointAt>[2], of: 'L' | 'R' = side) => jointAt(body, of, joint);
  switch (region) {
    case 'head':
      return { d: '', width: 0, head: [x, y] };
    case 'trunk':
      return {
        d: `${path(at('shoulder', 'L'), at('shoulder', 'R'), at('hip', 'R'), at('hip', 'L'))}Z`,
        width: 14,
      };
    case 'armL':
    case 'armR':
      return { d: path(at('shoulder'), at('elbow'), at('wrist'), at('hand')), width: 17 };
    case 'legL':
    case 'legR':
      return { d: path(at('hip'), at('knee'), at('ankle'), at('toes')), width: 20 };
  }
}

interface RegionProps {
  body: Body;
  region: Region;
  here: boolean;
  marked: boolean;
  onPick: (() => void) | undefined;
}

/** Enter and the space bar do what a tap does. */
const byKey = (act: () => void) => (event: KeyboardEvent) => {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  act();
};

function RegionShape({ body, region, here, marked, onPick }: RegionProps) {
  const { d, width, head } = shapeOf(body, region);
  const name = `${body === 'top' ? "top's" : 'our'} ${REGION_NAMES[region]}`;
  const shape = head ? (
    <circle cx={head[0]} cy={head[1]} r={body === 'top' ? 21 : 19} />
  ) : (
    <path d={d} strokeWidth={width} className={region === 'trunk' ? styles.trunk : 'limb'} />
  );
  return (
    <g
      className={`${styles.region} ${here ? 'here' : ''} ${marked ? styles.marked : ''}`}
      {...(onPick && {
        role: 'button',
        tabIndex: 0,
        'aria-label': name,
        'aria-pressed': here,
        onClick: onPick,
        onKeyDown: byKey(onPick),
      })}
    >
      {shape}
      {!head && region !== 'trunk' && <path d={d} className={styles.core} />}
    </g>
  );
}

interface DotProps {
  body: Body;
  contact: Contact;
  holding: boolean;
  conflict: boolean;
  chosen: boolean;
  onPick: (() => void) | undefined;
}

function ContactDot({ body, contact, holding, conflict, chosen, onPick }: DotProps) {
  const [x, y] = contactAt(body, contact);
  const limb = contact.length > 3 && /[LR]$/.test(contact);
  if (!limb && !holding && !chosen && !onPick) return null;
  const name = `${body === 'top' ? "top's" : 'our'} ${contactName(contact)}${holding ? ', holding' : ', free'}`;
  return (
    <g
      className={`${styles.contact} ${body} ${limb ? '' : styles.middle} ${holding ? styles.holding : 'free'} ${conflict ? 'conflict' : ''} ${chosen ? 'chosen' : ''}`}
      transform={`translate(${x} ${y})`}
      {...(onPick && {
        role: 'button',
        tabIndex: 0,
        'aria-label': conflict ? `${name}, two things at once` : name,
        'aria-pressed': chosen,
        onClick: onPick,
        onKeyDown: byKey(onPick),
      })}
    >
      <title>{name}</title>
      {onPick && <circle r={limb ? 15 : 8} className="finger" />}
      {conflict && <circle r="11" className={styles.alarm} />}
      <circle r={limb ? 6.5 : 4.5} />
    </g>
  );
}

function HoldLines({ hold, body, words }: { hold: Hold; body: Body; words: string }) {
  return hold.contacts.map((contact) => {
    const from = contactAt(body, contact);
    const at = targetAt(hold.target);
    const to: Point = at ?? [from[0] + (from[0] < 160 ? -20 : 20), from[1] + 14];
    const bend: Point = [
      (from[0] + to[0]) / 2 + (to[1] - from[1]) * 0.12,
      (from[1] + to[1]) / 2 - (to[0] - from[0]) * 0.12,
    ];
    return (
      <g key={contact} className={`${styles.hold} ${body} ${hold.depth ?? 'set'}`}>
        <title>{words}</title>
        <path d={`M${from.join(' ')} Q${bend.join(' ')} ${to.join(' ')}`} />
        {at ? <circle cx={to[0]} cy={to[1]} r="4" /> : <path d={`M${to[0] - 8} ${to[1]} h16`} />}
        {hold.keep && <rect x={to[0] - 6} y={to[1] - 6} width="12" height="12" className={styles.keep} />}
      </g>
    );
  });
}

/** Signs in words where they are seen; those of the whole body stand at its head. */
function SignLabels({ signs }: { signs: Signs }) {
  const lines: Record<Body, string[]> = { top: [], own: [] };
  const labels: { key: string; point: Point; text: string; anchor: 'start' | 'end'; body: Body }[] = [];
  const used = new Map<string, number>();
  for (const [facet, value] of Object.entries(signs)) {
    const { body, region } = regionOf(facet as Facet);
    const short = String(value).replaceAll('-', ' ');
    if (region === 'trunk' || region === 'head') {
      lines[body].push(
        [
          'top.weight',
          'top.base',
          'top.lean',
          'top.head',
          'top.neck',
          'top.back',
          'own.angle',
          'own.hips',
        ].includes(facet)
          ? `${facet.split('.')[1]} ${short}`
          : short,
      );
      continue;
    }
    const side = region.endsWith('L') ? 'L' : 'R';
    const [x, y] = jointAt(body, side, region.startsWith('arm') ? 'hand' : 'ankle');
    const left = x < 160;
    const row = used.get(`${body}${region}`) ?? 0;
    used.set(`${body}${region}`, row + 1);
    labels.push({
      key: facet,
      point: [left ? x - 14 : x + 14, y + 4 + row * 12],
      text: signWords(facet as Facet, String(value)).replace(/^(top's|our) (left |right )?/, ''),
      anchor: left ? 'end' : 'start',
      body,
    });
  }
  return (
    <g className={styles.signs} aria-hidden>
      {lines.top.map((text, i) => (
        <text key={text} x={PLAN.width - 6} y={16 + i * 13} textAnchor="end" className="top">
          {text}
        </text>
      ))}
      {lines.own.map((text, i) => (
        <text key={text} x={PLAN.width - 6} y={PLAN.height - 8 - i * 13} textAnchor="end" className="own">
          {text}
        </text>
      ))}
      {labels.map(({ key, point, text, anchor, body }) => (
        <text key={key} x={point[0]} y={point[1]} textAnchor={anchor} className={body}>
          {text}
        </text>
      ))}
    </g>
  );
}
