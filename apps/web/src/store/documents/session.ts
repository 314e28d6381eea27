import {
  type AnyDocument,
  applyCommand,
  type Command,
  commandOf,
  type DocumentAddress,
  describeChange,
  type Field,
  type FieldOverlap,
  fieldsOfChange,
  fieldValue,
  type Issue,
  isEmpty,
  type MadeChange,
  meet,
  overlap,
  RefusedError,
  rebase,
  withoutFields,
} from '@aftersquall/core';

/** A change that the server has not confirmed yet. */
export interface Waiting {
  key: string;
  commands: Command[];
  who: string;
  /** What it does, in words. */
  what: string;
  /** The revision up to which it is known to meet nothing of what others changed. */
  base: number;
  /** What it touches. */
  fields: Field[];
  /** Whether it is on this device's disk, and so survives a closed tab. */
  kept?: boolean;
  /** Fields that others changed as well, of which the coach has said that ours stands. */
  decided?: Field[];
}

/** A change of this screen that can be taken back, or made again. */
export interface Reversible {
  key: string;
  /** What it did, in words. */
  what: string;
  /** Takes it back; in the list of what can be made again: makes it again. */
  inverse: Command;
  fields: Field[];
}

/** A waiting change that needs an answer: others changed the same fields, or what it needs is gone. */
export interface Conflict {
  key: string;
  what: string;
  who: string;
  overlaps: FieldOverlap[];
  /** Why it cannot be made at all any more; then it can only be left. */
  issues: Issue[];
}

/** What somebody else did a moment ago. */
interface News {
  who: string;
  what: string;
  revision: number;
}

/** A document that is open on this screen. */
export interface Session<D extends AnyDocument = AnyDocument> {
  address: DocumentAddress;
  state: 'loading' | 'ready' | 'missing';
  /** The document as the server has it, at `revision`. */
  server: D | undefined;
  revision: number;
  /** The document as it is on screen: what waits is made on top of the server's. */
  shown: D | undefined;
  waiting: Waiting[];
  undo: Reversible[];
  redo: Reversible[];
  /** Whether the server could be reached when it was tried last. */
  online: boolean;
  /** Why it is missing, or why what waits could not be saved. */
  trouble?: string | undefined;
  conflict?: Conflict | undefined;
  news?: News | undefined;
}

export const newSession = (address: DocumentAddress): Session => ({
  address,
  state: 'loading',
  server: undefined,
  revision: 0,
  shown: undefined,
  waiting: [],
  undo: [],
  redo: [],
  online: true,
});

/** The session with the document that the server gave; what waits from before is made on top of it. */
export function openSession(
  session: Session,
  { revision, document }: { revision: number; document: AnyDocument },
  waiting: readonly Waiting[] = session.waiting,
): Session {
  const opened: Session = { ...session, revision, state: 'ready', trouble: undefined, online: true };
  return rebased(opened, document, revision, [...waiting]);
}

/** How a change is made: plainly, by taking one back, or by making one again. */
export type Making = 'new' | 'undo' | 'redo';

/** Makes a change on screen and lets it wait. Gives what is wrong with it, in which case nothing has changed. */
export function makeChange(
  session: Session,
  command: Command,
  { key, who, making = 'new' }: { key: string; who: string; making?: Making },
): { session: Session; made?: Reversible; issues: Issue[] } {
  const { shown } = session;
  if (!shown) return { session, issues: [{ path: [], message: 'The document is not open.' }] };
  if (isEmpty(command)) return { session, issues: [] };
  try {
    const { document, inverse, touched } = applyCommand(shown, command);
    const made = { key, what: describeChange(document, command, inverse), inverse, fields: touched };
    const { what } = made;
    const waiting: Waiting = {
      key,
      commands: [command],
      who,
      what,
      base: session.revision,
      fields: touched,
    };
    return {
      session: {
        ...session,
        shown: document,
        waiting: [...session.waiting, waiting],
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

/** A waiting change is on this device's disk now. */
export const markKept = (session: Session, key: string): Session => ({
  ...session,
  waiting: session.waiting.map((change) => (change.key === key ? { ...change, kept: true } : change)),
});

/** Takes the next change that the server made: one of ours is confirmed by it, another one comes under what waits. */
export function receiveChange(session: Session, made: MadeChange): Session {
  if (!session.server || made.revision !== session.revision + 1) return session;
  const own = session.waiting[0]?.key === made.key && !session.conflict;
  if (own && session.waiting.length === 1) {
    // Nothing else waits: what is on screen is what the server has.
    return { ...session, server: session.shown, revision: made.revision, waiting: [], online: true };
  }
  const server = applyCommand(session.server, made.command).document;
  const waiting = session.waiting.filter(({ key }) => key !== made.key);
  if (own) {
    return {
      ...session,
      server,
      revision: made.revision,
      waiting: waiting.map((change) => raised(change, session.revision, made.revision)),
      online: true,
    };
  }
  if (waiting.length < session.waiting.length) return rebased(session, server, made.revision, waiting);
  const fields = fieldsOfChange(made);
  const still = new Set(waiting.map(({ key }) => key));
  const untouched = ({ key, fields: own }: Reversible) => still.has(key) || overlap(own, fields).length === 0;
  const news = {
    who: made.who,
    what: describeChange(server, made.command, made.inverse),
    revision: made.revision,
  };
  return rebased(
    // What others have changed since is not ours to take back.
    { ...session, undo: session.undo.filter(untouched), redo: session.redo.filter(untouched), news },
    server,
    made.revision,
    waiting,
    { fields, who: made.who },
  );
}

/** A waiting change that met nothing up to one revision and meets nothing up to the next either. */
const raised = (change: Waiting, from: number, to: number): Waiting =>
  change.base < from ? change : { ...change, base: to };

/** The session on another state of the server, with what waits on top; the first waiting change that meets others asks. */
function rebased(
  session: Session,
  server: AnyDocument,
  revision: number,
  waiting: Waiting[],
  theirs?: { fields: Field[]; who: string },
): Session {
  const { document, refused } = rebase(server, waiting);
  const next: Session = { ...session, server, revision, shown: document, waiting };
  if (session.conflict && waiting.some(({ key }) => key === session.conflict!.key)) return next;
  delete next.conflict;
  for (const [i, change] of waiting.entries()) {
    const met = theirs ? overlap(change.fields, theirs.fields) : [];
    const issues = refused.get(i) ?? [];
    if (met.length === 0 && issues.length === 0) {
      waiting[i] = raised(change, session.revision, revision);
      continue;
    }
    return { ...next, conflict: conflictOf(next, change, met, issues, theirs?.who ?? '') };
  }
  return next;
}

function conflictOf(session: Session, change: Waiting, met: Field[], issues: Issue[], who: string): Conflict {
  const { server, shown } = session;
  return {
    key: change.key,
    what: change.what,
    who,
    issues,
    overlaps: met.map((field) => ({
      ...field,
      theirs: fieldValue(server!, field),
      mine: fieldValue(shown!, field),
    })),
  };
}

/** Asks about a waiting change that the server did not take; not where all of it was asked and answered before. */
export function raiseConflict(
  session: Session,
  key: string,
  overlaps: FieldOverlap[],
  issues: Issue[],
): Session {
  const change = session.waiting.find((waiting) => waiting.key === key);
  if (!change) return session;
  const open = overlaps.filter((field) => !change.decided?.some((decided) => meet(decided, field)));
  if (open.length === 0 && overlaps.length > 0 && issues.length === 0) {
    const settled = { ...change, base: session.revision };
    return { ...session, waiting: session.waiting.map((other) => (other === change ? settled : other)) };
  }
  return { ...session, conflict: { ...conflictOf(session, change, [], issues, ''), overlaps: open } };
}

/**
 * Answers a conflict: of the fields named, theirs stands; the others are made as they were meant. The answer holds for
 * later changes of the same fields too. A change of which nothing is left goes, and is no longer ours to take back.
 */
export function settleConflict(session: Session, theirs: readonly Field[]): Session {
  const { conflict, server } = session;
  if (!conflict || !server) return session;
  const place = session.waiting.findIndex(({ key }) => key === conflict.key);
  const earlier = session.waiting.slice(0, place);
  const mine = conflict.overlaps.filter((field) => !theirs.some((other) => meet(field, other)));
  const waiting = [...earlier];
  const undo = new Map(session.undo.map((entry) => [entry.key, entry]));
  let document = rebase(server, earlier).document;
  for (const change of session.waiting.slice(place)) {
    const asked = change.key === conflict.key;
    const left = asked && conflict.issues.length > 0 ? undefined : leftOf(document, change, theirs);
    const entry = undo.get(change.key);
    if (left === undefined) {
      undo.delete(change.key);
      continue;
    }
    waiting.push({
      ...change,
      commands: left.commands,
      fields: left.fields,
      ...(asked ? { base: session.revision } : { decided: [...(change.decided ?? []), ...mine] }),
    });
    document = left.document;
    if (entry && left.inverse) undo.set(entry.key, { ...entry, inverse: left.inverse, fields: left.fields });
  }
  const settled = { ...session, conflict: undefined, undo: [...undo.values()] };
  return rebased(settled, server, session.revision, waiting);
}

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

/** The change that would be taken back: the last one, or one by its key as long as nothing later builds on its fields. */
export function reversible(session: Session | undefined, key?: string): Reversible | undefined {
  if (!session) return undefined;
  if (key === undefined) return session.undo.at(-1);
  const place = session.undo.findIndex((entry) => entry.key === key);
  const entry = session.undo[place];
  const later = session.undo.slice(place + 1);
  return entry && later.every(({ fields }) => overlap(fields, entry.fields).length === 0) ? entry : undefined;
}
