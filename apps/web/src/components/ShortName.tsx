interface Props {
  of: { name: string; short?: string | undefined };
}

/** What a coach calls it, where there is little room. The full name is what is read aloud and shown when pointed at. */
export function ShortName({ of: { name, short } }: Props) {
  if (!short || short === name) return <>{name}</>;
  return (
    <span title={name}>
      <span aria-hidden>{short}</span>
      <span className="visually-hidden">{name}</span>
    </span>
  );
}
