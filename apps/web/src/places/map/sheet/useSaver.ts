import { edit, type Issue, zodIssues } from '@aftersquall/core/documents';
import { ENTITY_SCHEMAS, type EntityKind, type EntityOf } from '@aftersquall/core/model';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';

/** Saves changed fields of one thing, and only those: checked by the shared schema first, then as a command. */
export function useSaver<K extends EntityKind>(kind: K, thing: EntityOf<K> | undefined) {
  const dispatch = useAppDispatch();
  return (changes: Partial<EntityOf<K>>): Issue[] => {
    if (!thing) return [{ path: [], message: 'It was removed.' }];
    const parsed = ENTITY_SCHEMAS[kind].safeParse({ ...thing, ...changes });
    if (!parsed.success) return zodIssues(parsed.error);
    return dispatch(changeMap(edit(kind, thing as never, parsed.data as never)));
  };
}

/** Text with a thing on each line, as a list without empty lines. */
export const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

/** Text with commas, as a list. */
export const listOf = (text: string): string[] =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);
