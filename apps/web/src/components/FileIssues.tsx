import type { Issue } from '@aftersquall/core/documents';
import { say } from './words.ts';

/** What is wrong in a file, and where in it. */
export function FileIssues({ issues }: { issues: readonly Issue[] }) {
  return (
    <ul aria-label={say.whatWrongFile}>
      {issues.map(({ path, message }) => (
        <li key={`${path.join('.')} ${message}`}>
          <code>{path.join('.') || 'file'}</code> {message}
        </li>
      ))}
    </ul>
  );
}
