import { byId } from '../model/indexMap.ts';
import type { AnyDocument, Entity, Reference } from './defineDocument.ts';
import { documentKindOf } from './documentKinds.ts';
import type { Issue } from './issue.ts';
import { type AnyEntityKind, entityKind, listIn } from './lists.ts';
import { isSound, markSound } from './sound.ts';

/** Looks mentions up in a document, its lists indexed once. */
function resolver(document: AnyDocument): (reference: Reference) => boolean {
  const kind = documentKindOf(document);
  const indexes = new Map(
    Object.entries(kind.entities).map(([name, definition]) => [name, byId(listIn(document, definition))]),
  );
  return ({ kind: of, id, part }) => {
    const found = indexes.get(of)?.get(id);
    if (!found || !part) return found !== undefined;
    const parts = (found as unknown as Record<string, Entity[]>)[part.list] ?? [];
    return parts.some((item) => item.id === part.id);
  };
}

/** What a mention is of, in words: `look "pull" in "cs"`, `position "cs"`. */
const mentioned = ({ kind, id, part }: Reference): string =>
  part ? `${part.word} "${part.id}" in "${id}"` : `${kind} "${id}"`;

/** What an entity says twice, or says of something that is not there. Paths are from the entity. */
export function entityIssues(
  document: AnyDocument,
  definition: AnyEntityKind,
  value: Entity,
  is = resolver(document),
): Issue[] {
  const dangling = (definition.references?.(value) ?? [])
    .filter((reference) => !is(reference))
    .map((reference) => ({ path: reference.path, message: `there is no ${mentioned(reference)}` }));
  return [...(definition.check?.(document, value) ?? []), ...dangling];
}

/** Mentions of what is not there by entities other than those left aside, each as a sentence. */
export function danglingMentions(document: AnyDocument, aside: ReadonlySet<string>): Issue[] {
  const kinds = documentKindOf(document).entities;
  const is = resolver(document);
  return Object.keys(kinds).flatMap((kind) => {
    const definition = entityKind(documentKindOf(document), kind)!;
    return listIn(document, definition)
      .filter((item) => !aside.has(`${kind}/${item.id}`))
      .flatMap((item) =>
        (definition.references?.(item) ?? [])
          .filter((reference) => !is(reference))
          .map((reference) => ({
            path: [],
            message: `${kind} "${item.id}" still needs the ${mentioned(reference)}`,
          })),
      );
  });
}

/** Every duplicate id, dangling reference and doubled entity of a document, with its path. */
export function badReferences(document: AnyDocument): Issue[] {
  if (isSound(document)) return [];
  const issues = allIssues(document);
  if (issues.length === 0) markSound(document);
  return issues;
}

function allIssues(document: AnyDocument): Issue[] {
  const kind = documentKindOf(document);
  const is = resolver(document);
  return Object.keys(kind.entities).flatMap((name) => {
    const definition = entityKind(kind, name)!;
    const seen = new Set<string>();
    return listIn(document, definition).flatMap((item, i) => {
      const path = [definition.list, i];
      const twice = seen.has(item.id)
        ? [{ path: [...path, 'id'], message: `the id "${item.id}" is used twice` }]
        : [];
      seen.add(item.id);
      const inside = entityIssues(document, definition, item, is);
      return [...twice, ...inside.map((issue) => ({ ...issue, path: [...path, ...issue.path] }))];
    });
  });
}
