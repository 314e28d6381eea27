import { type GuardBook, parseGuardBook } from '@aftersquall/core/formats';

/** The guard book that ships, a file a system; fetched when somebody wants to begin or go on from it. */
const FILES = import.meta.glob<string>('../../../../demo/book/*.md', { query: '?raw', import: 'default' });

let read: Promise<GuardBook> | undefined;

/** The shipped book, read once. */
export function shippedBook(): Promise<GuardBook> {
  read ??= Promise.all(
    Object.entries(FILES).map(async ([name, load]) => ({ name, text: await load() })),
  ).then((files) => parseGuardBook(files).book);
  return read;
}
