import type { GuardBook } from '@aftersquall/core/formats';
import { useEffect, useState } from 'react';
import { shippedBook } from '../../store/shippedBook.ts';
import { LimbGlyph } from '../LimbGlyph.tsx';
import { say } from '../words.ts';
import styles from './book.module.scss';
import { systemFacts } from './systemFacts.ts';

interface Props {
  chosen: ReadonlySet<string>;
  onChange: (chosen: ReadonlySet<string>, book: GuardBook) => void;
}

/** The guard systems of the shipped book, to be ticked: what each is for, how big, for whom, in which apparel. */
export function BookSystems({ chosen, onChange }: Props) {
  const [book, setBook] = useState<GuardBook>();
  useEffect(() => {
    let current = true;
    void shippedBook().then((read) => current && setBook(read));
    return () => {
      current = false;
    };
  }, []);
  if (!book) return null;
  const flip = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    onChange(next, book);
  };
  return (
    <div role="group" aria-label={say.guardSystemsBook} className={styles.systems}>
      {systemFacts(book).map(({ system, first, context, positions, answers, level, wear }) => (
        <label key={system.id} className={chosen.has(system.id) ? styles.ticked : ''}>
          <input
            type="checkbox"
            className="form-check-input"
            aria-label={`${system.name}, ${positions} positions, ${level}, ${wear}`}
            checked={chosen.has(system.id)}
            onChange={() => flip(system.id)}
          />
          {first && <LimbGlyph holds={first.holds} context={context} width={54} />}
          <span>
            <b>{system.name}</b>
            <small className="soft d-block">
              {positions} positions, {answers} answers · {level} · {wear}
            </small>
          </span>
        </label>
      ))}
    </div>
  );
}
