import { type EntityKind, type EntityOf, type GuardMap, indexMap } from '@aftersquall/core/model';
import { useCallback } from 'react';
import { useAddress } from '../../store/useAddress.ts';

export type SheetKind = 'position' | 'move' | 'reaction' | 'exchange' | 'mechanic' | 'ending';
export interface Selection {
  kind: SheetKind;
  id: string;
}

const KINDS: readonly EntityKind[] = ['position', 'move', 'reaction', 'exchange', 'mechanic', 'ending'];

/** What is selected, kept in the address: it can be bookmarked, sent, and gone back from. */
export function useSelection(): [Selection | undefined, (selection: Selection | undefined) => void] {
  const [params, set] = useAddress();
  const [kind, id] = (params.get('sel') ?? '').split('.');
  const select = useCallback(
    (next: Selection | undefined) => set({ sel: next && `${next.kind}.${next.id}` }),
    [set],
  );
  const exists = id && KINDS.includes(kind as EntityKind);
  return [exists ? { kind: kind as SheetKind, id } : undefined, select];
}

/** The position that a selection is about, so that chart and sheet agree. */
export function positionOf(map: GuardMap, selection: Selection | undefined): string | undefined {
  if (!selection) return undefined;
  const index = indexMap(map);
  const ofMove = (id: string) => index.move.get(id)?.position;
  switch (selection.kind) {
    case 'position':
      return selection.id;
    case 'move':
      return ofMove(selection.id);
    case 'exchange':
      return ofMove(index.exchange.get(selection.id)?.move ?? '');
    case 'reaction':
    case 'mechanic':
    case 'ending':
      return undefined;
  }
}

/** The selected thing itself, if it is still there. */
export function selectedThing<K extends SheetKind>(
  map: GuardMap,
  kind: K,
  id: string,
): EntityOf<K> | undefined {
  return indexMap(map)[kind].get(id) as EntityOf<K> | undefined;
}
