import { faultTrends, practiceOf, weekOf } from '@aftersquall/core/log';
import { type ClassPlan, type PracticeRecord, recordsOf } from '@aftersquall/core/model';
import { plannedSeconds, wasReached } from '@aftersquall/core/run';
import { RotateCcw } from 'lucide-react';
import { Link } from 'react-router';
import { logAddress } from '../../components/addresses.ts';
import { clock } from '../../components/clock.ts';
import { dayOf } from './dayOf.ts';
import styles from './mat.module.scss';
import type { Run } from './useRun.ts';
import { say } from './words.ts';

interface Props {
  plan: ClassPlan;
  run: Run;
  records: readonly PracticeRecord[];
}

/** What was reached and what was not, what was counted, and where to finish the record. */
export function MatEnd({ plan, run, records }: Props) {
  const planned = plannedSeconds(plan);
  const { ran } = run.state;
  const blocks = plan.blocks.map((block) => ({
    block,
    reached: wasReached(planned.get(block.id)!, ran.get(block.id) ?? 0),
  }));
  const missed = blocks.filter(({ reached }) => !reached);
  const held = missed.length < blocks.length;
  // What was begun by mistake was not held: nothing of it is carried over.
  const carried = held ? missed.filter(({ block }) => 'links' in block) : [];
  const practice = practiceOf(records, { map: plan.map });
  const faults = faultTrends(practice, [weekOf(dayOf(run))]).slice(0, 3);
  const trials = recordsOf(records, 'trial');
  return (
    <div className={`${styles.now} ${styles.done}`}>
      <h1>Class over: {plan.name}.</h1>
      <p>
        {clock([...ran.values()].reduce((sum, seconds) => sum + seconds, 0))} ran of {clock(run.total)};{' '}
        {blocks.length - missed.length} of {blocks.length} blocks reached
        {trials.length > 0 &&
          `; ${trials.filter(({ worked }) => worked).length} of ${trials.length} tries worked`}
        .
      </p>
      {!held && <p>{say.nothingClassDoneSo}</p>}
      {carried.length > 0 && (
        <>
          <p>
            <b>{say.notReachedNextTime}</b>
          </p>
          <ul>
            {carried.map(({ block }) => (
              <li key={block.id}>{block.title}</li>
            ))}
          </ul>
        </>
      )}
      {plan.leftOver.length > 0 && (
        <p>{plan.leftOver.length} answers did not fit the class from the start.</p>
      )}
      {faults.length > 0 && (
        <p>
          <b>Seen most today:</b> {faults.map(({ fault, total }) => `${fault} (${total})`).join('; ')}
        </p>
      )}
      <p className={styles['end-links']}>
        <Link to={`${logAddress}?session=${run.id}`}>Finish the record in the Log</Link>
        <button type="button" onClick={run.restart}>
          <RotateCcw aria-hidden /> Run it again
        </button>
      </p>
    </div>
  );
}
