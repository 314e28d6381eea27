import { joinWords } from '@aftersquall/core/body';
import { type UsualPeople } from '@aftersquall/core/log';
import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { format, isToday, isTomorrow, parseISO } from 'date-fns';
import { Pencil, Play, Printer } from 'lucide-react';
import { Link } from 'react-router';
import { classAddress, matAddress } from '../../components/addresses.ts';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import type { DatedClass } from '../../store/classHead.ts';
import styles from './tonight.module.scss';
import { say } from './words.ts';

const MOVES_NAMED = 3;

/** From this hour on, today's class is tonight's. */
const EVENING = '17:00';

const dayWords = (date: string, start: string): string => {
  const day = parseISO(date);
  if (isToday(day)) return start >= EVENING ? 'Tonight' : 'Today';
  return isTomorrow(day) ? 'Tomorrow' : format(day, 'EEEE d MMMM');
};

interface Props {
  map: GuardMap;
  plan: DatedClass;
  usual: UsualPeople | undefined;
}

/** The class that is next: where it starts, what it teaches, for whom, and what one does with it now. */
export function NextClass({ map, plan, usual }: Props) {
  const { id, name, when, minutes, people, apparel, lesson } = plan;
  const root = lesson && indexMap(map).position.get(lesson.root);
  const names = [...new Set(lesson?.steps.map((step) => step.name))].slice(0, MOVES_NAMED);
  return (
    <section className={styles.class} aria-label="The next class">
      <p className={styles.when}>
        {dayWords(when.date, when.start)}, {when.start}
      </p>
      <h2>{name}</h2>
      <div className={styles.about}>
        {root && <PositionPicture position={root} width={300} />}
        <div>
          {names.length > 0 && (
            <p className={styles.aim}>{say.teaches(joinWords(names.map((one) => `“${one}”`)))}</p>
          )}
          <p>
            {minutes} minutes, {apparel}. {say.people(people, usual?.count)}
          </p>
          {usual && usual.aliases.length > 0 && (
            <p className="soft">Usually here: {joinWords(usual.aliases)}.</p>
          )}
          <p className={styles.links}>
            <Link className="btn btn-now" to={matAddress(id)}>
              <Play size={17} aria-hidden /> Run
            </Link>
            <Link className="btn btn-plain" to={`${classAddress(id)}?print=sheet`}>
              <Printer size={17} aria-hidden /> Print
            </Link>
            <Link className="btn btn-plain" to={classAddress(id)}>
              <Pencil size={17} aria-hidden /> Change
            </Link>
          </p>
        </div>
      </div>
    </section>
  );
}
