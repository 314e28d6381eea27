import { evidenceOf, fadingOf, faultTrends, nextClass, weeksBetween } from '@aftersquall/core/log';
import { format, parseISO } from 'date-fns';
import { ArrowRight } from 'lucide-react';
import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import { classAddress, mapAddress, termAddress } from '../../components/addresses.ts';
import { type DatedClass, nextOf } from '../../store/classHead.ts';
import { useHeld } from '../../store/records/useHeld.ts';
import { useDatedClasses } from '../../store/useClasses.ts';
import styles from './log.module.scss';
import { type LogPartProps, lineOf, percent } from './logPart.ts';
import { say } from './words.ts';

const NONE: DatedClass[] = [];

/** What the next class begins from: carried over, three faults, what fades, where evidence is thin. */
export function NextPart({ map, practice, date, athlete }: LogPartProps) {
  const next = useMemo(() => {
    const first = practice.sessions[0]?.date ?? date;
    return nextClass(
      practice,
      faultTrends(practice, weeksBetween(first, date)),
      fadingOf(practice, date, athlete),
      evidenceOf(map, practice),
    );
  }, [map, practice, date, athlete]);
  const classes = useDatedClasses(map.id) ?? NONE;
  const { isRecorded } = useHeld(map, classes);
  const coming = nextOf(classes, isRecorded);
  return (
    <div className={styles.next}>
      <Box title={athlete ? say.notReachedWholeGroup : 'Not reached'} none={say.lastClassReachedEverything}>
        {next.carried.map((one) => (
          <li key={one.exchange}>
            <b>{one.move}</b>
            <span className="soft">
              {one.position}
              {answers(one.answers)}, planned for {dayOf(one.date)}
            </span>
          </li>
        ))}
      </Box>
      <Box title={athlete ? say.fixFirstWholeGroup : 'Fix first'} none={say.noFaultsCountedLately}>
        {next.faults.map(({ of, id, name, fault, counts, total, falsePositive }) => (
          <li key={`${of} ${id} ${fault}`}>
            <b>
              {falsePositive && 'Fake success: '}
              {fault}
            </b>
            <span className="soft">
              <Link to={`${mapAddress(map.id)}?sel=${of}.${id}`}>{name}</Link>,{' '}
              {counts.slice(-4).reduce((sum, count) => sum + count, 0)} times in four weeks, {total} in all
            </span>
          </li>
        ))}
      </Box>
      <Box title="Fading" none="Nothing is fading.">
        {next.fading.map((one) => (
          <li key={one.exchange}>
            <b>{one.move}</b>
            <span className="soft">
              {percent(one.retention)} still fresh{answers(one.answers)}, last on {dayOf(one.last)}
            </span>
          </li>
        ))}
      </Box>
      <Box title="Needs tries" none={say.nobodyTriedAnythingAgainst2}>
        {next.thin.map((one) => (
          <li key={one.exchange.id}>
            <b>{lineOf(one)}</b>
            <span className="soft">
              {percent(one.blend.low)} to {percent(one.blend.high)}; {one.more} more tries until it is known
              to within 10 %
            </span>
          </li>
        ))}
      </Box>
      <p className={styles.onwards}>
        {coming ? (
          <Link className="btn btn-now" to={`${termAddress}?class=${coming.id}`}>
            <ArrowRight size={16} aria-hidden /> Plan “{coming.name}” on {dayOf(coming.when.date)} from this
          </Link>
        ) : (
          <Link className="btn btn-now" to={termAddress}>
            <ArrowRight size={16} aria-hidden /> Plan a term from this
          </Link>
        )}
        <Link className="btn btn-plain" to={classAddress()}>
          or a single class
        </Link>
      </p>
    </div>
  );
}

const dayOf = (date: string): string => format(parseISO(date), 'd MMMM');
const answers = (count: number): string => (count > 1 ? `, ${count} answers` : '');

function Box({ title, none, children }: { title: string; none: string; children: ReactNode[] }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      {children.length > 0 ? <ol className="list-unstyled">{children}</ol> : <p className="soft">{none}</p>}
    </section>
  );
}
