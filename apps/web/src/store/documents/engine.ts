import { addressKey, type ChangeEvent, type DocumentAddress } from '@aftersquall/core/contract';
import {
  batch,
  type Command,
  changeKey,
  commandOf,
  type Issue,
  type MadeChange,
} from '@aftersquall/core/documents';
import type { Waiting } from '../../device/db.ts';
import type { Device } from '../../device/device.ts';
import { createSender, type Posted, type Sender } from '../../device/sender.ts';
import { api, ask, refusalOf } from '../api.ts';
import { notify } from '../notices.ts';
import type { AppThunk } from '../store.ts';
import { say } from '../words.ts';
import { closeDocument, sessionChanged } from './documentsSlice.ts';
import type { LiveEvent } from './liveEvents.ts';
import {
  type Answer,
  answerConflict,
  bringBack,
  goesOn,
  hearAgain,
  makeChange,
  markKept,
  newSession,
  openSession,
  receiveChange,
  reversible,
  type Session,
  settle,
  takeWaiting,
  viewOf,
  withoutChange,
} from './session.ts';

/** What the engine stands on; the application has one, every test makes one. */
export interface Engine {
  device: Device;
  /** What is new in the key of each change. */
  newKey: () => string;
  /** What sends the waiting changes of each document, by address. */
  senders: Map<string, Sender>;
}

type State = { documents: { sessions: Record<string, Session> } };
const sessionOf = (state: State, address: DocumentAddress): Session | undefined =>
  state.documents.sessions[addressKey(address)];

/**
 * Opens a document: as this device has it, with what waits, at once; then with what came since on the server. Open
 * already: nothing happens.
 */
export const openDocument =
  (address: DocumentAddress): AppThunk<Promise<void>> =>
  async (dispatch, getState, { device }) => {
    const open = sessionOf(getState(), address);
    if (open && open.state !== 'missing') return;
    dispatch(sessionChanged(newSession(address)));
    const [snapshot, waiting] = await Promise.all([
      device.documents.snapshot(address).catch(() => undefined),
      device.documents.waiting(address).catch((): Waiting[] => []),
    ]);
    const session = sessionOf(getState(), address);
    if (!session) return;
    if (snapshot) {
      dispatch(sessionChanged(openSession(session, snapshot, waiting)));
      await dispatch(catchUp(address));
    } else {
      // What waits is known even where the server does not give the document.
      dispatch(sessionChanged({ ...session, waiting }));
      await dispatch(load(address));
    }
    void dispatch(send(address));
  };

/** Takes the document whole from the server, with what waits on top of it. */
const load =
  (address: DocumentAddress): AppThunk<Promise<void>> =>
  async (dispatch, getState, { device }) => {
    const { data, error } = await ask('getDocument', { params: address });
    const session = sessionOf(getState(), address);
    if (!session) return;
    if (!data) return dispatch(lose(address, error));
    dispatch(sessionChanged(openSession(session, data)));
    await device.documents.keepSnapshot(address, data).catch(() => undefined);
    await dispatch(catchUp(address));
  };

/** The server does not give a document: it is gone, or the server is. */
const lose =
  (address: DocumentAddress, error: unknown): AppThunk =>
  (dispatch, getState, { device }) => {
    const session = sessionOf(getState(), address);
    if (!session) return;
    const { status, message } = refusalOf(error);
    const gone = status === 404;
    if (gone) void device.documents.forget(address).catch(() => undefined);
    dispatch(
      sessionChanged({
        ...session,
        // What this device has of it is shown until the server says that there is none.
        state: session.server && !gone ? 'ready' : 'missing',
        online: status !== 'FETCH_ERROR',
        trouble: status === 'FETCH_ERROR' && session.server ? undefined : message,
      }),
    );
  };

/**
 * Takes what the server has made since, page by page; first what was made before a restart and what waits has to be held
 * against. Another document under the same id, or one that is behind this device, is taken whole instead.
 */
const catchUp =
  (address: DocumentAddress): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    for (;;) {
      const session = sessionOf(getState(), address);
      if (session?.state !== 'ready') return;
      const after = session.unheard ?? session.revision;
      const { data, error } = await ask('listChanges', { params: address, query: { after } });
      if (!data) return dispatch(lose(address, error));
      const now = sessionOf(getState(), address);
      if (now?.state !== 'ready') return;
      if (!goesOn(session, data)) return dispatch(load(address));
      const { session: next, arrived } = hearAgain(now, data.changes, after);
      if (next !== now) dispatch(sessionChanged({ ...next, online: true, trouble: undefined }));
      if (arrived.length > 0) await dispatch(confirm(address, [], arrived));
      for (const made of data.changes) dispatch(receive(address, made));
      const end = sessionOf(getState(), address)!;
      const isDone = end.unheard === undefined && end.revision >= data.revision;
      if (isDone || data.changes.length === 0) {
        if (!end.online) dispatch(sessionChanged({ ...end, online: true, trouble: undefined }));
        return;
      }
    }
  };

interface How {
  /** Says what was done, with the offer to undo just that. */
  announce?: string;
}

/**
 * Makes a change: at once on screen, kept on the device, then on the server in order. Returns what is wrong with it,
 * in which case nothing has changed.
 */
export const changeDocument =
  (address: DocumentAddress, command: Command, { announce }: How = {}): AppThunk<Issue[]> =>
  (dispatch, getState, engine) => {
    const session = sessionOf(getState(), address);
    if (!session) return [{ path: [], message: say.documentNotOpen }];
    const key = freshKey(engine);
    const who = getState().settings.coach;
    const { session: next, made, issues } = makeChange(session, command, { key, who });
    if (made) dispatch(keepAndSend(next));
    if (made && announce) dispatch(notify({ text: announce, undo: { address, key } }));
    return issues;
  };

/** What undoes a change that needs no undoing here. */
const EMPTY_BATCH = batch([]);

const freshKey = ({ device, newKey }: Engine): string => changeKey(device.name(), newKey());

/** Undoes the last change of this screen, or the one with the key. */
export const undoChange =
  (address: DocumentAddress, key?: string): AppThunk =>
  (dispatch, getState, engine) => {
    const session = sessionOf(getState(), address);
    const entry = reversible(session, key);
    if (!session || !entry) return;
    const without = { ...session, undo: session.undo.filter((other) => other !== entry) };
    const who = getState().settings.coach;
    const { session: next, issues } = makeChange(without, entry.inverse, {
      key: freshKey(engine),
      who,
      making: 'undo',
    });
    dispatch(keepAndSend(next));
    if (issues.length > 0) dispatch(notify({ text: say.couldNotUndone(entry.what, issues[0]!.message) }));
  };

/** Redoes what was undone last. */
export const redoChange =
  (address: DocumentAddress): AppThunk =>
  (dispatch, getState, engine) => {
    const session = sessionOf(getState(), address);
    const entry = session?.redo.at(-1);
    if (!session || !entry) return;
    const without = { ...session, redo: session.redo.slice(0, -1) };
    const who = getState().settings.coach;
    const { session: next, issues } = makeChange(without, entry.inverse, {
      key: freshKey(engine),
      who,
      making: 'redo',
    });
    dispatch(keepAndSend(next));
    if (issues.length > 0) dispatch(notify({ text: say.couldNotRedone(entry.what, issues[0]!.message) }));
  };

/** Shows a session whose last waiting change is new, keeps that change on the device and sends what waits. */
const keepAndSend =
  (session: Session): AppThunk =>
  (dispatch) => {
    dispatch(sessionChanged(session));
    const last = session.waiting.at(-1);
    if (last && !last.kept) void dispatch(keep(session.address, last));
    void dispatch(send(session.address));
  };

/** Keeps a waiting change on the device, and says so once it is on disk. */
const keep =
  (address: DocumentAddress, change: Waiting): AppThunk<Promise<void>> =>
  async (dispatch, getState, { device }) => {
    try {
      await device.documents.keepChange(address, change);
    } catch {
      // No room, or no store at all: the screen goes on saying that the page has to stay open.
      return;
    }
    const session = sessionOf(getState(), address);
    if (!session) return;
    // It may have reached the server before it was on disk here.
    if (session.waiting.some(({ key }) => key === change.key))
      dispatch(sessionChanged(markKept(session, change.key)));
    else await device.documents.dropChange(address, change.key);
  };

/** Keeps what the server made of a document, and lets go of the waiting changes that it has. */
const confirm =
  (address: DocumentAddress, made: readonly MadeChange[], keys: readonly string[]): AppThunk<Promise<void>> =>
  (_, __, { device }) =>
    device.documents.confirm(address, made, keys).catch(() => undefined);

/** Answers a conflict field by field: of the fields named, theirs stands. */
export const answer =
  (address: DocumentAddress, given: Answer): AppThunk =>
  (dispatch, getState) =>
    dispatch(takeAnswer(address, (session) => answerConflict(session, given), getState()));

/** Answers a conflict about what was removed: it comes back, with my change. */
export const answerWithBoth =
  (address: DocumentAddress, given: Omit<Answer, 'theirs'>): AppThunk =>
  (dispatch, getState) =>
    dispatch(takeAnswer(address, (session) => bringBack(session, given), getState()));

const takeAnswer =
  (address: DocumentAddress, answered: (session: Session) => Session, state: State): AppThunk =>
  (dispatch, _, { device }) => {
    const session = sessionOf(state, address);
    if (!session) return;
    const next = answered(session);
    if (next === session) return;
    dispatch(sessionChanged(next));
    for (const change of session.waiting) {
      const kept = next.waiting.find(({ key }) => key === change.key);
      if (kept === change) continue;
      void (kept ? dispatch(keep(address, kept)) : device.documents.dropChange(address, change.key));
    }
    void dispatch(send(address));
  };

/** Puts a waiting change aside, where it is shown and can be taken up again: the rest goes on without it. */
export const putChangeAside =
  (address: DocumentAddress, key: string, why: string): AppThunk<Promise<void>> =>
  async (dispatch, getState, { device }) => {
    const session = sessionOf(getState(), address);
    const change = session?.waiting.find((waiting) => waiting.key === key);
    if (!session || !change) return;
    await device.documents.putAside(address, change, why);
    dispatch(sessionChanged(withoutChange(sessionOf(getState(), address)!, key)));
    void dispatch(send(address));
  };

/** Sends what waits, one change after the other; stops where the server cannot be reached or a change needs an answer. */
export const send =
  (address: DocumentAddress): AppThunk<Promise<void>> =>
  (dispatch, _, { senders }) => {
    const key = addressKey(address);
    const sender =
      senders.get(key) ??
      createSender<Waiting>({
        next: (passedOver) => dispatch(nextOf(address, passedOver)),
        post: ([change]) => dispatch(post(address, change!)),
        // The answer carries no change: it is taken in when the server tells of it.
        confirmed: async () => undefined,
        refused: (change, why) => dispatch(refuse(address, change, why)),
      });
    if (!senders.has(key)) senders.set(key, sender);
    return sender.send();
  };

/** The change that goes next: changes of a document are sent in order, one at a time. */
const nextOf =
  (address: DocumentAddress, passedOver: ReadonlySet<string>): AppThunk<Promise<Waiting[]>> =>
  async (_, getState) => {
    const session = sessionOf(getState(), address);
    const [first] = session?.waiting ?? [];
    if (!session || !first || session.state !== 'ready' || passedOver.has(first.key)) return [];
    return viewOf(session).conflict?.key === first.key ? [] : [first];
  };

const post =
  (address: DocumentAddress, change: Waiting): AppThunk<Promise<Posted>> =>
  async (dispatch, getState) => {
    const { key, commands, who } = change;
    if (sessionOf(getState(), address)!.unheard !== undefined) {
      await dispatch(catchUp(address));
      return sessionOf(getState(), address)!.unheard === undefined ? { is: 'again' } : { is: 'offline' };
    }
    const { revision: base } = sessionOf(getState(), address)!;
    // Nothing that was heard of up to here meets it: else it would be asked about.
    const { data, error } = await ask('changeDocument', {
      params: address,
      body: { base, key, commands, who },
    });
    if (data) return dispatch(arrived(address, change, data.revision));
    const { status, message, issues } = refusalOf(error);
    if (status === 409) return dispatch(learn(address, key, base));
    if (status === 400) return { is: 'refused', why: issues[0]?.message ?? message };
    if (status === 413) return { is: 'refused', why: message };
    dispatch(status === 404 ? lose(address, error) : inTrouble(address, status, message));
    if (status === 404) return { is: 'asks' };
    return status === 'FETCH_ERROR' ? { is: 'offline' } : { is: 'trouble', why: message };
  };

/** The server has a change: it is taken in once and in its place among those of others. */
const arrived =
  (address: DocumentAddress, change: Waiting, revision: number): AppThunk<Promise<Posted>> =>
  async (dispatch, getState) => {
    const { key, who, commands } = change;
    // Changes are sent in order: the one that was sent is the first.
    const waits = () => sessionOf(getState(), address)?.waiting[0]?.key === key;
    if (waits() && sessionOf(getState(), address)!.revision === revision - 1) {
      // Nobody has made one between: the server has made just this.
      const at = new Date().toISOString();
      dispatch(
        receive(address, { revision, key, who, at, command: commandOf(commands), inverse: EMPTY_BATCH }),
      );
    }
    if ((sessionOf(getState(), address)?.revision ?? 0) < revision || waits())
      await dispatch(catchUp(address));
    // The server has it, and this screen did not learn of it: they have lost each other.
    if (waits()) await dispatch(load(address));
    return waits() ? { is: 'offline' } : { is: 'taken' };
  };

/** The server says that a change meets others: what they did is asked for, and then either it fits or the coach is asked. */
const learn =
  (address: DocumentAddress, key: string, base: number): AppThunk<Promise<Posted>> =>
  async (dispatch, getState) => {
    await dispatch(catchUp(address));
    const now = sessionOf(getState(), address)!;
    if (viewOf(now).conflict?.key === key) return { is: 'asks' };
    // Nothing new: server and screen disagree about what meets, and the server has the last word.
    if (!now.online) return { is: 'offline' };
    return now.revision > base ? { is: 'again' } : { is: 'refused', why: say.somebodyElseChangedSame };
  };

const inTrouble =
  (address: DocumentAddress, status: number | string, message: string): AppThunk =>
  (dispatch, getState) => {
    const session = sessionOf(getState(), address)!;
    const trouble = status === 'FETCH_ERROR' ? undefined : message;
    dispatch(sessionChanged({ ...session, online: false, trouble }));
  };

const refuse =
  (address: DocumentAddress, change: Waiting, why: string): AppThunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(putChangeAside(address, change.key, why));
    dispatch(
      notify({
        text: say.serverRefusedSavedDevice(change.what),
        aside: true,
      }),
    );
  };

/** Takes one change of the server into an open document, and keeps the document so on the device. */
const receive =
  (address: DocumentAddress, made: MadeChange): AppThunk =>
  (dispatch, getState) => {
    const session = sessionOf(getState(), address);
    if (!session) return;
    let next: Session;
    try {
      next = receiveChange(session, made);
    } catch {
      // It does not fit what this screen has: the two have lost each other.
      return void dispatch(load(address));
    }
    if (next === session) return;
    const own = session.waiting.some(({ key }) => key === made.key) ? [made.key] : [];
    dispatch(sessionChanged(own.length > 0 ? settle(next, 1) : next));
    void dispatch(confirm(address, [made], own)).then(() => {
      const now = sessionOf(getState(), address);
      if (now && own.length > 0) dispatch(sessionChanged(settle(now, -1)));
    });
  };

/** Takes what the server tells by itself. */
export const hear =
  (event: LiveEvent): AppThunk =>
  (dispatch, getState) => {
    if (event.type === 'documents') {
      dispatch(api.util.invalidateTags([{ type: 'Documents', id: event.data.kind }]));
    } else if (event.type === 'change') {
      dispatch(hearChange(event.data));
    } else if (event.type === 'records') {
      dispatch(api.util.invalidateTags([{ type: 'Practice', id: event.data.map }]));
    } else {
      dispatch(api.util.invalidateTags(['Documents', 'Practice']));
      for (const { address, state, online } of Object.values(getState().documents.sessions)) {
        if (state === 'missing' && !online) void dispatch(openDocument(address));
        if (state === 'ready') void dispatch(catchUp(address)).then(() => dispatch(send(address)));
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
    else void dispatch(catchUp(address));
  };

/** Takes what other tabs of this browser made or answered, from the device. */
export const hearDevice =
  (key: string): AppThunk<Promise<void>> =>
  async (dispatch, getState, { device }) => {
    const session = getState().documents.sessions[key];
    if (session?.state !== 'ready') return;
    const kept = await device.documents.waiting(session.address).catch(() => undefined);
    const now = sessionOf(getState(), session.address);
    if (!kept || !now) return;
    const next = takeWaiting(now, kept);
    if (next === now) return;
    dispatch(sessionChanged(next));
    void dispatch(send(session.address));
  };

/** Forgets a document that was removed here. */
export const forgetDocument =
  (address: DocumentAddress): AppThunk =>
  (dispatch, _, { device }) => {
    void device.documents.forget(address).catch(() => undefined);
    dispatch(closeDocument(address));
  };
