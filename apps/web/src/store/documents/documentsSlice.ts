import { addressKey, type DocumentAddress } from '@aftersquall/core/contract';
import { type AnyDocument, type DocumentKindName, type DocumentOf } from '@aftersquall/core/documents';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { RootState } from '../store.ts';
import { type OpenDocument, type Session, viewOf } from './session.ts';

interface Documents {
  /** Every document that was opened on this screen, by its address. */
  sessions: Record<string, Session>;
  /** The document that undo and redo are about: the one that the screen edits. */
  edited?: DocumentAddress | undefined;
}

const slice = createSlice({
  name: 'documents',
  initialState: { sessions: {} } as Documents,
  reducers: {
    sessionChanged: (documents, { payload }: PayloadAction<Session>) => ({
      ...documents,
      sessions: { ...documents.sessions, [addressKey(payload.address)]: payload },
    }),
    /** Forgets a document that is not there any more. */
    closeDocument: (documents, { payload }: PayloadAction<DocumentAddress>) => {
      const { [addressKey(payload)]: _, ...sessions } = documents.sessions;
      return { ...documents, sessions };
    },
    editDocument: (documents, { payload }: PayloadAction<DocumentAddress | undefined>) => ({
      ...documents,
      edited: payload,
    }),
  },
});

export const documents = slice.reducer;
export const { sessionChanged, closeDocument, editDocument } = slice.actions;

export const selectSession =
  <K extends DocumentKindName>(kind: K, id: string | undefined) =>
  (state: RootState): OpenDocument<DocumentOf<K> & AnyDocument> | undefined => {
    const session = id === undefined ? undefined : state.documents.sessions[addressKey({ kind, id })];
    return session && (viewOf(session) as OpenDocument<never>);
  };

/** The session of the document that the screen edits. */
export const selectEdited = ({ documents }: RootState): OpenDocument | undefined => {
  const session = documents.edited && documents.sessions[addressKey(documents.edited)];
  return session && viewOf(session);
};

/** A document of which a change needs an answer, wherever one is at the moment. */
export const selectAsking = ({ documents }: RootState): OpenDocument | undefined =>
  Object.values(documents.sessions)
    .map((session) => viewOf(session))
    .find(({ conflict }) => conflict !== undefined);
