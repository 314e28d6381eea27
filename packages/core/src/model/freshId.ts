/** An id made of a name, unused so far: "Knee cut" → "knee-cut", then "knee-cut-2". */
export function freshId(name: string, taken: Iterable<string>): string {
  const used = new Set(taken);
  const stem =
    name
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'item';
  for (let i = 1; ; i++) {
    const id = i === 1 ? stem : `${stem}-${i}`;
    if (!used.has(id)) return id;
  }
}
