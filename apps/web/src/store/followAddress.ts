/** Parts to change, an empty value takes one out; or what they are once it is known what was asked before. */
export type AddressChanges =
  | Record<string, string | undefined>
  | ((now: URLSearchParams) => Record<string, string | undefined>);

/**
 * The address as it will be once everything asked for has happened: a place may ask twice and three times before the
 * router has moved once, and each change builds on the one before, not on where the router is.
 */
export function followAddress() {
  let latest = new URLSearchParams();
  /** What was asked for and has not arrived, in order. */
  let asked: string[] = [];
  let arrived: string | undefined;
  return {
    /** The address with some parts changed. */
    ask(changes: AddressChanges): URLSearchParams {
      const next = new URLSearchParams(latest);
      const parts = typeof changes === 'function' ? changes(latest) : changes;
      for (const [key, value] of Object.entries(parts)) {
        if (value) next.set(key, value);
        else next.delete(key);
      }
      latest = next;
      asked.push(next.toString());
      return next;
    },
    /** The router has moved; told once by every place that looks at the address. */
    arrive(params: URLSearchParams): void {
      const now = params.toString();
      if (now === arrived) return;
      arrived = now;
      const place = asked.indexOf(now);
      // Somebody else moved: a link, or a step back. What was asked before is overtaken.
      asked = place < 0 ? [] : asked.slice(place + 1);
      if (asked.length === 0) latest = params;
    },
  };
}
