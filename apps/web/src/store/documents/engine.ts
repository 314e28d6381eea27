import {
  addressKey,
  type ChangeEvent,
  type Command,
  type DocumentAddress,
  type Field,
  fieldsOfChange,
  type Issue,
  type MadeChange,
  overlap,
} from '@aftersquall/core';
import { api, refusalOf } from '../api.ts';
import { notify } from '../notices.ts';
import type { AppThunk } from '../store.ts';
import { sessionChanged } from './documentsSlice.ts';
import type { LiveEvent } from './liveEvents.ts';
import type { Outbox } from './outbox.ts';
import {
  makeChange,
  markKept,
  newSession,
  openSession,
  raiseConflict,
  receiveChange,
  reversible,
  type Session,
  settleConflict,
  type Waiting,
} from './session.ts';

/** What the engine stands on; the application has one, every test makes one. */
export interface Engine {
  outbox: Outbox;
  newKey: () => string;
  /** Documents whose waiting changes are being sent, by address. */
  sending: Set<string>;
  /** What will try again, by address. */
  retries: Map<string, ReturnType<typeof setTimeout>>;
}

/** Tried again so long after the server could not be reached, ms; sooner when it is heard of by itself. */
const AGAIN = 3000;

const sessionOf = (state: { documents: { sessions: Record<string, Session> } }, address: DocumentAddress) =>
  state.documents.sessions[addressKey(address)];

/** Opens a document, with what still waits for it on this device. Open already: nothing happens. */
export const openDocument =
  (address: DocumentAddress): AppThunk<Promise<void>> =>
  async (dispatch, getState, { outbox }) => {
    const known = sessionOf(getState(), address);
    if (known && known.state !== 'missing') return;
    dispatch(sessionChanged(newSession(address)));
    const [{ data, error }, waiting] = await Promise.all([
      dispatch(
        api.endpoints.getDocument.initiate({ params: address }, { forceRefetch: true, subscribe: false }),
      ),
      outbox.list(address),
    ]);
    const session = sessionOf(getState(), address)!;
    if (!data) {
      const { status, message } = refusalOf(error);
      dispatch(
        sessionChanged({ ...session, state: 'missing', online: status !== 'FETCH_ERROR', trouble: message }),
      );
      return;
    }
    dispatch(
      sessionChanged(openSession(session, data, await dispatch(sinceThen(address, waiting, data.revision)))),
    );
    void dispatch(send(address));
  };

/** What waited on the device, asking about what others changed in the meantime; what has arrived after all is dropped. */
const sinceThen =
  (address: DocumentAddress, waiting: Waiting[], revision: number): AppThunk<Promise<Waiting[]>> =>
  async (dispatch, _, { outbox }) => {
    if (waiting.length === 0) return waiting;
    const oldest = Math.min(...waiting.map(({ base }) => base));
    const made = await dispatch(changesAfter(address, oldest, revision));
    const arrived = new Set(made.map(({ key }) => key));
    for (const key of arrived) if (waiting.some((change) => change.key === key)) void outbox.remove(key);
    const own = new Set(waiting.map(({ key }) => key));
    // Where the line broke meanwhile, what came after that is not known.
    const heard = made.at(-1)?.revision ?? oldest;
    return waiting
      .filter(({ key }) => !arrived.has(key))
      .map((change) => {
        const theirs = made.filter((other) => other.revision > change.base && !own.has(other.key));
        const meets = overlap(change.fields, theirs.flatMap(fieldsOfChange)).length > 0;
        // Sent with the revision it was made for, the server says where it meets others.
        return meets ? change : { ...change, base: Math.max(change.base, heard) };
      });
  };

/** All changes after a revision, up to another one. */
const changesAfter =
  (address: DocumentAddress, after: number, upTo: number): AppThunk<Promise<MadeChange[]>> =>
  async (dispatch) => {
    const all: MadeChange[] = [];
    let last = after;
    while (last < upTo) {
      const { data } = await dispatch(
        api.endpoints.listChanges.initiate(
          { params: address, query: { after: last } },
          { forceRefetch: true, subscribe: false },
        ),
      );
      if (!data || data.length === 0) break;
      all.push(...data);
      last = data.at(-1)!.revision;
    }
    return all;
  };

interface How {
  /** Says what was done, with the offer to take just that back. */
  announce?: string;
}

/**
 * Makes a change: at once on screen, kept on the device, then on the server in order. Returns what is wrong with it,
 * in which case nothing has changed.
 */
export const changeDocument =
  (address: DocumentAddress, command: Command, { announce }: How = {}): AppThunk<Issue[]> =>
  (dispatch, getState, { newKey }) => {
    const session = sessionOf(getState(), address);
    if (!session) return [{ path: [], message: 'The document is not open.' }];
    const key = newKey();
    const who = getState().settings.coach;
    const { session: next, made, issues } = makeChange(session, command, { key, who });
    if (made) dispatch(keepAndSend(next));
    if (made && announce) dispatch(notify({ text: announce, undo: { address, key } }));
    return issues;
  };

/** Takes back the last change of this screen, or the one with the key. */
export const undoChange =
  (address: DocumentAddress, key?: string): AppThunk =>
  (dispatch, getState, { newKey }) => {
    const session = sessionOf(getState(), address);
    const entry = reversible(session, key);
    if (!session || !entry) return;
    const without = { ...session, undo: session.undo.filter((other) => other !== entry) };
    const who = getState().settings.coach;
    const { session: next, issues } = makeChange(without, entry.inverse, {
      key: newKey(),
      who,
      making: 'undo',
    });
    dispatch(keepAndSend(next));
    if (issues.length > 0)
      dispatch(notify({ text: `“${entry.what}” cannot be taken back: ${issues[0]!.message}.` }));
  };

/** Makes again what was taken back last. */
export const redoChange =
  (address: DocumentAddress): AppThunk =>
  (dispatch, getState, { newKey }) => {
    const session = sessionOf(getState(), address);
    const entry = session?.redo.at(-1);
    if (!session || !entry) return;
    const without = { ...session, redo: session.redo.slice(0, -1) };
    const who = getState().settings.coach;
    const { session: next, issues } = makeChange(without, entry.inverse, {
      key: newKey(),
      who,
      making: 'redo',
    });
    dispatch(keepAndSend(next));
    if (issues.length > 0)
      dispatch(notify({ text: `“${entry.what}” cannot be made again: ${issues[0]!.message}.` }));
  };

/** Shows a session whose last waiting change is new, keeps that change on the device and sends what waits. */
const keepAndSend =
  (session: Session): AppThunk =>
  (dispatch) => {
    dispatch(sessionChanged(session));
    const last = session.waiting.at(-1);
    if (last) void dispatch(keep(session.address, last));
    void dispatch(send(session.address));
  };

/** Keeps a waiting change on the device, and says so once it is on disk. */
const keep =
  (address: DocumentAddress, change: Waiting): AppThunk<Promise<void>> =>
  async (dispatch, getState, { outbox }) => {
    try {
      await outbox.put(address, change);
    } catch {
      // No room, or no store at all: the screen goes on saying that the page has to stay open.
      return;
    }
    const session = sessionOf(getState(), address);
    if (session) dispatch(sessionChanged(markKept(session, change.key)));
  };

/** Ends a conflict: of the fields named, theirs stands. */
export const settle =
  (address: DocumentAddress, theirs: readonly Field[]): AppThunk =>
  (dispatch, getState, { outbox }) => {
    const session = sessionOf(getState(), address);
    if (!session?.conflict) return;
    const next = settleConflict(session, theirs);
    for (const change of session.waiting) {
      const kept = next.waiting.find(({ key }) => key === change.key);
      if (kept !== change) void (kept ? dispatch(keep(address, kept)) : outbox.remove(change.key));
    }
    dispatch(sessionChanged(next));
    void dispatch(send(address));
  };

/** Sends what waits, one change after the other; stops where the server cannot be reached or a change needs an answer. */
export const send =
  (address: DocumentAddress): AppThunk<Promise<void>> =>
  async (dispatch, getState, { sending, retries }) => {
    const key = addressKey(address);
    if (sending.has(key)) return;
    clearTimeout(retries.get(key));
    sending.add(key);
    try {
      while (await dispatch(sendNext(address)));
    } finally {
      sending.delete(key);
    }
    const session = sessionOf(getState(), address);
    if (session && !session.online)
      retries.set(
        key,
        setTimeout(() => void dispatch(send(address)), AGAIN),
      );
  };

/** Sends the first waiting change. Whether there may be more to send. */
const sendNext =
  (address: DocumentAddress): AppThunk<Promise<boolean>> =>
  async (dispatch, getState, { outbox }) => {
    const session = sessionOf(getState(), address);
    const [change] = session?.waiting ?? [];
    if (!session || !change || session.conflict || session.state !== 'ready') return false;
    const { key, commands, base, who } = change;
    const { data, error } = await dispatch(
      api.endpoints.changeDocument.initiate({ params: address, body: { base, key, commands, who } }),
    );
    if (data) {
      void outbox.remove(key);
      await dispatch(follow(address, data.revision));
      // The server has it, and this screen did not learn of it: they have lost each other.
      if (sessionOf(getState(), address)!.waiting[0]?.key === key) await dispatch(reload(address, key));
      return sessionOf(getState(), address)!.waiting[0]?.key !== key;
    }
    const refusal = refusalOf(error);
    if (refusal.status === 409 || refusal.status === 400) {
      await dispatch(follow(address));
      const now = { ...sessionOf(getState(), address)!, online: true };
      dispatch(sessionChanged(now));
      const still = now.waiting[0]?.key === key && !now.conflict;
      // What was learned of others' changes meets nothing here: then it is made on top of them.
      const learned = now.revision > session.revision && refusal.status === 409;
      if (still && !learned)
        dispatch(sessionChanged(raiseConflict(now, key, refusal.overlaps, refusal.issues)));
      return true;
    }
    const now = sessionOf(getState(), address)!;
    const gone = refusal.status === 404;
    const trouble = refusal.message;
    dispatch(
      sessionChanged(gone ? { ...now, state: 'missing', trouble } : { ...now, online: false, trouble }),
    );
    return false;
  };

/** Takes the document anew, with what still waits on top of it. */
const reload =
  (address: DocumentAddress, arrived: string): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { data } = await dispatch(
      api.endpoints.getDocument.initiate({ params: address }, { forceRefetch: true, subscribe: false }),
    );
    const session = sessionOf(getState(), address)!;
    const waiting = session.waiting.filter(({ key }) => key !== arrived);
    if (data) dispatch(sessionChanged(openSession(session, data, waiting)));
  };

/** Takes what the server has made since, up to a revision if one is known; what was heard already is not asked for again. */
const follow =
  (address: DocumentAddress, upTo?: number): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { revision } = sessionOf(getState(), address)!;
    if (upTo !== undefined && revision >= upTo) return;
    for (const made of await dispatch(changesAfter(address, revision, upTo ?? Number.POSITIVE_INFINITY)))
      dispatch(receive(address, made));
  };

/** Takes one change of the server into an open document. */
const receive =
  (address: DocumentAddress, made: MadeChange): AppThunk =>
  (dispatch, getState, { outbox }) => {
    const session = sessionOf(getState(), address);
    if (!session) return;
    const next = receiveChange(session, made);
    if (next === session) return;
    if (session.waiting.some(({ key }) => key === made.key)) void outbox.remove(made.key);
    dispatch(sessionChanged(next));
  };

/** Takes what the server tells by itself. */
export const hear =
  (event: LiveEvent): AppThunk =>
  (dispatch, getState) => {
    if (event.type === 'documents') {
      dispatch(api.util.invalidateTags([{ type: 'Documents', id: event.data.kind }]));
    } else if (event.type === 'change') {
      dispatch(hearChange(event.data));
    } else {
      dispatch(api.util.invalidateTags(['Documents']));
      for (const { address, state, online } of Object.values(getState().documents.sessions)) {
        if (state === 'missing' && !online) void dispatch(openDocument(address));
        if (state === 'ready') void dispatch(follow(address)).then(() => dispatch(send(address)));
      }
    }
  };

const hearChange =
  ({ kind, id, ...made }: ChangeEvent): AppThunk =>
  (dispatch, getState) => {
    const address = { kind, id };
    const session = sessionOf(getState(), address);
    dispatch(api.util.invalidateTags([{ type: 'History', id: addressKey(address) }]));
    if (session?.state !== 'ready') return;
    if (made.revision <= session.revision) return;
    if (made.revision === session.revision + 1) dispatch(receive(address, made));
    else void dispatch(follow(address));
  };
