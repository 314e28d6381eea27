import { everyFault } from '@aftersquall/core/log';
import { type GuardMap, type SeenFault } from '@aftersquall/core/model';
import { matchSorter } from 'match-sorter';
import { useMemo, useState } from 'react';
import { ChoiceSearch } from '../../components/ChoiceSearch.tsx';
import styles from './log.module.scss';
import { say } from './words.ts';

/** So many faults are offered. */
const MAX_FAULTS_OFFERED = 7;

/** A fault that was seen and not tapped: found by its words or by what it is a fault of. */
export function FaultForm({ map, onFault }: { map: GuardMap; onFault: (fault: SeenFault) => void }) {
  const [typed, setTyped] = useState('');
  const faults = useMemo(() => everyFault(map), [map]);
  const found = typed
    ? matchSorter(faults, typed, { keys: ['fault', 'name'] }).slice(0, MAX_FAULTS_OFFERED)
    : [];
  return (
    <div className={styles.try}>
      <ChoiceSearch
        id="seen-faults"
        label={say.faultSaw}
        listLabel={say.faultsMap}
        placeholder="what went wrong, or in which move"
        typed={typed}
        onType={setTyped}
        choices={found.map(({ of, id, name, fault, falsePositive }) => ({
          key: `${of} ${id} ${fault}`,
          name: falsePositive ? `Fake success: ${fault}` : fault,
          what: name,
        }))}
        onPick={(place) => {
          onFault(found[place]!);
          setTyped('');
        }}
      />
    </div>
  );
}
