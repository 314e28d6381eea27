import { useCallback, useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { type AddressChanges, followAddress } from './followAddress.ts';

export type SetAddress = (changes: AddressChanges, how?: { replace?: boolean }) => void;

/** One address a page: every place that asks for a change builds on what was asked before. */
const address = followAddress();

/** What the address says behind its `?`, and how to change parts of it. */
export function useAddress(): [URLSearchParams, SetAddress] {
  const [params, setParams] = useSearchParams();
  useEffect(() => address.arrive(params), [params]);
  const set: SetAddress = useCallback(
    (changes, how = {}) => setParams(address.ask(changes), how),
    [setParams],
  );
  return [params, set];
}
