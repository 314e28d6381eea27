import { BUILD_VALUES } from '@aftersquall/core/model';
import { type Builds } from '@aftersquall/core/read';
import { Ruler } from 'lucide-react';
import { useState } from 'react';
import { Explained } from '../../components/Explained.tsx';
import { SelectField, wordChoices } from '../../components/fields/SelectField.tsx';
import { useLayer } from '../../components/useLayer.ts';
import { setBuilds } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import styles from './read.module.scss';

const WHO = [
  ['own', 'Ours'],
  ['partner', 'Partner’s'],
] as const;

/** The builds of the two, as far as they are known: options say how they suit. */
export function BuildChoice() {
  const dispatch = useAppDispatch();
  const builds = useAppSelector(({ settings }) => settings.builds);
  const [open, setOpen] = useState(false);
  useLayer(open, () => setOpen(false));
  const count = WHO.reduce((sum, [who]) => sum + Object.keys(builds[who] ?? {}).length, 0);
  const set = (who: 'own' | 'partner', about: keyof typeof BUILD_VALUES, value: string) => {
    const { [about]: _, ...others } = builds[who] ?? {};
    const next: Builds = { ...builds, [who]: value ? { ...others, [about]: value } : others };
    dispatch(setBuilds(next));
  };
  return (
    <div className={styles['build-choice']}>
      <button
        type="button"
        className={`btn btn-sm ${count > 0 ? 'btn-dark' : 'btn-plain'}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <Ruler size={15} aria-hidden /> Builds {count > 0 && count}
      </button>
      {open && (
        <div className={styles['build-box']} role="group" aria-label="Builds">
          <Explained term="builds" />
          {WHO.map(([who, name]) => (
            <div key={who}>
              <div className="label-small">{name}</div>
              {(Object.keys(BUILD_VALUES) as (keyof typeof BUILD_VALUES)[]).map((about) => (
                <SelectField
                  key={about}
                  label={`${name} ${about}`}
                  value={builds[who]?.[about] ?? ''}
                  choices={[{ value: '', name: 'not said' }, ...wordChoices(BUILD_VALUES[about])]}
                  onChange={(value) => set(who, about, value)}
                />
              ))}
            </div>
          ))}
        </div>
      )}
    </div>
  );
}
