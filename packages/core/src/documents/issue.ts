/** One thing that is wrong with what was sent: where, and in plain words what. */
export interface Issue {
  path: (string | number)[];
  message: string;
}

/** Thrown when a change is refused; nothing has been changed then. */
export class RefusedError extends Error {
  readonly issues: Issue[];
  constructor(issues: Issue[]) {
    super(issues.map((issue) => `${issue.path.join('.') || 'map'}: ${issue.message}`).join('\n'));
    this.name = 'RefusedError';
    this.issues = issues;
  }
}
