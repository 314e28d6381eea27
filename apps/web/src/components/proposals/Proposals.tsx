import { joinWords } from '@aftersquall/core/body';
import { type Proposal } from '@aftersquall/core/lesson';
import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { format, parseISO } from 'date-fns';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { DatedClass } from '../../store/classHead.ts';
import { classAddress } from '../addresses.ts';
import { PositionPicture } from '../PositionPicture.tsx';
import { say } from '../words.ts';
import styles from './proposals.module.scss';

const FROM_WORDS = {
  log: say.whatLogAsks,
  before: say.whereLeftOff,
  map: say.whatMapAsks,
} satisfies Record<Proposal['from'], string>;

interface Props {
  map: GuardMap;
  /** Nothing yet while they are being worked out. */
  proposals: readonly Proposal[] | undefined;
  /** The next class of the term, made already. */
  planned: DatedClass | undefined;
  /** So many places are kept while they are being worked out. */
  most: number;
  busy: boolean;
  onTake: (proposal: Proposal) => void;
}

/** The classes that could be next, each one tap away. */
export function Proposals({ map, proposals, planned, most, busy, onTake }: Props) {
  const { position } = indexMap(map);
  const root = planned?.lesson && position.get(planned.lesson.root);
  return (
    <ul className={styles.proposals} aria-label="Proposed classes" aria-busy={!proposals}>
      {planned && (
        <Card
          title={planned.name}
          from={say.nextTerm}
          picture={root && <PositionPicture position={root} width={250} />}
          aim={
            planned.lesson && `It teaches ${joinWords(planned.lesson.steps.map(({ name }) => `“${name}”`))}.`
          }
          why={`Planned for ${format(parseISO(planned.when.date), 'EEEE d MMMM')}, ${planned.when.start}.`}
        >
          <Link className="btn btn-plain" to={classAddress(planned.id)}>
            Open the class
          </Link>
        </Card>
      )}
      {proposals?.map((proposal) => {
        const start = position.get(proposal.root);
        return (
          <Card
            key={proposal.root}
            title={proposal.name}
            from={FROM_WORDS[proposal.from]}
            picture={start && <PositionPicture position={start} width={250} />}
            aim={`By the end: ${proposal.aim}.`}
            why={proposal.why}
          >
            <button
              type="button"
              className="btn btn-now"
              disabled={busy}
              aria-label={`Make this class: ${proposal.name}`}
              onClick={() => onTake(proposal)}
            >
              Make this class
            </button>
          </Card>
        );
      })}
      {!proposals &&
        Array.from({ length: most }, (_, i) => (
          <li key={`waiting ${i + 1}`} className={styles.waiting}>
            Choosing…
          </li>
        ))}
    </ul>
  );
}

interface CardProps {
  title: string;
  from: string;
  picture: ReactNode;
  aim: string | undefined;
  why: string;
  children: ReactNode;
}

function Card({ title, from, picture, aim, why, children }: CardProps) {
  return (
    <li aria-label={title}>
      <span className="soft small">{from}</span>
      <h3>{title}</h3>
      {picture}
      {aim && <p>{aim}</p>}
      <p className="soft">{why}</p>
      {children}
    </li>
  );
}
