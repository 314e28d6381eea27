import { usualPeople } from '@aftersquall/core/log';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { Explained } from '../../components/Explained.tsx';
import { useListDocumentsQuery } from '../../store/api.ts';
import { byDay, headOf, isDated, nextOf } from '../../store/classHead.ts';
import { selectMap } from '../../store/openMap.ts';
import { useHeld } from '../../store/records/useHeld.ts';
import { useAppSelector } from '../../store/store.ts';
import { questionOf } from '../../workers/questionOf.ts';
import { NextClass } from './NextClass.tsx';
import { ProposedClasses } from './ProposedClasses.tsx';
import { ThisMonth } from './ThisMonth.tsx';
import { ToFinish } from './ToFinish.tsx';
import styles from './tonight.module.scss';
import { say } from './words.ts';

/** The first page: the class that is next, what last time left, and the one thing to work on. */
export function TonightPlace() {
  const map = useAppSelector(selectMap)!;
  const { apparel, rules, level } = useAppSelector(({ settings }) => settings);
  const { data } = useListDocumentsQuery({ params: { kind: 'class' } });
  const classes = useMemo(
    () =>
      data
        ?.map(headOf)
        .filter((plan) => plan.map === map.id)
        .sort(byDay),
    [data, map.id],
  );
  const { practice, isRecorded } = useHeld(map, classes ?? NO_CLASSES);
  const { options } = useMemo(
    () => questionOf(map, { apparel, level, ...(rules && { rules }) }),
    [map, apparel, rules, level],
  );
  const next = classes && nextOf(classes.filter(isDated), isRecorded);
  const usual = practice && usualPeople(practice.sessions);
  return (
    <>
      <title>Tonight</title>
      <header className="place-bar">
        <h1>Tonight</h1>
        <span className="soft">{format(new Date(), 'EEEE d MMMM')}</span>
      </header>
      {map.positions.length > 0 && <Explained term="tonight" />}
      <div className={styles.tonight}>
        {map.positions.length === 0 ? (
          <section aria-label="Start here">
            <h2>Start here</h2>
            <p>{say.emptyMap}</p>
            <Link className="btn btn-now" to={mapAddress(map.id)}>
              Write the first position
            </Link>
          </section>
        ) : (
          <>
            {next ? (
              <NextClass map={map} plan={next} usual={usual} />
            ) : (
              classes && <ProposedClasses map={map} classes={classes} practice={practice} usual={usual} />
            )}
            <div className={styles.beneath}>
              {practice && practice.sessions.length > 0 && <ToFinish map={map} practice={practice} />}
              {options && <ThisMonth map={map} options={options} />}
            </div>
          </>
        )}
      </div>
    </>
  );
}

const NO_CLASSES: never[] = [];
