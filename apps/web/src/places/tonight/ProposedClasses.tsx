import type { UsualPeople } from '@aftersquall/core/log';
import type { GuardMap } from '@aftersquall/core/model';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { classAddress } from '../../components/addresses.ts';
import { Proposals } from '../../components/proposals/Proposals.tsx';
import { useProposals } from '../../components/proposals/useProposals.ts';
import type { Begun } from '../../store/records/useBeginning.ts';
import { useAppSelector } from '../../store/store.ts';
import { useAskedLesson } from '../../store/useAskedLesson.ts';
import { useMakeClass } from '../../workers/useMakeClass.ts';
import { say } from './words.ts';

const MOST_PROPOSALS = 3;
const USUAL_MINUTES = 60;
const USUAL_PEOPLE = 14;

interface Props {
  map: GuardMap;
  begun: Begun;
  usual: UsualPeople | undefined;
}

/** Three classes to choose from where none is planned. */
export function ProposedClasses({ map, begun: { practice, beginning, last }, usual }: Props) {
  const navigate = useNavigate();
  const goal = useAppSelector((state) => state.classGoal);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const { askedFor, figured } = useAskedLesson(map, practice, beginning);
  const asked = askedFor({
    minutes: Number(goal.minutes) || USUAL_MINUTES,
    people: usual?.count ?? (Number(goal.people) || USUAL_PEOPLE),
  });
  const proposals = useProposals(figured, asked, { last, without: [], most: MOST_PROPOSALS });
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
