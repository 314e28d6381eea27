import type { HazardTag } from '@aftersquall/core/model';
import { TriangleAlert } from 'lucide-react';

/** The hazards that travel with a move, each with its sign and its word. */
export function Hazards({ tags }: { tags: readonly HazardTag[] }) {
  return tags.map((tag) => (
    <span key={tag} className="hazard-tag">
      <TriangleAlert size={13} aria-hidden />
      {tag.replaceAll('-', ' ')}
    </span>
  ));
}
