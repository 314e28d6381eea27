import { useEffect, useRef, useState } from 'react';

/** Where the focus is: a row and a column by their keys; `head` is the name at the left. */
export interface Spot {
  row: string;
  column: string;
}

export const spotKey = ({ row, column }: Spot): string => `${row}.${column}`;

/**
 * Where the focus of the board is. It is the board's own, so that keys pressed faster than the address changes all
 * count; the address is told, and followed where somebody else changes it.
 */
export function useSpot(asked: Spot | undefined, tell: (spot: Spot) => void) {
  const [spot, setSpot] = useState(asked);
  const ours = useRef<string[]>(asked ? [spotKey(asked)] : []);
  const onSpot = (next: Spot) => {
    ours.current.push(spotKey(next));
    setSpot(next);
    tell(next);
  };
  const askedKey = asked && spotKey(asked);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a spot is the same as long as its key is
  useEffect(() => {
    if (!asked || !askedKey) return;
    // The address comes after us; what we told it ourselves, perhaps some keys ago, is no request.
    if (ours.current.at(-1) === askedKey) ours.current = [askedKey];
    else if (!ours.current.includes(askedKey)) {
      ours.current = [askedKey];
      setSpot(asked);
    }
  }, [askedKey]);
  return [spot, onSpot] as const;
}
