import { joinWords } from '../body/words.ts';
import { byId } from '../model/indexMap.ts';
import type { Command, FieldChange, SetCommand } from './command.ts';
import type { AnyDocument, Entity } from './defineDocument.ts';
import { documentKindOf } from './documentKinds.ts';
import { type Field, HEAD, partsOf } from './fields.ts';
import { entityKind, listIn } from './lists.ts';

/** So many things are named in one line; more are counted. */
const MAX_NAMED = 3;
const LONGEST_VALUE = 40;

/**
 * What a change did, for the history and for "undo: …": its label, or what it wrote with the values before and after
 * ("answer “Collar drag, unopposed”: chance 40 % → 45 %"). Names are those of the document given.
 */
export function describeChange(document: AnyDocument, command: Command, inverse: Command): string {
  const words = [...new Set(phrases(document, command, inverse))];
  if (words.length === 0) return 'nothing';
  return words.length > MAX_NAMED
    ? `${words.slice(0, MAX_NAMED - 1).join(', ')} and ${words.length - MAX_NAMED + 1} more`
    : joinWords(words);
}

function phrases(document: AnyDocument, command: Command, inverse: Command): string[] {
  switch (command.do) {
    case 'batch': {
      if (command.label) return [command.label];
      return partsOf(command, inverse).flatMap((part) => phrases(document, part.command, part.inverse));
    }
    case 'put': {
      const name = nameOf(document, command.kind, command.value);
      return [inverse.do === 'put' ? name : `new ${name}`];
    }
    case 'remove':
      return [`${removedName(document, command, inverse)} removed`];
    case 'place':
      return [`place of ${entityName(document, command.kind, command.id)}`];
    case 'set': {
      const old = inverse.do === 'set' ? inverse.changes : [];
      const renamed = renaming(document, command, old);
      if (renamed) return [renamed];
      const fields = command.changes.map((change) => fieldPhrase(document, change, old, false));
      return [`${entityName(document, command.kind, command.id)}: ${fields.join(', ')}`];
    }
    case 'describe': {
      const old = inverse.do === 'describe' ? inverse.changes : [];
      return command.changes.map((change) => fieldPhrase(document, change, old, true));
    }
  }
}

/** A new name says most by itself: `position “Old” → “New”`. */
function renaming(
  document: AnyDocument,
  { kind, changes }: SetCommand,
  old: readonly FieldChange[],
): string | undefined {
  const [change] = changes;
  if (changes.length !== 1 || change?.path.join('/') !== 'name') return undefined;
  return `${wordOf(document, kind)} “${old[0]?.value ?? ''}” → “${change.value}”`;
}

function fieldPhrase(
  document: AnyDocument,
  change: FieldChange,
  old: readonly FieldChange[],
  ofHead: boolean,
): string {
  const before = old.find(({ path }) => path.join('/') === change.path.join('/'));
  const field = fieldName(document, change.path, ofHead);
  const [was, is] = [before?.value, change.value].map((value) => valueText(document, field.key, value));
  return was !== undefined && is !== undefined ? `${field.words} ${was} → ${is}` : field.words;
}

/** The words of a field: those of its kind, else its name taken apart ("leadSide" → "lead side"). */
function fieldName(
  document: AnyDocument,
  path: readonly string[],
  ofHead: boolean,
): { key: string; words: string } {
  // The whole of a thing has no field.
  if (path.length === 0) return { key: '', words: 'all of it' };
  const { head, fieldWords = {} } = documentKindOf(document);
  // Every other part of a path through a list is an id; the last field name says what changed.
  const key = path.length % 2 === 1 ? path.at(-1)! : path.at(-2)!;
  if (ofHead) return { key, words: head[path[0]!] ?? key };
  const words = fieldWords[key] ?? key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return { key, words };
}

function valueText(document: AnyDocument, field: string, value: unknown): string | undefined {
  if (value === undefined) return 'none';
  const own = documentKindOf(document).valueWords?.(field, value);
  if (own !== undefined) return own;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  return typeof value === 'string' && value.length <= LONGEST_VALUE ? `“${value}”` : undefined;
}

function nameOf(document: AnyDocument, kind: string, value: Entity): string {
  const definition = entityKind(documentKindOf(document), kind);
  const name = definition?.nameOf?.(document, value) ?? (value as Partial<{ name: string }>).name;
  const word = wordOf(document, kind);
  return name ? `${word} “${name}”` : word;
}

const wordOf = (document: AnyDocument, kind: string): string =>
  entityKind(documentKindOf(document), kind)?.word ?? kind;

function entityName(document: AnyDocument, kind: string, id: string): string {
  const definition = entityKind(documentKindOf(document), kind);
  const value = definition && byId(listIn(document, definition)).get(id);
  return value ? nameOf(document, kind, value) : wordOf(document, kind);
}

/** The name of what is gone stands in the command that puts it back. */
function removedName(
  document: AnyDocument,
  { kind, id }: { kind: string; id: string },
  inverse: Command,
): string {
  const puts = (command: Command): Command[] =>
    command.do === 'batch' ? command.commands.flatMap(puts) : [command];
  const back = puts(inverse).find((part) => part.do === 'put' && part.kind === kind && part.value.id === id);
  return back?.do === 'put' ? nameOf(document, kind, back.value) : entityName(document, kind, id);
}

/** A field in words: "chance of answer “Collar drag, met by …”". */
export function describeField(document: AnyDocument, { kind, id, path }: Field): string {
  if (kind === HEAD) return fieldName(document, path, true).words;
  const name = entityName(document, kind, id);
  return path.length === 0 ? name : `${fieldName(document, path, false).words} of ${name}`;
}

/** Things that are listed when a value is a list; more are counted. */
const MOST_LISTED = 4;

/** The value of a field in words, whatever it is. */
export function describeValue(document: AnyDocument, { path }: Field, value: unknown): string {
  if (value === undefined) return path.length === 0 ? 'removed' : 'nothing';
  const { key } = fieldName(document, path, false);
  return valueText(document, key, value) ?? (looseWords(value) || 'nothing');
}

/** What can be said of any value: the names or texts of its things, else its parts one after the other. */
function looseWords(value: unknown): string {
  if (Array.isArray(value)) {
    const words = value.slice(0, MOST_LISTED).map(looseWords);
    const more = value.length - words.length;
    if (value.length === 0) return 'nothing';
    return more > 0 ? `${words.join(', ')} and ${more} more` : words.join(', ');
  }
  if (value === null || typeof value !== 'object') return String(value);
  const { name, alias, text, title } = value as Partial<Record<string, string>>;
  return name ?? alias ?? text ?? title ?? Object.values(value).map(looseWords).join(' ');
}
