import { type WordContext } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import { freshId, type Move, type Variant } from '@aftersquall/core/model';
import { House, Plus } from 'lucide-react';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { PartScope } from '../../../components/fields/useDraft.tsx';
import { TakeOut } from '../../../components/TakeOut.tsx';
import { say } from '../words.ts';
import { StepsEditor } from './StepsEditor.tsx';
import styles from './sheet.module.scss';

interface Props {
  move: Move;
  context: WordContext;
  onChange: (changes: Partial<Move>) => Issue[];
}

/** Where good coaches differ: the ways side by side, each with its when and why; the house picks one. */
export function VariantsEditor({ move, context, onChange }: Props) {
  const { variants } = move;
  const set = (place: number, changes: Partial<Variant>) =>
    onChange({ variants: variants.with(place, { ...variants[place]!, ...changes }) });
  const add = () => {
    const id = freshId(
      `way-${variants.length + 1}`,
      variants.map((variant) => variant.id),
    );
    onChange({
      variants: [...variants, { id, name: `Variation ${variants.length + 1}`, when: {}, why: '', steps: [] }],
    });
  };
  const remove = (variant: Variant) =>
    onChange({
      variants: variants.filter((other) => other !== variant),
      ...(move.houseVariant === variant.id && { houseVariant: undefined }),
    });
  return (
    <>
      <div className={styles.variants}>
        {variants.map((variant, place) => {
          const house = variant.id === move.houseVariant;
          const when = (changes: Partial<Variant['when']>) => {
            const next = Object.entries({ ...variant.when, ...changes }).filter(([, value]) => value);
            return set(place, { when: Object.fromEntries(next) });
          };
          return (
            <PartScope key={variant.id} part={`variant/${variant.id}`}>
              <section className={`${styles.variant} ${house ? styles.house : ''}`} aria-label={variant.name}>
                <div className="d-flex gap-1 align-items-center">
                  <div className="flex-grow-1">
                    <SavedField
                      label={say.nameVariation}
                      hideLabel
                      value={variant.name}
                      onSave={(name) => set(place, { name })}
                    />
                  </div>
                  <TakeOut label={`Remove: ${variant.name}`} onClick={() => remove(variant)} />
                </div>
                <button
                  type="button"
                  className={`chip ${house ? 'on' : ''}`}
                  aria-pressed={house}
                  onClick={() => onChange({ houseVariant: house ? undefined : variant.id })}
                >
                  <House size={13} aria-hidden /> ours
                </button>{' '}
                <button
                  type="button"
                  className={`chip ${variant.sameMove ? 'on' : ''}`}
                  aria-pressed={Boolean(variant.sameMove)}
                  title={say.teachInsteadMoveNever}
                  onClick={() => set(place, { sameMove: variant.sameMove ? undefined : true })}
                >
                  instead of the move
                </button>
                <SelectField
                  label="When: apparel"
                  value={variant.when.apparel ?? ''}
                  choices={[
                    { value: '', name: 'either' },
                    { value: 'gi', name: 'gi' },
                    { value: 'no-gi', name: 'no-gi' },
                  ]}
                  onChange={(apparel) => when({ apparel: apparel as 'gi' | 'no-gi' })}
                />
                <SavedField
                  label="When: build"
                  value={variant.when.build ?? ''}
                  onSave={(build) => when({ build })}
                />
                <SavedField
                  label="When: partner"
                  value={variant.when.partner ?? ''}
                  onSave={(partner) => when({ partner })}
                />
                <SavedField label="Why" lines={3} value={variant.why} onSave={(why) => set(place, { why })} />
                <details>
                  <summary className="small">
                    {variant.steps.length > 0 ? `${variant.steps.length} own steps` : 'the move’s steps'}
                  </summary>
                  <StepsEditor
                    steps={variant.steps}
                    context={context}
                    onChange={(steps) => set(place, { steps })}
                  />
                </details>
              </section>
            </PartScope>
          );
        })}
      </div>
      <button type="button" className="btn btn-sm btn-plain" onClick={add}>
        <Plus size={14} aria-hidden /> another variation
      </button>
    </>
  );
}
