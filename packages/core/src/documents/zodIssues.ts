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
    { path: path.map((part) => (typeof part === 'number' ? part : String(part))), message: issue.message },
  ];
}

/** Whether a member of a union fails only in what a field holds, not in which fields there are. */
const rightShape = (issue: z.core.$ZodIssue): boolean =>
  issue.path.length > 0 &&
  issue.code !== 'unrecognized_keys' &&
  !(issue.code === 'invalid_type' && issue.path.length <= 1);
