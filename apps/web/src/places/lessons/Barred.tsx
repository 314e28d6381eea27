import type { BarredBlock } from '@aftersquall/core/lesson';
import { say } from './words.ts';

interface Props {
  barred: readonly BarredBlock[];
  /** The rules of the class, in words. */
  rules: string;
  onOpen: (block: string) => void;
}

/** What the rules of the class bar, and which of it is done all the same. */
export function Barred({ barred, rules, onOpen }: Props) {
  if (barred.length === 0) return null;
  return (
    <div className="notice hazard mb-2" role="note" aria-label="Against the rules">
      {barred.map(({ block, barred: tags, override }) => (
        <p key={block.id} className="mb-1">
          <button type="button" className="chip" onClick={() => onOpen(block.id)}>
            {block.title}
          </button>{' '}
          {tags.map((tag) => tag.replaceAll('-', ' ')).join(', ')}: against {rules}.{' '}
          {override ? `Allowed anyway: ${override}` : say.removeWriteWhyAllow}
        </p>
      ))}
    </div>
  );
}
