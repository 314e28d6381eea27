/** A small seeded generator (mulberry32, public domain): the same seed gives the same numbers in [0, 1) every time. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A seed made of a text (FNV-1a, 32 bits). */
export function seedOf(text: string): number {
  let hash = 2166136261;
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16777619);
  return hash >>> 0;
}
