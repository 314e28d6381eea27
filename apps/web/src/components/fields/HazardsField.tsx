import { HAZARD_TAGS, type HazardTag } from '@aftersquall/core/model';

interface Props {
  hazards: readonly HazardTag[];
  onChange: (hazards: HazardTag[]) => void;
}

/** What it can hurt, each a chip to be set or not. */
export function HazardsField({ hazards, onChange }: Props) {
  return (
    <div className="chip-field" role="group" aria-label="Hazards">
      {HAZARD_TAGS.map((tag) => {
        const on = hazards.includes(tag);
        return (
          <button
            key={tag}
            type="button"
            className={`chip ${on ? 'on' : ''}`}
            aria-pressed={on}
            onClick={() => onChange(on ? hazards.filter((other) => other !== tag) : [...hazards, tag])}
          >
            {tag.replaceAll('-', ' ')}
          </button>
        );
      })}
    </div>
  );
}
