import type { z } from 'zod';
import type { Issue } from './issue.ts';

/** The problems of a failed validation in our own form; of a union, those of the one member that was meant. */
export function zodIssues(error: z.ZodError): Issue[] {
  return error.issues.flatMap((issue) => flatten(issue as z.core.$ZodIssue, []));
}

function flatten(issue: z.core.$ZodIssue, prefix: PropertyKey[]): Issue[] {
  const path = [...prefix, ...issue.path];
  if (issue.code === 'invalid_union') {
    const meant = issue.errors.filter((member) => member.every(rightShape));
    if (meant.length === 1) return meant[0]!.flatMap((inner) => flatten(inner, path));
  }
  return [
    {
      path: path.map((part) => (typeof part === 'number' ? part : String(part))),
      message: plainMessage(issue),
    },
  ];
}

/** What the library says where a schema says nothing of its own, as a coach would. */
const BY_DEFAULT = /^(Too (big|small)|Invalid (input|string|option))/;

/** What is wrong, in words: the schema's own, or plain ones in place of the library's. */
function plainMessage(issue: z.core.$ZodIssue): string {
  if (!BY_DEFAULT.test(issue.message)) return issue.message;
  if (issue.code === 'too_big') return `at most ${issue.maximum}${unitOf(issue.origin, issue.maximum)}`;
  if (issue.code === 'too_small')
    return `${issue.inclusive === false ? 'more than' : 'at least'} ${issue.minimum}${unitOf(issue.origin, issue.minimum)}`;
  if (issue.code === 'invalid_type') return EXPECTED[issue.expected] ?? `expected ${issue.expected}`;
  if (issue.code === 'invalid_value') return `one of ${issue.values.map(String).join(', ')}`;
  return issue.message;
}

const unitOf = (origin: string, count: number | bigint): string => {
  if (origin === 'array') return ' of them';
  if (origin !== 'string') return '';
  return Number(count) === 1 ? ' letter' : ' letters';
};
const EXPECTED: Record<string, string> = {
  number: 'give a number',
  int: 'give a whole number',
  string: 'give a text',
  boolean: 'say yes or no',
  array: 'give a list',
  object: 'give a group of fields in braces',
};

/** Whether a member of a union fails only in what a field holds, not in which fields there are. */
const rightShape = (issue: z.core.$ZodIssue): boolean =>
  issue.path.length > 0 &&
  issue.code !== 'unrecognized_keys' &&
  !(issue.code === 'invalid_type' && issue.path.length <= 1);
