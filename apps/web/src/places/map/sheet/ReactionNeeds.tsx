import { contactName, type WordContext } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import {
  CONTACTS,
  type Condition,
  type Contact,
  type HoldPattern,
  type Reaction,
  type ReactionNeed,
} from '@aftersquall/core/model';
import { PatternsField } from '../../../components/fields/PatternsField.tsx';
import { say } from '../words.ts';
import { ConditionsField } from './NeedsEditor.tsx';
import styles from './sheet.module.scss';

interface Props {
  reaction: Reaction;
  context: WordContext;
  onChange: (needs: ReactionNeed[]) => Issue[];
}

/** Top's limbs that a reaction may need. */
const LIMBS = CONTACTS.filter((contact) => /[LR]$/.test(contact) || contact === 'head');

/** Without which top cannot do it: what must be seen, which limbs must be free, what bottom must not hold. */
export function ReactionNeeds({ reaction: { needs }, context, onChange }: Props) {
  const seen = needs.filter((need): need is Condition => 'facet' in need);
  const free = needs.flatMap((need) => ('free' in need ? [need.free] : []));
  const not = needs.flatMap((need) => ('not' in need ? [need.not] : []));
  const save = (parts: { seen?: Condition[]; free?: Contact[]; not?: HoldPattern[] }) =>
    onChange([
      ...(parts.seen ?? seen),
      ...(parts.free ?? free).map((limb) => ({ free: limb })),
      ...(parts.not ?? not).map((pattern) => ({ not: pattern })),
    ]);
  return (
    <div className={styles.fields}>
      <div>
        <div className="label-small">Must be seen</div>
        <ConditionsField needs={seen} onChange={(next) => save({ seen: next })} />
      </div>
      <div>
        <div className="label-small">Limbs of top that must be free</div>
        <div className="chip-field" role="group" aria-label={say.limbsTopMustFree}>
          {LIMBS.map((limb) => (
            <button
              key={limb}
              type="button"
              className={`chip ${free.includes(limb) ? 'on' : ''}`}
              aria-pressed={free.includes(limb)}
              onClick={() =>
                save({ free: free.includes(limb) ? free.filter((one) => one !== limb) : [...free, limb] })
              }
            >
              {contactName(limb)}
            </button>
          ))}
        </div>
      </div>
      <div>
        <div className="label-small">What bottom must not hold</div>
        <PatternsField
          label={say.holdsStop}
          patterns={not}
          context={context}
          onChange={(next) => save({ not: next })}
        />
      </div>
    </div>
  );
}
