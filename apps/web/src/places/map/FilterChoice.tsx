import { ListFilter } from 'lucide-react';
import { useState } from 'react';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { RulesChoice } from '../../components/RulesChoice.tsx';
import { useLayer } from '../../components/useLayer.ts';
import { useAppSelector } from '../../store/store.ts';
import styles from './map.module.scss';
import type { useView } from './useView.ts';
import { say } from './words.ts';

/** What is shown of the map; how many filters are in use stands on the button. */
export function FilterChoice({ filters, set }: Pick<ReturnType<typeof useView>, 'filters' | 'set'>) {
  const rules = useAppSelector(({ settings }) => settings.rules);
  const count = [filters.wear, filters.level, filters.holes, rules].filter(Boolean).length;
  const [open, setOpen] = useState(false);
  useLayer(open, () => setOpen(false));
  return (
    <div className={styles.filters}>
      <button
        type="button"
        className={`btn btn-sm ${count > 0 ? 'btn-dark' : 'btn-plain'}`}
        aria-expanded={open}
        aria-label={`Filters, ${count} in use`}
        title="Filters"
        onClick={() => setOpen(!open)}
      >
        <ListFilter size={15} aria-hidden /> {count > 0 && count}
      </button>
      {open && (
        <div className={styles['filter-box']} role="group" aria-label="Filters">
          <SelectField
            label="Played in"
            value={filters.wear}
            choices={[
              { value: '', name: 'gi or no-gi' },
              { value: 'gi', name: 'gi' },
              { value: 'no-gi', name: 'no-gi' },
            ]}
            onChange={(wear) => set({ wear })}
          />
          <SelectField
            label="Level"
            value={filters.level}
            choices={[
              { value: '', name: 'every level' },
              { value: 'novice', name: 'novice' },
              { value: 'intermediate', name: 'up to intermediate' },
            ]}
            onChange={(level) => set({ level })}
          />
          <RulesChoice />
          <SelectField
            label={say.systemsChart}
            value={filters.folded === undefined ? '' : filters.folded ? 'all' : 'none'}
            choices={[
              { value: '', name: 'automatic' },
              { value: 'all', name: 'one card each' },
              { value: 'none', name: 'with every position' },
            ]}
            onChange={(fold) => set({ fold })}
          />
          <SelectField
            label={say.failedMovesChart}
            value={filters.failingFaded ? 'faded' : ''}
            choices={[
              { value: '', name: 'drawn by how often' },
              { value: 'faded', name: 'faded' },
            ]}
            onChange={(failing) => set({ failing })}
          />
          <label className="form-check small mb-0">
            <input
              type="checkbox"
              className="form-check-input"
              checked={filters.holes}
              onChange={(event) => set({ holes: event.target.checked ? 'only' : undefined })}
            />{' '}
            Only positions with holes
          </label>
        </div>
      )}
    </div>
  );
}
