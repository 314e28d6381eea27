import { badReferences } from '../../documents/documentIssues.ts';
import type { EntityKind } from '../../model/map.ts';
import { ENTITY_KINDS, LIST_OF } from '../../model/map.ts';
import type { Check } from '../finding.ts';

const KIND_OF = Object.fromEntries(ENTITY_KINDS.map((kind) => [LIST_OF[kind], kind])) as Record<
  string,
  EntityKind
>;

/** A mention of something that is not in the map, or one id or exchange twice. */
export const badReference: Check = (map) =>
  badReferences(map).map(({ path, message }) => {
    const [list, place, ...rest] = path;
    const kind = KIND_OF[String(list)]!;
    const item = map[LIST_OF[kind]][Number(place)]!;
    return {
      code: 'bad-reference',
      severity: 'error',
      place: { kind, id: item.id, path: rest.join('.') },
      sentence: `In the ${kind} "${item.id}": ${message}.`,
      mend: 'Add what is missing, or choose something that exists.',
    };
  });
