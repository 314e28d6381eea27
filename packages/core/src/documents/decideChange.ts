import { type Applied, applyCommand } from './applyCommand.ts';
import { type Change, type FieldOverlap, isSameMaker, type MadeChange } from './change.ts';
import type { AnyDocument } from './defineDocument.ts';
import { type Field, fieldsOfChange, overlap } from './fields.ts';
import { fieldValue } from './fieldValue.ts';
import { type Issue, RefusedError } from './issue.ts';
import { commandOf } from './rebase.ts';

/** A document as it is kept, with what was made of it after a revision. */
export interface Kept<D extends AnyDocument = AnyDocument> {
  document: D;
  revision: number;
  /** At least every change made after the base of the change that is decided; older ones are passed over. */
  since: readonly MadeChange[];
}

/** What becomes of a change. */
export type Decision<D extends AnyDocument = AnyDocument> =
  | { is: 'taken'; applied: Applied<D> }
  /** Others changed the same fields, or removed what it needs: its maker decides anew. */
  | { is: 'overlaps'; overlaps: FieldOverlap[]; issues: Issue[] }
  /** It is wrong by itself, whatever others did. */
  | { is: 'refused'; issues: Issue[] };

/** The changes of others that were made after the revision that a change was made for. */
export const changesOfOthers = (
  change: Pick<Change, 'base' | 'key' | 'who'>,
  since: readonly MadeChange[],
): MadeChange[] =>
  since.filter(
    (made) => made.revision > change.base && made.key !== change.key && !isSameMaker(made, change),
  );

/** Fields with the value that each side gives them. */
export const withValues = (
  fields: readonly Field[],
  theirs: AnyDocument,
  mine: AnyDocument,
): FieldOverlap[] =>
  fields.map((field) => ({ ...field, theirs: fieldValue(theirs, field), mine: fieldValue(mine, field) }));

/**
 * Decides about a change: it is taken as long as nothing that it touches was touched by others since its base. The
 * server, the stand-in of the tests and the law of three devices all ask this one function.
 */
export function decideChange<D extends AnyDocument>(
  { document, revision, since }: Kept<D>,
  change: Change,
): Decision<D> {
  if (change.base > revision)
    return { is: 'refused', issues: [{ path: ['base'], message: `the latest revision is ${revision}` }] };
  const others = changesOfOthers(change, since);
  let applied: Applied<D>;
  try {
    applied = applyCommand(document, commandOf(change.commands));
  } catch (error) {
    if (!(error instanceof RefusedError)) throw error;
    // Made for another state of the document, it may be right once its maker has seen this one.
    return others.length > 0
      ? { is: 'overlaps', overlaps: [], issues: error.issues }
      : { is: 'refused', issues: error.issues };
  }
  const fields = overlap(applied.touched, others.flatMap(fieldsOfChange));
  return fields.length === 0
    ? { is: 'taken', applied }
    : { is: 'overlaps', overlaps: withValues(fields, document, applied.document), issues: [] };
}
