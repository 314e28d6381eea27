import { type DocumentKindName, type DocumentOf } from '@aftersquall/core/documents';
import { freshId } from '@aftersquall/core/model';
import { api, type Refusal, refusalOf } from '../api.ts';
import type { AppThunk } from '../store.ts';

/** So many ids are tried before the refusal is believed. */
const MAX_ID_TRIES = 20;

/**
 * Keeps a new document on the server under the id it brings, or one made of that where it is taken. Those known to be
 * taken are passed over at once; of documents that were removed and still have their id only the server knows.
 */
export const createFresh =
  (
    kind: DocumentKindName,
    document: DocumentOf<DocumentKindName>,
    taken: readonly string[] = [],
  ): AppThunk<Promise<{ id: string; refusal?: undefined } | { refusal: Refusal }>> =>
  async (dispatch) => {
    const passed = new Set(taken);
    for (let left = MAX_ID_TRIES; ; left--) {
      const id = passed.has(document.id) ? freshId(document.id, passed) : document.id;
      const { data, error } = await dispatch(
        api.endpoints.createDocument.initiate({ params: { kind }, body: { ...document, id } }),
      );
      if (data) return { id: data.id };
      const refusal = refusalOf(error);
      if (refusal.status !== 409 || left === 0) return { refusal };
      passed.add(id);
    }
  };
