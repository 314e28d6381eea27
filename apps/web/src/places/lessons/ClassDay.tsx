import type { Issue } from '@aftersquall/core/documents';
import type { ClassPlan } from '@aftersquall/core/model';
import { DayField } from '../../components/fields/DayField.tsx';
import { SavedField } from '../../components/fields/SavedField.tsx';
import styles from './lessons.module.scss';

interface Props {
  when: ClassPlan['when'];
  onChange: (when: ClassPlan['when']) => Issue[];
}

const USUAL_START = '18:30';

/** The day of the class and when it starts; without a day it stands in no calendar. */
export function ClassDay({ when, onChange }: Props) {
  return (
    <>
      <div className={styles.day}>
        <DayField
          label="Day"
          value={when?.date ?? ''}
          optional
          onSave={(date) => onChange(date ? { date, start: when?.start ?? USUAL_START } : undefined)}
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
