import { useCallback, useEffect } from 'react';
import { useSearchParams } from 'react-router';

/** The address as it will be once everything asked for has happened: a place may ask twice before the router has moved. */
let latest = new URLSearchParams();

export type SetAddress = (changes: Record<string, string | undefined>, how?: { replace?: boolean }) => void;

/** What the address says behind its `?`, and how to change parts of it; an empty value takes the part out. */
export function useAddress(): [URLSearchParams, SetAddress] {
  const [params, setParams] = useSearchParams();
  useEffect(() => {
    latest = params;
  }, [params]);
  const set: SetAddress = useCallback(
    (changes, how = {}) => {
      const next = new URLSearchParams(latest);
      for (const [key, value] of Object.entries(changes)) {
        if (value) next.set(key, value);
        else next.delete(key);
      }
      latest = next;
      setParams(next, how);
    },
    [setParams],
  );
  return [params, set];
}
