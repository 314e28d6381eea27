/** Every name that a thing goes by, its own first. */
export const allNames = ({ name, aliases }: { name: string; aliases: readonly string[] }): string[] => [
  name,
  ...aliases,
];
