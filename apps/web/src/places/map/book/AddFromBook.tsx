import { type GuardBook, pickSystems, takeBook } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { useMemo, useState } from 'react';
import { BookSystems } from '../../../components/book/BookSystems.tsx';
import { say } from '../words.ts';
import { TakeDialog } from './TakeDialog.tsx';

/** Guard systems of the shipped book into this map: what they share with it is joined, and what comes is said before. */
export function AddFromBook({ map, onHide }: { map: GuardMap; onHide: () => void }) {
  const [chosen, setChosen] = useState<{ ids: ReadonlySet<string>; book?: GuardBook }>({ ids: new Set() });
  const { ids, book } = chosen;
  const taken = useMemo(
    () => (book && ids.size > 0 ? takeBook(map, pickSystems(book, [...ids], map)) : undefined),
    [map, book, ids],
  );
  const issues = taken?.issues ?? [];
  return (
    <TakeDialog
      title={say.addBook2}
      taken={issues.length === 0 ? taken : undefined}
      words={{ take: 'Add', leave: 'Cancel' }}
      announce={say.addedBook}
      onHide={onHide}
    >
      <BookSystems chosen={ids} onChange={(next, read) => setChosen({ ids: next, book: read })} />
      {issues.map(({ at, message }) => (
        <p key={`${at} ${message}`} className="hazard mb-1">
          {message} (in the {at})
        </p>
      ))}
    </TakeDialog>
  );
}
