import { type WordContext } from '@aftersquall/core/body';
import { type Contact, DEPTHS, type Hold } from '@aftersquall/core/model';
import { FallbacksField } from '../fields/FallbacksField.tsx';
import { say } from '../words.ts';
import type { Limb } from './BodyPlan.tsx';
import styles from './bodyPlan.module.scss';
import { limbKind, usualActions } from './limbActions.ts';
import { PlanChip } from './PlanChip.tsx';

interface Props {
  hold: Hold;
  limb: Limb;
  context: WordContext;
  words: string;
  onChange: (hold: Hold) => void;
}

/** How a limb holds: what it does, how deep, with which other limb, and whether it is kept. */
export function HoldDetails({ hold, limb, context, words, onChange }: Props) {
  const twin = limb.contact.endsWith('L')
    ? (`${limb.contact.slice(0, -1)}R` as Contact)
    : (`${limb.contact.slice(0, -1)}L` as Contact);
  const paired = /[LR]$/.test(limb.contact);
  const shared = hold.contacts.includes(twin);
  return (
    <div className="hold-details" role="group" aria-label={words}>
      <div className={styles['plan-chips']} role="group" aria-label="What it does">
        {[...new Set([...usualActions(limb.contact), hold.action])].map((action) => (
          <PlanChip key={action} on={hold.action === action} onPick={() => onChange({ ...hold, action })}>
            {action.replace('-', ' ')}
          </PlanChip>
        ))}
      </div>
      <div className={styles['plan-chips']} role="group" aria-label={say.howDeepMarks}>
        {DEPTHS.map((depth) => (
          <PlanChip
            key={depth}
            on={(hold.depth ?? 'set') === depth}
            onPick={() => onChange({ ...hold, depth: depth === 'set' ? undefined : depth })}
          >
            {depth}
          </PlanChip>
        ))}
        <PlanChip
          on={Boolean(hold.keep)}
          onPick={() => onChange({ ...hold, keep: hold.keep ? undefined : true })}
        >
          keep
        </PlanChip>
        {paired && (
          <PlanChip
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
            with both {limbKind(limb.contact) === 'foot' ? 'feet' : `${limbKind(limb.contact)}s`}
          </PlanChip>
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
