import type { AnyDocument } from './defineDocument.ts';

const sound = new WeakSet<AnyDocument>();

/** Whether every reference of a document is known to resolve, because it was checked, or came of one that was. */
export const isSound = (document: AnyDocument): boolean => sound.has(document);

export function markSound<D extends AnyDocument>(document: D): D {
  sound.add(document);
  return document;
}
