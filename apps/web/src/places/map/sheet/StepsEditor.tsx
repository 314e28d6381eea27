import { contactName, holdWords, joinWords, type WordContext } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import { CONTACTS, freshId, SAID_LIMIT, type Step } from '@aftersquall/core/model';
import { ChevronDown, ChevronUp, Plus } from 'lucide-react';
import { useState } from 'react';
import { HoldsField } from '../../../components/fields/HoldsField.tsx';
import { readNumber, SavedField } from '../../../components/fields/SavedField.tsx';
import { SignsField } from '../../../components/fields/SignsField.tsx';
import { TakeOut } from '../../../components/TakeOut.tsx';
import { say } from '../words.ts';
import styles from './sheet.module.scss';

interface Props {
  steps: readonly Step[];
  context: WordContext;
  onChange: (steps: Step[]) => Issue[];
}

/** The steps of a move in their order: text, seconds, and behind each what it takes, lets go and comes after. */
export function StepsEditor({ steps, context, onChange }: Props) {
  const add = () =>
    onChange([
      ...steps,
      {
        id: freshId(
          `s${steps.length + 1}`,
          steps.map((step) => step.id),
        ),
        text: 'New step',
        take: [],
        release: [],
        seconds: 2,
      },
    ]);
  const swap = (place: number, other: number) => {
    const [a, b] = [steps[place], steps[other]];
    if (a && b) onChange(steps.with(place, b).with(other, a));
  };
  return (
    <>
      <ol className="list-unstyled mb-1">
        {steps.map((step, place) => (
          <li key={step.id}>
            <StepRow
              step={step}
              place={place}
              steps={steps}
              context={context}
              onChange={(changed) => onChange(steps.with(place, changed))}
              onRemove={() => onChange(withoutStep(steps, step.id))}
              onMove={(by) => swap(place, place + by)}
            />
          </li>
        ))}
      </ol>
      <button type="button" className="btn btn-sm btn-plain" onClick={add}>
        <Plus size={14} aria-hidden /> step
      </button>
    </>
  );
}

/** The steps without one, and without the orders that named it. */
const withoutStep = (steps: readonly Step[], id: string): Step[] =>
  steps
    .filter((step) => step.id !== id)
    .map(({ after, ...step }) => {
      const left = after?.filter((other) => other !== id);
      return left && left.length > 0 ? { ...step, after: left } : step;
    });

interface RowProps {
  step: Step;
  place: number;
  steps: readonly Step[];
  context: WordContext;
  onChange: (step: Step) => Issue[];
  onRemove: () => void;
  onMove: (by: 1 | -1) => void;
}

function StepRow({ step, place, steps, context, onChange, onRemove, onMove }: RowProps) {
  const [open, setOpen] = useState(false);
  const number = place + 1;
  const summary = [
    step.take.length > 0 && `takes: ${joinWords(step.take.map((hold) => holdWords(hold, context)))}`,
    step.release.length > 0 && `lets go: ${joinWords(step.release.map(contactName))}`,
    step.after &&
      step.after.length > 0 &&
      `after step ${joinWords(step.after.map((id) => String(steps.findIndex((other) => other.id === id) + 1)))}`,
  ].filter(Boolean);
  return (
    <>
      <div className={styles['step-row']}>
        <b>{number}</b>
        <SavedField
          label={`Step ${number}`}
          hideLabel
          lines={2}
          value={step.text}
          onSave={(text) => onChange({ ...step, text })}
        />
        <SavedField
          label={`Seconds of step ${number}`}
          hideLabel
          type="number"
          unit="s"
          value={String(step.seconds)}
          onSave={(text) => onChange({ ...step, seconds: readNumber(text) ?? 2 })}
        />
        <span className={styles['step-tools']}>
          <button
            type="button"
            className="bare"
            aria-label={`Step ${number} earlier`}
            disabled={place === 0}
            onClick={() => onMove(-1)}
          >
            <ChevronUp size={14} aria-hidden />
          </button>
          <button
            type="button"
            className="bare"
            aria-label={`Step ${number} later`}
            disabled={place === steps.length - 1}
            onClick={() => onMove(1)}
          >
            <ChevronDown size={14} aria-hidden />
          </button>
          <TakeOut label={`Remove step ${number}`} onClick={onRemove} />
        </span>
      </div>
      <button
        type="button"
        className={styles['step-summary']}
        aria-expanded={open}
        aria-label={say.holdsOrderStep(number)}
        onClick={() => setOpen(!open)}
      >
        {summary.length > 0 ? summary.join(' · ') : 'no grip changes'}
      </button>
      {open && (
        <div className={styles['step-details']}>
          <SavedField
            label={say.stepSaidClass(number)}
            limit={SAID_LIMIT}
            value={step.said ?? ''}
            onSave={(said) => onChange({ ...step, said: said.trim() || undefined })}
          />
          <div className="label-small">Takes</div>
          <HoldsField
            label={`What step ${number} takes`}
            by="own"
            holds={step.take}
            context={context}
            onChange={(take) => onChange({ ...step, take })}
          />
          <div className="label-small mt-2">Lets go with</div>
          <div className="chip-field" role="group" aria-label={say.stepLetsGo(number)}>
            {CONTACTS.map((contact) => {
              const on = step.release.includes(contact);
              return (
                <button
                  key={contact}
                  type="button"
                  className={`chip ${on ? 'on' : ''}`}
                  aria-pressed={on}
                  onClick={() =>
                    onChange({
                      ...step,
                      release: on
                        ? step.release.filter((other) => other !== contact)
                        : [...step.release, contact],
                    })
                  }
                >
                  {contactName(contact)}
                </button>
              );
            })}
          </div>
          <div className="label-small mt-2">What changes</div>
          <SignsField
            label={`Signs after step ${number}`}
            signs={step.signs ?? {}}
            onChange={(signs) =>
              onChange({ ...step, signs: Object.keys(signs).length > 0 ? signs : undefined })
            }
          />
          {steps.length > 1 && (
            <>
              <div className="label-small mt-2">Never before</div>
              <div className="chip-field" role="group" aria-label={`Step ${number} never before`}>
                {steps.map((other, i) => {
                  if (other.id === step.id) return null;
                  const on = step.after?.includes(other.id) ?? false;
                  const after = on
                    ? step.after?.filter((id) => id !== other.id)
                    : [...(step.after ?? []), other.id];
                  return (
                    <button
                      key={other.id}
                      type="button"
                      className={`chip ${on ? 'on' : ''}`}
                      aria-pressed={on}
                      onClick={() =>
                        onChange({ ...step, after: after && after.length > 0 ? after : undefined })
                      }
                    >
                      step {i + 1}
                    </button>
                  );
                })}
              </div>
            </>
          )}
        </div>
      )}
    </>
  );
}
