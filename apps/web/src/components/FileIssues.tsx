import type { Issue } from '@aftersquall/core/documents';

/** What is wrong in a file, and where in it. */
export function FileIssues({ issues }: { issues: readonly Issue[] }) {
  return (
    <ul aria-label="What is wrong in the file">
      {issues.map(({ path, message }) => (
        <li key={`${path.join('.')} ${message}`}>
          <code>{path.join('.') || 'file'}</code> {message}
        </li>
      ))}
    </ul>
  );
}
