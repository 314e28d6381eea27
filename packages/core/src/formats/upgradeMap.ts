import { freshId } from '../model/freshId.ts';

/** Ids for mechanics that were only names. */
type MechanicIds = ReadonlyMap<string, string>;

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const strings = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((item) => typeof item === 'string') : [];

/** An id for every mechanic that moves name. */
export function mechanicIds(moves: readonly unknown[]): Map<string, string> {
  const ids = new Map<string, string>();
  for (const move of moves) {
    if (!isObject(move)) continue;
    const required = Array.isArray(move.requires)
      ? move.requires.flatMap((need) => (isObject(need) && 'mechanic' in need ? [need.mechanic] : []))
      : [];
    for (const name of [...strings(move.mechanics), ...strings(required)])
      if (!ids.has(name)) ids.set(name, freshId(name, ids.values()));
  }
  return ids;
}

/** A mechanic of which nothing but its name was kept. */
export const namedMechanic = (name: string, id: string) => ({ id, name, form: 'solo' as const, how: name });

/** Anything in which moves stand, their mechanics named by ids: a map, a move, a command of the history. */
export function withMechanicIds(value: unknown, ids: MechanicIds): unknown {
  const idOf = (name: unknown) => (typeof name === 'string' ? (ids.get(name) ?? name) : name);
  if (Array.isArray(value)) return value.map((item) => withMechanicIds(item, ids));
  if (!isObject(value)) return value;
  const field = Array.isArray(value.path) && value.path.length === 1 ? value.path[0] : undefined;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => {
      if (key === 'mechanics' || (key === 'value' && field === 'mechanics'))
        return [key, Array.isArray(inner) ? inner.map(idOf) : inner];
      if (key === 'mechanic') return [key, idOf(inner)];
      return [key, withMechanicIds(inner, ids)];
    }),
  );
}

/** A map as it was written when mechanics were only names, with mechanics of their own; any other as it is. */
export function upgradeMap(data: unknown): unknown {
  if (!isObject(data) || 'mechanics' in data || !Array.isArray(data.moves)) return data;
  const ids = mechanicIds(data.moves);
  if (ids.size === 0) return data;
  const mechanics = [...ids].map(([name, id]) => namedMechanic(name, id));
  return { ...(withMechanicIds(data, ids) as Json), mechanics };
}
