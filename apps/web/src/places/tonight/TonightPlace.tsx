import { usualPeople } from '@aftersquall/core/log';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { Explained } from '../../components/Explained.tsx';
import { type ClassHead, isDated, nextOf } from '../../store/classHead.ts';
import { selectMap } from '../../store/openMap.ts';
import { useBeginning } from '../../store/records/useBeginning.ts';
import { useAppSelector } from '../../store/store.ts';
import { useClasses } from '../../store/useClasses.ts';
import { useMapQuestion } from '../../workers/useMapWeighing.ts';
import { NextClass } from './NextClass.tsx';
import { ProposedClasses } from './ProposedClasses.tsx';
import { ThisMonth } from './ThisMonth.tsx';
import { ToFinish } from './ToFinish.tsx';
import styles from './tonight.module.scss';
import { say } from './words.ts';

const NO_CLASSES: ClassHead[] = [];

/** The first page: the class that is next, what last time left, and the one thing to work on. */
export function TonightPlace() {
  const map = useAppSelector(selectMap)!;
  const classes = useClasses(map.id);
  const begun = useBeginning(map, classes ?? NO_CLASSES);
  const { practice, isRecorded } = begun;
  const { options } = useMapQuestion(map);
  const next = classes && nextOf(classes.filter(isDated), isRecorded);
  const usual = practice && usualPeople(practice.sessions);
  const isEmpty = map.positions.length === 0;
  return (
    <>
      <title>Tonight</title>
      <header className="place-bar">
        <h1>Tonight</h1>
        <span className="soft">{format(new Date(), 'EEEE d MMMM')}</span>
      </header>
      {!isEmpty && <Explained term="tonight" />}
      <div className={styles.tonight}>
        {isEmpty && (
          <section aria-label="Start here">
            <h2>Start here</h2>
            <p>{say.emptyMap}</p>
            <Link className="btn btn-now" to={mapAddress(map.id)}>
              Write the first position
            </Link>
          </section>
        )}
        {!isEmpty && next && <NextClass map={map} plan={next} usual={usual} />}
        {!isEmpty && classes && !next && <ProposedClasses map={map} begun={begun} usual={usual} />}
        {!isEmpty && (
          <div className={styles.beneath}>
            {practice && practice.sessions.length > 0 && <ToFinish map={map} practice={practice} />}
            {options && <ThisMonth map={map} options={options} />}
          </div>
        )}
      </div>
    </>
  );
}
