import { z } from 'zod';
import { byId } from '../model/indexMap.ts';
import { batch, type Command, describe, type FieldChange, put, removeAlone, set } from './command.ts';
import type { AnyDocument, DocumentKind, Entity } from './defineDocument.ts';
import { danglingMentions, entityIssues } from './documentIssues.ts';
import { documentKindOf } from './documentKinds.ts';
import { changeFields, diffFields } from './fieldChanges.ts';
import { type Field, fieldsOf, orderField } from './fields.ts';
import { type Issue, RefusedError } from './issue.ts';
import { type AnyEntityKind, listIn, needEntityKind, withList } from './lists.ts';
import { planRemoval } from './removal.ts';
import { isSound, markSound } from './sound.ts';
import { zodIssues } from './zodIssues.ts';

export interface Applied<D extends AnyDocument> {
  document: D;
  /** The command that takes the change back. */
  inverse: Command;
  /** Every field that was written, what a removal took along included. */
  touched: Field[];
}

type Path = (string | number)[];

/** What is gathered while the parts of a command run. */
interface Run {
  issues: Issue[];
  touched: Field[];
  /** Where in the command each entity was written last. */
  written: Map<string, { kind: string; id: string; path: Path }>;
  /** Something was taken away that others may mention. */
  lossy: boolean;
}

/**
 * The document after a command. A batch is checked as a whole, so its parts may mention each other in any order.
 * @throws RefusedError with the path of every problem: a bad shape, a thing that is not there, a reference that
 * would dangle, something said twice. The document given is untouched.
 */
export function applyCommand<D extends AnyDocument>(document: D, command: Command): Applied<D> {
  const run: Run = { issues: [], touched: [], written: new Map(), lossy: false };
  const done = perform(document, command, [], run);
  run.issues.push(...check(done.document, run));
  if (run.issues.length > 0) throw new RefusedError(run.issues);
  if (isSound(document)) markSound(done.document);
  return { ...done, touched: run.touched };
}

type Done<D> = { document: D; inverse: Command };

function perform<D extends AnyDocument>(document: D, command: Command, path: Path, run: Run): Done<D> {
  const nothing = { document, inverse: batch([]) };
  if (command.do === 'batch') return performAll(document, command.commands, command.label, path, run);
  if (command.do === 'describe') {
    run.touched.push(...fieldsOf(command));
    const changed = attempt(() => describeHead(document, command.changes), path, run);
    return changed ? { document: changed.value, inverse: describe(changed.inverse) } : nothing;
  }
  const definition = attempt(() => needEntityKind(document, command.kind, []), path, run);
  if (!definition) return nothing;
  const list = listIn(document, definition);
  const id = command.do === 'put' ? command.value.id : command.id;
  const at = list.findIndex((item) => item.id === id);
  if (at < 0 && command.do !== 'put') {
    run.issues.push({ path: [...path, 'id'], message: `there is no ${command.kind} "${id}"` });
    return nothing;
  }
  switch (command.do) {
    case 'put': {
      const value = shaped(definition, command.value, [...path, 'value'], run);
      if (!value) return nothing;
      write(run, command.kind, id, [...path, 'value']);
      if (at >= 0) {
        run.lossy ||= losesParts(list[at]!, value);
        run.touched.push({ kind: command.kind, id, path: [] });
        const old = put(command.kind, list[at] as never);
        return { document: withList(document, definition, list.with(at, value)), inverse: old };
      }
      run.touched.push(...fieldsOf(command));
      const grown = list.toSpliced(command.at ?? list.length, 0, value);
      return { document: withList(document, definition, grown), inverse: removeAlone(command.kind, id) };
    }
    case 'set': {
      const changed = attempt(() => changeFields(list[at]!, command.changes), [...path, 'changes'], run);
      const value = changed && shaped(definition, changed.value, [...path, 'changes'], run);
      if (!value) return nothing;
      if (value.id !== id) {
        run.issues.push({ path: [...path, 'changes'], message: 'an id stays as it is' });
        return nothing;
      }
      write(run, command.kind, id, [...path, 'changes']);
      run.lossy ||= losesParts(list[at]!, value);
      run.touched.push(...fieldsOf(command));
      const back = set(command.kind, id, changed.inverse);
      return { document: withList(document, definition, list.with(at, value)), inverse: back };
    }
    case 'place': {
      run.touched.push(orderField(command.kind));
      const moved = list.toSpliced(at, 1).toSpliced(command.at, 0, list[at]!);
      return { document: withList(document, definition, moved), inverse: { ...command, at } };
    }
    case 'remove': {
      if (!command.alone) return removeWithUsers(document, command.kind, id, path, run);
      run.lossy = true;
      run.touched.push(...fieldsOf(command));
      write(run, command.kind, id, [...path, 'id']);
      const back = put(command.kind, list[at] as never, at);
      return { document: withList(document, definition, list.toSpliced(at, 1)), inverse: back };
    }
  }
}

function performAll<D extends AnyDocument>(
  document: D,
  commands: readonly Command[],
  label: string | undefined,
  path: Path,
  run: Run,
): Done<D> {
  const inverses: Command[] = [];
  let current = document;
  commands.forEach((part, i) => {
    const done = perform(current, part, [...path, 'commands', i], run);
    current = done.document;
    inverses.unshift(done.inverse);
  });
  return { document: current, inverse: batch(inverses, label) };
}

/** Takes an entity out with whatever cannot stand without it, and drops mentions of them from the rest. */
function removeWithUsers<D extends AnyDocument>(
  document: D,
  kind: string,
  id: string,
  path: Path,
  run: Run,
): Done<D> {
  const { gone, changed } = planRemoval(document, kind, id);
  const parts: Command[] = [
    ...changed.map((item) => set(item.kind as never, item.before.id, diffFields(item.before, item.after))),
    ...gone.map((item) => removeAlone(item.kind as never, item.id)),
  ];
  // Paths inside lead to the one removal that was asked for.
  const inner: Run = { issues: [], touched: [], written: new Map(), lossy: false };
  const done = performAll(document, parts, undefined, [], inner);
  run.issues.push(...inner.issues.map((issue) => ({ ...issue, path: [...path, 'id'] })));
  run.touched.push(...inner.touched);
  for (const item of inner.written.values()) write(run, item.kind, item.id, [...path, 'id']);
  run.lossy = true;
  return done;
}

function write(run: Run, kind: string, id: string, path: Path): void {
  run.written.set(`${kind}/${id}`, { kind, id, path });
}

/** Runs what may refuse, and notes what was refused under the command's own path. */
function attempt<T>(work: () => T, path: Path, run: Run): T | undefined {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof RefusedError)) throw error;
    run.issues.push(...error.issues.map((issue) => ({ ...issue, path: [...path, ...issue.path] })));
    return undefined;
  }
}

/** A value as its schema has it, or undefined with what is wrong noted. */
function shaped(definition: AnyEntityKind, value: unknown, path: Path, run: Run): Entity | undefined {
  const parsed = definition.schema.safeParse(value);
  if (parsed.success) return parsed.data;
  run.issues.push(...zodIssues(parsed.error).map((issue) => ({ ...issue, path: [...path, ...issue.path] })));
  return undefined;
}

const headSchemas = new Map<string, z.ZodObject>();

/** The schema of those head fields of a kind that can be described anew. */
function headSchema(kind: DocumentKind): z.ZodObject {
  const known = headSchemas.get(kind.kind);
  if (known) return known;
  const shape = (kind.schema as unknown as z.ZodObject).shape;
  const made = z.strictObject(Object.fromEntries(Object.keys(kind.head).map((key) => [key, shape[key]!])));
  headSchemas.set(kind.kind, made);
  return made;
}

function describeHead<D extends AnyDocument>(
  document: D,
  changes: FieldChange[],
): { value: D; inverse: FieldChange[] } {
  const kind = documentKindOf(document);
  const fields = document as unknown as Record<string, unknown>;
  const head = Object.fromEntries(Object.keys(kind.head).map((key) => [key, fields[key]]));
  const stranger = changes.find(({ path }) => !Object.hasOwn(kind.head, path[0]!));
  if (stranger) {
    const message = `of a ${kind.kind} only these can be described: ${Object.keys(kind.head).join(', ')}`;
    throw new RefusedError([{ path: ['changes'], message }]);
  }
  const { value, inverse } = changeFields(head, changes);
  const parsed = headSchema(kind).safeParse(value);
  if (!parsed.success)
    throw new RefusedError(
      zodIssues(parsed.error).map((issue) => ({ ...issue, path: ['changes', ...issue.path] })),
    );
  const changed: Record<string, unknown> = { ...fields, ...parsed.data };
  // A field that was taken out is not there any more; the others stay in their order.
  const { shape } = kind.schema as unknown as z.ZodObject;
  const there = Object.keys(shape).filter((key) => (key in kind.head ? key in parsed.data : key in fields));
  return { value: Object.fromEntries(there.map((key) => [key, changed[key]])) as unknown as D, inverse };
}

/** Whether a list inside an entity has lost something that others may mention. */
function losesParts(before: Entity, after: Entity): boolean {
  return Object.entries(before).some(([key, value]) => {
    if (!Array.isArray(value)) return false;
    const left = new Set(((after as unknown as Record<string, Entity[]>)[key] ?? []).map((item) => item?.id));
    return value.some((item) => typeof item?.id === 'string' && !left.has(item.id));
  });
}

/** Checks what the change wrote, and, where it took something away, whoever else still mentions it. */
function check(document: AnyDocument, run: Run): Issue[] {
  const issues: Issue[] = [];
  for (const { kind, id, path } of run.written.values()) {
    const definition = needEntityKind(document, kind, path);
    const value = byId(listIn(document, definition)).get(id);
    if (!value) continue;
    for (const issue of entityIssues(document, definition, value))
      issues.push({ ...issue, path: [...path, ...issue.path] });
  }
  if (run.lossy) issues.push(...danglingMentions(document, new Set(run.written.keys())));
  return issues;
}
