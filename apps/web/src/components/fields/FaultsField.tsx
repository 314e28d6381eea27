import { shortName } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import { type Fault, freshId, type GuardMap, indexMap } from '@aftersquall/core/model';
import { X } from 'lucide-react';
import { say } from '../words.ts';
import { PairsField } from './PairsField.tsx';

interface Props {
  map: GuardMap;
  faults: readonly Fault[];
  /** The reactions that may be let through: those of the looks it is about; all where it is about none. */
  reactions?: readonly string[];
  onChange: (faults: Fault[]) => Issue[];
}

/** What goes wrong and what mends it, in pairs. */
export function FaultsField({ map, faults, reactions, onChange }: Props) {
  const newId = () =>
    freshId(
      `f${faults.length + 1}`,
      faults.map(({ id }) => id),
    );
  return (
    <PairsField
      name="fault"
      asks={['What goes wrong', 'what mends it']}
      pairs={faults.map(({ id, text, mend = '' }) => ({ key: id, first: text, second: mend }))}
      onChange={(place, { key, first, second }) =>
        onChange(faults.with(place, { ...faults[place]!, id: key, text: first, mend: second || undefined }))
      }
      onAdd={(text) => onChange([...faults, { id: newId(), text }])}
      onRemove={(place) => onChange(faults.toSpliced(place, 1))}
      below={(place) => (
        <LetsField
          map={map}
          number={place + 1}
          lets={faults[place]!.lets ?? []}
          reactions={reactions ?? map.reactions.map(({ id }) => id)}
          onChange={(lets) =>
            void onChange(faults.with(place, { ...faults[place]!, lets: lets.length > 0 ? lets : undefined }))
          }
        />
      )}
    />
  );
}

interface LetsProps {
  map: GuardMap;
  number: number;
  lets: readonly string[];
  reactions: readonly string[];
  onChange: (lets: string[]) => void;
}

/** The reactions that a fault lets through. */
function LetsField({ map, number, lets, reactions, onChange }: LetsProps) {
  const { reaction } = indexMap(map);
  const wordsOf = (id: string) => shortName(reaction.get(id) ?? { name: id });
  return (
    <div className="chip-field small" role="group" aria-label={say.whatFaultLetsTop(number)}>
      {lets.map((id) => (
        <button
          key={id}
          type="button"
          className="chip of-top"
          aria-label={`Remove: ${reaction.get(id)?.name ?? id}`}
          onClick={() => onChange(lets.filter((other) => other !== id))}
        >
          {wordsOf(id)} <X size={11} aria-hidden />
        </button>
      ))}
      <select
        className="form-select form-select-sm w-auto"
        aria-label={say.addWhatFaultLets(number)}
        value=""
        onChange={(event) => event.target.value && onChange([...lets, event.target.value])}
      >
        <option value="">+ lets top…</option>
        {[...new Set(reactions)]
          .filter((id) => !lets.includes(id))
          .map((id) => (
            <option key={id} value={id}>
              {reaction.get(id)?.name ?? id}
            </option>
          ))}
      </select>
    </div>
  );
}
