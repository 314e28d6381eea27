/**
 * The same function, remembering what it made of the same things, by identity: maps and their parts are never changed
 * in place. What it made is forgotten with the first of its arguments.
 */
export function remember<A extends readonly [object, ...object[]], R>(
  compute: (...things: A) => R,
): (...things: A) => R {
  const made = new WeakMap<object, unknown>();
  return (...things) => {
    let at = made;
    for (const thing of things.slice(0, -1)) {
      let next = at.get(thing) as WeakMap<object, unknown> | undefined;
      if (!next) {
        next = new WeakMap();
        at.set(thing, next);
      }
      at = next;
    }
    const last = things.at(-1)!;
    if (!at.has(last)) at.set(last, compute(...things));
    return at.get(last) as R;
  };
}
