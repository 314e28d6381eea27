import {
  type Command,
  ENTITY_SCHEMAS,
  type EntityKind,
  type EntityOf,
  type Issue,
  put,
  zodIssues,
} from '@aftersquall/core';
import { changeMap } from '../../../store/mapSession.ts';
import { useAppDispatch } from '../../../store/store.ts';

/** Saves changed fields of one thing: checked by the shared schema first, then as a command. */
export function useSaver<K extends EntityKind>(kind: K, thing: EntityOf<K> | undefined) {
  const dispatch = useAppDispatch();
  return (changes: Partial<EntityOf<K>>): Issue[] => {
    const parsed = ENTITY_SCHEMAS[kind].safeParse({ ...thing, ...changes });
    if (!parsed.success) return zodIssues(parsed.error);
    return dispatch(changeMap(put(kind, parsed.data as EntityOf<K>) as Command));
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
