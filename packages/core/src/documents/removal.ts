import type { AnyDocument, Entity, Reference } from './defineDocument.ts';
import { documentKindOf } from './documentKinds.ts';
import { type AnyEntityKind, entityKind, listIn } from './lists.ts';

/** What goes when something is removed: entities that cannot stand without it, and mentions dropped from others. */
export interface Removal {
  /** Entities to take out, what was asked for first. */
  gone: { kind: string; id: string }[];
  /** Entities that stay, without what they said of those. */
  changed: { kind: string; before: Entity; after: Entity }[];
}

/** Works out a removal by what the kinds of a document say of their references. */
export function planRemoval(document: AnyDocument, kind: string, id: string): Removal {
  const definition = documentKindOf(document);
  const kinds = Object.keys(definition.entities).map(
    (name) => [name, entityKind(definition, name)!] as const,
  );
  const gone = new Map([[`${kind}/${id}`, { kind, id }]]);
  const lost = (reference: Reference) => gone.has(`${reference.kind}/${reference.id}`);

  for (let grew = true; grew; ) {
    grew = false;
    for (const [name, { references }] of kinds) {
      if (!references) continue;
      for (const item of listIn(document, definition.entities[name]!)) {
        if (gone.has(`${name}/${item.id}`)) continue;
        if (!references(item).some((reference) => reference.onLoss === 'remove' && lost(reference))) continue;
        gone.set(`${name}/${item.id}`, { kind: name, id: item.id });
        grew = true;
      }
    }
  }
  const changed = kinds.flatMap(([name, entity]) =>
    listIn(document, entity)
      .filter((item) => !gone.has(`${name}/${item.id}`))
      .flatMap((item) => {
        const after = withoutMentions(entity, item, lost);
        return after === item ? [] : [{ kind: name, before: item, after }];
      }),
  );
  return { gone: [...gone.values()], changed };
}

function withoutMentions(
  { references, tidy }: AnyEntityKind,
  item: Entity,
  lost: (reference: Reference) => boolean,
): Entity {
  const drops = (references?.(item) ?? []).flatMap((reference) =>
    reference.onLoss !== 'remove' && lost(reference) ? [reference.onLoss.drop] : [],
  );
  if (drops.length === 0) return item;
  const left = drop(item, drops) as Entity;
  return tidy ? tidy(left) : left;
}

/** A value without what stands at the paths. */
function drop(value: unknown, paths: readonly (readonly (string | number)[])[]): unknown {
  const keys = new Map<string | number, (readonly (string | number)[])[]>();
  for (const [key, ...rest] of paths) keys.set(key!, [...(keys.get(key!) ?? []), rest]);
  const ends = (key: string | number) => keys.get(key)?.some((rest) => rest.length === 0);
  const inner = (key: string | number, item: unknown) => (keys.has(key) ? drop(item, keys.get(key)!) : item);
  if (Array.isArray(value)) return value.flatMap((item, i) => (ends(i) ? [] : [inner(i, item)]));
  return Object.fromEntries(
    Object.entries(value as object).flatMap(([key, item]) => (ends(key) ? [] : [[key, inner(key, item)]])),
  );
}
