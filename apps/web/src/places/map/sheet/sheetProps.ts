import type { GuardMap } from '@aftersquall/core/model';
import type { Selection } from '../selection.ts';

/** What every sheet is given. */
export interface SheetProps {
  map: GuardMap;
  select: (selection: Selection | undefined) => void;
}
