/**
 * The same function, remembering for each first argument what it made last, as long as the others are the same things,
 * by identity: maps and their parts are never changed in place. What it made is forgotten with its first argument.
 */
export function remember<A extends readonly [object, ...unknown[]], R>(
  compute: (...things: A) => R,
): (...things: A) => R {
  const made = new WeakMap<object, { with: A; result: R }>();
  return (...things) => {
    const last = made.get(things[0]);
    if (last?.with.every((thing, i) => thing === things[i])) return last.result;
    const result = compute(...things);
    made.set(things[0], { with: things, result });
    return result;
  };
}
