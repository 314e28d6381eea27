import type { FieldErrors, UseFormRegisterReturn } from 'react-hook-form';
import { GoalField } from './GoalField.tsx';

interface Props {
  errors: FieldErrors<{ minutes: unknown; people: unknown }>;
  field: (name: 'minutes' | 'people') => UseFormRegisterReturn;
}

/** How long a class is, and how many come. */
export function GoalNumbers({ errors, field }: Props) {
  return (
    <>
      <GoalField
        label="Minutes"
        id="class-minutes"
        error={errors.minutes?.message}
        input={field('minutes')}
      />
      <GoalField label="People" id="class-people" error={errors.people?.message} input={field('people')} />
    </>
  );
}
