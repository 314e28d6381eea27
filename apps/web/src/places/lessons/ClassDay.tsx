import type { ClassPlan, Issue } from '@aftersquall/core';
import { useId } from 'react';
import { SavedField } from '../../components/fields/SavedField.tsx';
import styles from './lessons.module.scss';

interface Props {
  when: ClassPlan['when'];
  onChange: (when: ClassPlan['when']) => Issue[];
}

const USUAL_START = '18:30';

/** The day of the class and when it starts; without a day it stands in no calendar. */
export function ClassDay({ when, onChange }: Props) {
  const id = useId();
  return (
    <>
      <div className={styles.day}>
        <label className="form-label" htmlFor={id}>
          Day
        </label>
        <input
          id={id}
          type="date"
          className="form-control form-control-sm"
          value={when?.date ?? ''}
          onChange={({ target: { value } }) =>
            onChange(value ? { date: value, start: when?.start ?? USUAL_START } : undefined)
          }
        />
      </div>
      {when && (
        <SavedField
          label="Starts at"
          value={when.start}
          onSave={(start) => onChange({ ...when, start: start.trim() })}
        />
      )}
    </>
  );
}
