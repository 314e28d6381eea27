import { type Command, type Issue } from '@aftersquall/core/documents';
import { type Club, emptyClub } from '@aftersquall/core/model';
import { useEffect } from 'react';
import { useListDocumentsQuery } from './api.ts';
import { createFresh } from './documents/createFresh.ts';
import { changeDocument } from './documents/engine.ts';
import { useDocument } from './documents/useDocument.ts';
import { useAppDispatch } from './store.ts';

/** The club, where there is one. */
export function useKnownClub(): Club | undefined {
  const { data: clubs } = useListDocumentsQuery({ params: { kind: 'club' } });
  return useDocument('club', clubs?.[0]?.id)?.shown;
}

/** The club, with what changes it; one is begun where there is none yet. */
export function useClub(): {
  club: Club | undefined;
  change: (command: Command, announce?: string) => Issue[];
} {
  const dispatch = useAppDispatch();
  const { data: clubs } = useListDocumentsQuery({ params: { kind: 'club' } });
  const none = clubs?.length === 0;
  useEffect(() => {
    if (none) void dispatch(createFresh('club', emptyClub('club', 'Our club')));
  }, [dispatch, none]);
  const club = useKnownClub();
  return {
    club,
    change: (command, announce) =>
      club
        ? dispatch(changeDocument({ kind: 'club', id: club.id }, command, announce ? { announce } : {}))
        : [],
  };
}
