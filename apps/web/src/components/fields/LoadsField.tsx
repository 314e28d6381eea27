import { JOINTS, type Joint, type Loads } from '@aftersquall/core/model';
import { say } from '../words.ts';

interface Props {
  loads: Loads | undefined;
  onChange: (loads: Loads) => void;
}

/** From one tap to the next. */
const NEXT = { none: 'some', some: 'hard', hard: 'none' } as const;

/** The joints that something loads, a tap each: nothing, some (a caution), hard (nothing for a sore one). */
export function LoadsField({ loads = {}, onChange }: Props) {
  const tap = (joint: Joint) => {
    const next = NEXT[loads[joint] ?? 'none'];
    const { [joint]: _, ...others } = loads;
    onChange(next === 'none' ? others : { ...others, [joint]: next });
  };
  return (
    <div>
      <div className="label-small">Joints it loads</div>
      <div className="chip-field" role="group" aria-label="Joints it loads">
        {JOINTS.map((joint) => {
          const load = loads[joint];
          return (
            <button
              key={joint}
              type="button"
              className={`chip ${load ? 'on' : ''}`}
              aria-pressed={load !== undefined}
              title={say.tapOnceSomeLoad}
              onClick={() => tap(joint)}
            >
              {joint}
              {load && `: ${load}`}
            </button>
          );
        })}
      </div>
    </div>
  );
}
