import stringify from 'json-stringify-pretty-compact';
import { badReferences } from '../documents/documentIssues.ts';
import { RefusedError } from '../documents/issue.ts';
import { zodIssues } from '../documents/zodIssues.ts';
import { type GuardMap, MapSchema } from '../model/map.ts';
import { upgradeMap } from './upgradeMap.ts';

/**
 * A map from the contents of a map file.
 * @throws RefusedError with the path of every problem: text that is not JSON, a wrong shape, a duplicate id, a
 * dangling reference.
 */
export function parseMapFile(text: string): GuardMap {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new RefusedError([{ path: [], message: `this is not a JSON file: ${(error as Error).message}` }]);
  }
  return parseMap(data);
}

/** The same for data that is already read. */
export function parseMap(data: unknown): GuardMap {
  const parsed = MapSchema.safeParse(upgradeMap(data));
  if (!parsed.success) throw new RefusedError(zodIssues(parsed.error));
  const issues = badReferences(parsed.data);
  if (issues.length > 0) throw new RefusedError(issues);
  return parsed.data;
}

/** The one way a map is written: keys in the schema's order, nothing that says only the default "nothing". */
export function printMapFile(map: GuardMap): string {
  return `${stringify(withoutEmpty(MapSchema.parse(map)), { indent: 1, maxLength: 116 })}\n`;
}

function withoutEmpty(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutEmpty);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .map(([key, inner]) => [key, withoutEmpty(inner)] as const)
      .filter(([, inner]) => !isEmpty(inner)),
  );
}

function isEmpty(value: unknown): boolean {
  if (value === undefined || value === '' || value === false) return true;
  return typeof value === 'object' && value !== null && Object.keys(value).length === 0;
}
