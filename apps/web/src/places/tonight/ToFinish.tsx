import { evidenceOf, fadingOf, faultTrends, nextClass, weeksBetween } from '@aftersquall/core/log';
import type { GuardMap, Practice } from '@aftersquall/core/model';
import { ArrowRight } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { logAddress, mapAddress } from '../../components/addresses.ts';
import { today } from '../../store/records/newRecord.ts';
import styles from './tonight.module.scss';
import { say } from './words.ts';

const FAULTS_SHOWN = 3;
const MISSED_SHOWN = 2;

/** What last time left to finish: its record, the faults seen most, what was not reached. */
export function ToFinish({ map, practice }: { map: GuardMap; practice: Practice }) {
  const lines = useMemo(() => leftToFinish(map, practice, today()), [map, practice]);
  return (
    <section aria-label="From last time">
      <h2>From last time</h2>
      {lines.length === 0 && <p className="soft">{say.allDone}</p>}
      <ul className={styles.lines}>
        {lines.map(({ address, words }) => (
          <li key={words}>
            <ArrowRight size={16} aria-hidden />
            <Link to={address}>{words}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function leftToFinish(map: GuardMap, practice: Practice, date: string): { address: string; words: string }[] {
  const last = practice.sessions.findLast(({ reached }) => reached > 0);
  const record = last && `${logAddress}?part=sessions&session=${last.session}`;
  const { carried, faults } = nextClass(
    practice,
    faultTrends(practice, weeksBetween(practice.sessions[0]?.date ?? date, date)),
    fadingOf(practice, date),
    evidenceOf(map, practice),
  );
  return [
    ...(record && last.athletes.length === 0
      ? [{ address: record, words: say.nobodyTicked(last.name) }]
      : []),
    ...(record && last.trials === 0 ? [{ address: record, words: say.noTries(last.name) }] : []),
    ...faults.slice(0, FAULTS_SHOWN).map(({ of, id, name, fault, counts }) => ({
      address: `${mapAddress(map.id)}?sel=${of}.${id}`,
      words: say.seen(
        fault,
        name,
        counts.slice(-4).reduce((sum, count) => sum + count, 0),
      ),
    })),
    ...carried.slice(0, MISSED_SHOWN).map(({ move, position }) => ({
      address: logAddress,
      words: say.notReached(move, position),
    })),
  ];
}
