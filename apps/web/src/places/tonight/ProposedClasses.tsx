import { beginFrom, mapOn, type UsualPeople } from '@aftersquall/core/log';
import type { GuardMap, Practice } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { classAddress } from '../../components/addresses.ts';
import { Proposals } from '../../components/proposals/Proposals.tsx';
import { useProposals } from '../../components/proposals/useProposals.ts';
import { type ClassHead } from '../../store/classHead.ts';
import { today } from '../../store/records/newRecord.ts';
import { pastOf, useHeld } from '../../store/records/useHeld.ts';
import { useAppSelector } from '../../store/store.ts';
import { useMakeClass } from '../../workers/useMakeClass.ts';
import { say } from './words.ts';

const MOST_PROPOSALS = 3;

interface Props {
  map: GuardMap;
  classes: readonly ClassHead[];
  practice: Practice | undefined;
  usual: UsualPeople | undefined;
}

/** Three classes to choose from where none is planned. */
export function ProposedClasses({ map, classes, practice, usual }: Props) {
  const navigate = useNavigate();
  const goal = useAppSelector((state) => state.classGoal);
  const { apparel, rules } = useAppSelector(({ settings }) => settings);
  const { held } = useHeld(map, classes);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const beginning = useMemo(
    () =>
      practice && practice.sessions.length > 0
        ? beginFrom(map, practice, { date: today(), days: held(pastOf(classes)) })
        : undefined,
    [map, practice, held, classes],
  );
  const asked = {
    minutes: Number(goal.minutes) || 60,
    people: usual?.count ?? (Number(goal.people) || 14),
    apparel,
    level: goal.level,
    youth: goal.youth,
    rules: SHIPPED_PROFILES.find(({ id }) => id === rules),
    method: goal.method,
    sides: goal.sides,
    figures: goal.figures,
    ...(goal.fromLog && beginning),
  };
  const figured = useMemo(
    () => (goal.figures && practice ? mapOn(map, practice, goal.figures) : map),
    [map, practice, goal.figures],
  );
  const last = pastOf(classes).findLast(({ lesson }) => lesson);
  const proposals = useProposals(figured, asked, {
    last: last?.lesson && { name: last.name, root: last.lesson.root },
    without: [],
    most: MOST_PROPOSALS,
  });
  const makeClass = useMakeClass(map, practice);
  const take = async (root: string) => {
    setBusy(true);
    const made = await makeClass({ ...asked, root });
    setBusy(false);
    if ('trouble' in made) setTrouble(made.trouble);
    else navigate(classAddress(made.id));
  };
  if (proposals?.length === 0) return <p>{say.nothingToTeach}</p>;
  return (
    <section aria-label="The next class">
      <h2>The next class</h2>
      <p>{say.noClass}</p>
      <Proposals
        map={map}
        proposals={proposals}
        planned={undefined}
        most={MOST_PROPOSALS}
        busy={busy}
        onTake={({ root }) => void take(root)}
      />
      {trouble && <p className="hazard">{trouble}</p>}
      <Link to={classAddress()}>Plan another class</Link>
    </section>
  );
}
