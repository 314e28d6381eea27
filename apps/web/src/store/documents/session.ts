import { type ChangesPage, type DocumentAddress } from '@aftersquall/core/contract';
import {
  type AnyDocument,
  applyCommand,
  batch,
  type Command,
  changesOfOthers,
  commandOf,
  describeChange,
  type Field,
  type FieldOverlap,
  fieldsOfChange,
  type Issue,
  isEmpty,
  type MadeChange,
  meet,
  overlap,
  RefusedError,
  withoutFields,
  withValues,
} from '@aftersquall/core/documents';
import type { Snapshot, Waiting } from '../../device/db.ts';
import { say } from '../words.ts';

/** A change of this screen that can be undone, or redone. */
export interface Reversible {
  key: string;
  /** What it did, in words. */
  what: string;
  /** Undoes it; in the list of what can be redone: redoes it. */
  inverse: Command;
  fields: Field[];
}

/** A waiting change that needs an answer: others changed the same fields, or what it needs is gone. */
export interface Conflict {
  key: string;
  what: string;
  who: string;
  /** The latest revision that the question knows of. An answer names it: an answer to an older question asks again. */
  seen: number;
  overlaps: FieldOverlap[];
  /** Why it cannot be made any more; then it is brought back with what it needs, or put aside. */
  issues: Issue[];
  /** The change with all that others removed and it needs; absent where that cannot be told or made. */
  bringBack?: Command;
}

/** What somebody else did a moment ago. */
interface News {
  who: string;
  what: string;
  revision: number;
}

/**
 * A document that is open on this screen. `server`, `revision` and `born` are as the server said last, and only
 * `openSession` and `receiveChange` write them; `waiting` is what this device has made since, in order. What is on
 * screen and what has to be asked follow from these: see `viewOf`. (Both were kept as fields once; a change that came
 * while a question was open then left the question as it was, and the answer overwrote what nobody had seen.)
 */
export interface Session<D extends AnyDocument = AnyDocument> {
  address: DocumentAddress;
  state: 'loading' | 'ready' | 'missing';
  /** The document as the server has it, at `revision`. */
  server: D | undefined;
  revision: number;
  /** When the server first kept it: another one means another document under the same id. */
  born: string;
  waiting: Waiting[];
  /** Changes of others that meet one of `waiting`, oldest first: what the coach has to be asked about. */
  since: MadeChange[];
  /**
   * What waits from before a restart was made for revisions from here on: what others changed up to `revision` has to be
   * heard again and held against it. Undefined once that is done; nothing is sent before.
   */
  unheard?: number | undefined;
  undo: Reversible[];
  redo: Reversible[];
  /** So many changes the server has confirmed and this device has not written down yet: until then a restart would not show them. */
  settling?: number | undefined;
  /** Whether the server answered when it was tried last. */
  online: boolean;
  /** Why it is missing, or what trouble the server has with what waits. */
  trouble?: string | undefined;
  news?: News | undefined;
}

/** An open document with what follows from its session. */
export interface OpenDocument<D extends AnyDocument = AnyDocument> extends Session<D> {
  /** The document as it is on screen: what waits is made on top of the server's. */
  shown: D | undefined;
  conflict: Conflict | undefined;
}

export const newSession = (address: DocumentAddress): Session => ({
  address,
  state: 'loading',
  server: undefined,
  revision: 0,
  born: '',
  waiting: [],
  since: [],
  undo: [],
  redo: [],
  online: true,
});

/** What waits on top of a document, with what of it cannot be made. */
interface Layered {
  server: AnyDocument;
  document: AnyDocument;
  /** By the key of the change. */
  refused: ReadonlyMap<string, Issue[]>;
}
const NOTHING_REFUSED: ReadonlyMap<string, Issue[]> = new Map();
/** By the list of what waits: a list is never written into, so what was worked out for it holds. */
const layers = new WeakMap<readonly Waiting[], Layered>();

function layersOf(server: AnyDocument, waiting: readonly Waiting[]): Layered {
  if (waiting.length === 0) return { server, document: server, refused: NOTHING_REFUSED };
  const known = layers.get(waiting);
  if (known?.server === server) return known;
  const refused = new Map<string, Issue[]>();
  let document = server;
  for (const { key, commands } of waiting) {
    try {
      document = applyCommand(document, commandOf(commands)).document;
    } catch (error) {
      // Whatever is wrong with one change, the others are shown, and it is asked about.
      refused.set(key, issuesOf(error));
    }
  }
  const made = { server, document, refused };
  layers.set(waiting, made);
  return made;
}

const issuesOf = (error: unknown): Issue[] =>
  error instanceof RefusedError
    ? error.issues
    : [{ path: [], message: 'this program could not make it; that is our bug, not your mistake' }];

const views = new WeakMap<Session, OpenDocument>();

/** A session with the document on screen and the open question. */
export function viewOf<D extends AnyDocument>(session: Session<D>): OpenDocument<D> {
  const known = views.get(session);
  if (known) return known as OpenDocument<D>;
  const shown = session.server && layersOf(session.server, session.waiting).document;
  const view = { ...session, shown, conflict: conflictOf(session) };
  views.set(session, view);
  return view as OpenDocument<D>;
}

/** The first waiting change that meets what others did, or cannot be made any more. */
function conflictOf(session: Session): Conflict | undefined {
  const { server, waiting, since, revision } = session;
  if (!server) return undefined;
  const { refused, document } = layersOf(server, waiting);
  if (since.length === 0 && refused.size === 0) return undefined;
  for (const change of waiting) {
    const issues = refused.get(change.key) ?? [];
    const others = changesOfOthers(change, since);
    const fields = meeting(change, others);
    if (fields.length === 0 && issues.length === 0) continue;
    const latest = others.findLast((made) => meeting(change, [made]).length > 0) ?? others.at(-1);
    const bringBack = issues.length > 0 ? withWhatIsGone(server, change, others) : undefined;
    return {
      key: change.key,
      what: change.what,
      who: latest?.who ?? '',
      seen: latest?.revision ?? revision,
      overlaps: issues.length > 0 ? [] : withValues(fields, server, document),
      issues,
      ...(bringBack && { bringBack }),
    };
  }
  return undefined;
}

/** The fields in which a change meets changes of others, without those that were answered. */
function meeting({ fields, answered = [] }: Waiting, others: readonly MadeChange[]): Field[] {
  const met = others.flatMap((made) =>
    overlap(fields, fieldsOfChange(made)).filter(
      (field) => !answered.some((answer) => answer.upTo >= made.revision && meet(answer, field)),
    ),
  );
  // The same field may be met by several.
  return overlap(met, met);
}

/** A change together with what others removed since and it needs; undefined where that does not make it possible. */
function withWhatIsGone(
  server: AnyDocument,
  change: Waiting,
  others: readonly MadeChange[],
): Command | undefined {
  const gone = others.flatMap(({ inverse }) => putsOf(inverse));
  if (gone.length === 0) return undefined;
  const whole = batch([...gone, ...change.commands], change.what.slice(0, 200));
  try {
    applyCommand(server, whole);
    return whole;
  } catch {
    return undefined;
  }
}

/** What a command puts back that was not there. */
const putsOf = (command: Command): Command[] =>
  command.do === 'batch' ? command.commands.flatMap(putsOf) : command.do === 'put' ? [command] : [];

/** The session with the document that the server gave or the device kept; what waits is made on top of it. */
export function openSession(
  session: Session,
  { revision, born, document }: Pick<Snapshot, 'revision' | 'born' | 'document'>,
  given: readonly Waiting[] = session.waiting,
): Session {
  // After a fresh start of the server there are fewer revisions than what waits was made for.
  const waiting = given.map((change) => (change.base > revision ? { ...change, base: revision } : change));
  const oldest = Math.min(...waiting.map(({ base }) => base), revision);
  return withSince({
    ...session,
    server: document,
    revision,
    born,
    state: 'ready',
    trouble: undefined,
    waiting,
    // Whatever meets what waits is heard again, from the oldest base on.
    since: [],
    unheard: oldest < revision ? oldest : undefined,
  });
}

/**
 * Holds changes that the document has already against what waits from before a restart. Gives the keys of those that
 * had arrived after all.
 * @param after the revision that the page was asked for
 */
export function hearAgain(
  session: Session,
  page: readonly MadeChange[],
  after: number,
): { session: Session; arrived: string[] } {
  if (session.unheard === undefined || after !== session.unheard) return { session, arrived: [] };
  const heard = page.filter(({ revision }) => revision <= session.revision);
  const last = page.at(-1)?.revision ?? session.revision;
  const keys = new Set(heard.map(({ key }) => key));
  const arrived = session.waiting.flatMap(({ key }) => (keys.has(key) ? [key] : []));
  const waiting = session.waiting.filter(({ key }) => !keys.has(key));
  const known = new Set(session.since.map(({ revision }) => revision));
  const since = [...session.since, ...heard.filter(({ revision }) => !known.has(revision))].sort(
    (a, b) => a.revision - b.revision,
  );
  const unheard = last >= session.revision ? undefined : last;
  return { session: withSince({ ...session, waiting, since, unheard }), arrived };
}

/** Only those of others' changes that something waiting meets are kept. */
function withSince(session: Session): Session {
  const { since, waiting, server } = session;
  if (since.length === 0) return session;
  const refused = server ? layersOf(server, waiting).refused : NOTHING_REFUSED;
  const kept = since.filter((made) =>
    waiting.some(
      (change) =>
        changesOfOthers(change, [made]).length > 0 &&
        (refused.has(change.key) || meeting(change, [made]).length > 0),
    ),
  );
  return kept.length === since.length ? session : { ...session, since: kept };
}

/** How a change is made: plainly, by undoing one, or by redoing one. */
export type Making = 'new' | 'undo' | 'redo';

/** Makes a change on screen and lets it wait. Gives what is wrong with it, in which case nothing has changed. */
export function makeChange(
  session: Session,
  command: Command,
  { key, who, making = 'new' }: { key: string; who: string; making?: Making },
): { session: Session; made?: Reversible; issues: Issue[] } {
  const { server, revision } = session;
  if (!server) return { session, issues: [{ path: [], message: say.documentNotOpen }] };
  if (isEmpty(command)) return { session, issues: [] };
  const { document: shown, refused } = layersOf(server, session.waiting);
  try {
    const { document, inverse, touched } = applyCommand(shown, command);
    const what = describeChange(document, command, inverse);
    const made = { key, what, inverse, fields: touched };
    const change: Waiting = { key, commands: [command], who, what, base: revision, fields: touched };
    const waiting = [...session.waiting, change];
    layers.set(waiting, { server, document, refused });
    return {
      session: {
        ...session,
        waiting,
        undo: making === 'undo' ? session.undo : [...session.undo, made],
        redo: making === 'undo' ? [...session.redo, made] : making === 'new' ? [] : session.redo,
        news: undefined,
      },
      made,
      issues: [],
    };
  } catch (error) {
    if (error instanceof RefusedError) return { session, issues: error.issues };
    throw error;
  }
}

/** One more change is being written down as confirmed, or one less. */
export const settle = (session: Session, by: 1 | -1): Session => ({
  ...session,
  settling: Math.max(0, (session.settling ?? 0) + by),
});

/** A waiting change is on this device's disk now. */
export function markKept(session: Session, key: string): Session {
  const waiting = session.waiting.map((change) => (change.key === key ? { ...change, kept: true } : change));
  const known = layers.get(session.waiting);
  if (known) layers.set(waiting, known);
  return { ...session, waiting };
}

/** Takes the next change that the server made: one of ours is confirmed by it, another one comes under what waits. */
export function receiveChange(session: Session, made: MadeChange): Session {
  const before = session.server;
  if (!before || made.revision !== session.revision + 1) return session;
  const [first] = session.waiting;
  const known = layersOf(before, session.waiting);
  const isOwn = session.waiting.some(({ key }) => key === made.key);
  const isFirst = first?.key === made.key && !known.refused.has(made.key);
  // Nothing else waits: what is on screen is what the server has.
  const server =
    isFirst && session.waiting.length === 1 ? known.document : applyCommand(before, made.command).document;
  const waiting = isOwn ? session.waiting.filter(({ key }) => key !== made.key) : session.waiting;
  // What is on screen does not change when the first of what waits is confirmed.
  if (isFirst) layers.set(waiting, { server, document: known.document, refused: known.refused });
  const next: Session = { ...session, server, revision: made.revision, waiting, online: true };
  if (isOwn) return withSince(next);
  const fields = fieldsOfChange(made);
  const still = new Set(waiting.map(({ key }) => key));
  const untouched = ({ key, fields: own }: Reversible) => still.has(key) || overlap(own, fields).length === 0;
  return withSince({
    ...next,
    // What others have changed since is not ours to undo.
    undo: session.undo.filter(untouched),
    redo: session.redo.filter(untouched),
    since: [...session.since, made],
    news: {
      who: made.who,
      what: describeChange(server, made.command, made.inverse),
      revision: made.revision,
    },
  });
}

/** What this device's store says of what waits: another tab may have made some, or answered for some. */
export function takeWaiting(session: Session, kept: readonly Waiting[]): Session {
  const mine = session.waiting.filter(
    (change) => !change.kept && !kept.some(({ key }) => key === change.key),
  );
  const waiting = [...kept, ...mine];
  const same =
    waiting.length === session.waiting.length &&
    waiting.every((change, i) => isSameWaiting(change, session.waiting[i]!));
  return same ? session : withSince({ ...session, waiting });
}

const isSameWaiting = (a: Waiting, b: Waiting): boolean =>
  a.key === b.key &&
  (a === b || JSON.stringify([a.commands, a.answered]) === JSON.stringify([b.commands, b.answered]));

/** An answer of the coach to an open question. */
export interface Answer {
  /** The change that was asked about, and the revision that the question knew of. */
  key: string;
  seen: number;
  /** Theirs stands in these fields, and mine in the others. */
  theirs: readonly Field[];
}

/**
 * Answers a conflict: of the fields named, theirs stands; the others are made as they were meant. The answer holds for
 * later changes of the same fields too. A change of which nothing is left goes, and is no longer ours to undo. An answer
 * to a question that has changed meanwhile does nothing: the new one is asked.
 */
export function answerConflict(session: Session, { key, seen, theirs }: Answer): Session {
  const { conflict } = viewOf(session);
  const { server, revision } = session;
  if (!conflict || !server || conflict.key !== key || conflict.seen !== seen) return session;
  // What cannot be made any more is brought back or put aside.
  if (conflict.issues.length > 0) return session;
  const mine = conflict.overlaps
    .filter((field) => !theirs.some((other) => meet(field, other)))
    .map(({ kind, id, path }) => ({ kind, id, path, upTo: seen }));
  const place = session.waiting.findIndex((change) => change.key === key);
  const waiting = session.waiting.slice(0, place);
  const undo = new Map(session.undo.map((entry) => [entry.key, entry]));
  let { document } = layersOf(server, waiting);
  for (const change of session.waiting.slice(place)) {
    const left = leftOf(document, change, theirs);
    const entry = undo.get(change.key);
    if (left === undefined) {
      undo.delete(change.key);
      continue;
    }
    waiting.push({
      ...change,
      commands: left.commands,
      fields: left.fields,
      // What was asked about is made for what the server has now; what comes later was answered up to what was seen.
      ...(change.key === key ? { base: revision } : { answered: [...(change.answered ?? []), ...mine] }),
    });
    document = left.document;
    if (entry && left.inverse) undo.set(entry.key, { ...entry, inverse: left.inverse, fields: left.fields });
  }
  return withSince({ ...session, waiting, undo: [...undo.values()] });
}

/** Lets a waiting change stand with what it needs and others removed. */
export function bringBack(session: Session, { key, seen }: Omit<Answer, 'theirs'>): Session {
  const { conflict } = viewOf(session);
  const { server, revision } = session;
  if (!server || conflict?.key !== key || conflict.seen !== seen || !conflict.bringBack) return session;
  const command = conflict.bringBack;
  const { touched, inverse } = applyCommand(server, command);
  const waiting = session.waiting.map((change) =>
    change.key === key ? { ...change, commands: [command], fields: touched, base: revision } : change,
  );
  const undo = session.undo.map((entry) =>
    entry.key === key ? { ...entry, inverse, fields: touched } : entry,
  );
  return withSince({ ...session, waiting, undo });
}

/** Without a waiting change, which was put aside or is not wanted any more. */
export const withoutChange = (session: Session, key: string): Session =>
  withSince({
    ...session,
    waiting: session.waiting.filter((change) => change.key !== key),
    undo: session.undo.filter((entry) => entry.key !== key),
    redo: session.redo.filter((entry) => entry.key !== key),
  });

/** What of a waiting change is left without some fields; undefined where nothing is. */
function leftOf(document: AnyDocument, change: Waiting, theirs: readonly Field[]) {
  const command = commandOf(change.commands);
  try {
    const { inverse } = applyCommand(document, command);
    const left = theirs.length === 0 ? command : withoutFields({ command, inverse }, theirs);
    if (!left) return undefined;
    const made = applyCommand(document, left);
    return { commands: [left], document: made.document, inverse: made.inverse, fields: made.touched };
  } catch (error) {
    if (!(error instanceof RefusedError)) throw error;
    // It no longer fits at all: that is asked when its turn comes.
    return { commands: change.commands, document, inverse: undefined, fields: change.fields };
  }
}

/** Whether a page of changes goes on from where a session is: of the same document, and not behind it. */
export const goesOn = ({ born, revision }: Session, page: ChangesPage): boolean =>
  page.born === born && page.revision >= revision;

/** The change that would be undone: the last one, or one by its key as long as nothing later builds on its fields. */
export function reversible(session: Session | undefined, key?: string): Reversible | undefined {
  if (!session) return undefined;
  if (key === undefined) return session.undo.at(-1);
  const place = session.undo.findIndex((entry) => entry.key === key);
  const entry = session.undo[place];
  const later = session.undo.slice(place + 1);
  return entry && later.every(({ fields }) => overlap(fields, entry.fields).length === 0) ? entry : undefined;
}
