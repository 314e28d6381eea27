import type { Club } from '@aftersquall/core/model';
import { clock } from '../../components/clock.ts';
import { NewAthlete } from '../../components/NewAthlete.tsx';
import { useClub } from '../../store/useClub.ts';
import styles from './controls.module.scss';
import type { Run } from './useRun.ts';
import { say } from './words.ts';

/** Those of the club who are here, at a tap each; before the class begins it is reckoned for as many. */
export function WhoIsHere({ run }: { run: Run }) {
  const { club, change } = useClub();
  const { here } = run;
  if (!club)
    return (
      <p className={styles.jump}>The club list does not load. The class is planned for {run.plan.people}.</p>
    );
  const odd = !run.begun && here.length > 1 && run.plan.people % 2 === 1;
  const isHere = (id: string) => here.some((one) => one.id === id);
  return (
    <div className={`${styles.jump} ${styles.here}`} role="group" aria-label="Who is here">
      <b>
        {here.length === 0
          ? say.nobodyTickedYetClass(run.plan.people)
          : `${here.length} are here${run.begun ? '' : `, ${clock(run.total)} for them`}.`}
        {odd &&
          (run.plan.people === 3
            ? ' Each of the three takes a turn.'
            : ' One group of three: two work, the third counts faults.')}
      </b>
      {odd && (
        <button type="button" className={styles.whole} onClick={run.workIn}>
          No group of three: the coach joins in
        </button>
      )}
      {club.groups.map(({ id, name, athletes }) => (
        <button
          key={id}
          type="button"
          className={styles.whole}
          onClick={() => run.setHere(peopleOf(club, athletes), true)}
        >
          All of {name}
        </button>
      ))}
      {club.athletes.map(({ id, alias }) => (
        <button
          key={id}
          type="button"
          aria-pressed={isHere(id)}
          className={isHere(id) ? styles.on : ''}
          onClick={() => run.setHere([{ id, alias }], !isHere(id))}
        >
          {alias}
        </button>
      ))}
      <div className={styles.whole}>
        <NewAthlete
          club={club}
          onChange={change}
          onAdded={({ id, alias }) => run.setHere([{ id, alias }], true)}
        />
      </div>
    </div>
  );
}

const peopleOf = ({ athletes }: Club, ids: readonly string[]): { id: string; alias: string }[] =>
  athletes.filter(({ id }) => ids.includes(id)).map(({ id, alias }) => ({ id, alias }));
