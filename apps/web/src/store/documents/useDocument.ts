import type { DocumentAddress } from '@aftersquall/core/contract';
import type { DocumentKindName } from '@aftersquall/core/documents';
import { useEffect } from 'react';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { editDocument, selectSession } from './documentsSlice.ts';
import { openDocument } from './engine.ts';

/** Opens a document and follows it. Undefined until there is anything to say of it. */
export function useDocument<K extends DocumentKindName>(kind: K, id: string | undefined) {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (id !== undefined) void dispatch(openDocument({ kind, id }));
  }, [dispatch, kind, id]);
  return useAppSelector(selectSession(kind, id));
}

/** Says which document undo and redo are about while a screen is shown. */
export function useEditedDocument(kind: DocumentKindName, id: string | undefined): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const address: DocumentAddress | undefined = id === undefined ? undefined : { kind, id };
    dispatch(editDocument(address));
    return () => {
      dispatch(editDocument(undefined));
    };
  }, [dispatch, kind, id]);
}
