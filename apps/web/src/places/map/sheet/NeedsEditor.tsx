import { conditionWords, facetName, type WordContext } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import {
  type Condition,
  FACET_NAMES,
  FACETS,
  type Facet,
  type GuardMap,
  indexMap,
  type Move,
} from '@aftersquall/core/model';
import { useState } from 'react';
import { PatternsField } from '../../../components/fields/PatternsField.tsx';
import { type Choice, SelectField } from '../../../components/fields/SelectField.tsx';
import { TakeOut } from '../../../components/TakeOut.tsx';
import { say } from '../words.ts';
import styles from './sheet.module.scss';

interface Props {
  map: GuardMap;
  move: Move;
  context: WordContext;
  onChange: (changes: Partial<Move>) => Issue[];
}

/** What must be seen and held for the move, and what is to be taught before it. */
export function NeedsEditor({ map, move, context, onChange }: Props) {
  return (
    <div className={styles.fields}>
      <div>
        <div className="label-small">Must be seen</div>
        <ConditionsField needs={move.needs} onChange={(needs) => onChange({ needs })} />
      </div>
      <div>
        <div className="label-small">Must be held</div>
        <PatternsField
          label="Holds it needs"
          patterns={move.needsHolds}
          context={context}
          onChange={(needsHolds) => onChange({ needsHolds })}
        />
      </div>
      <div>
        <div className="label-small">Taught before</div>
        <RequiresField map={map} move={move} onChange={onChange} />
      </div>
    </div>
  );
}

export function ConditionsField({
  needs,
  onChange,
}: {
  needs: readonly Condition[];
  onChange: (needs: Condition[]) => void;
}) {
  const [facet, setFacet] = useState<Facet | ''>('');
  const free = FACET_NAMES.filter((name) => !needs.some((need) => need.facet === name));
  const flipValue = (need: Condition, place: number, value: string) => {
    const values = need.values.includes(value)
      ? need.values.filter((other) => other !== value)
      : [...need.values, value];
    onChange(values.length > 0 ? needs.with(place, { ...need, values }) : needs.toSpliced(place, 1));
  };
  return (
    <div className="conditions">
      {needs.map((need, place) => (
        <div key={need.facet} className={styles.condition} role="group" aria-label={conditionWords(need)}>
          <span className="d-flex gap-2 align-items-center">
            <b>{facetName(need.facet)}</b>
            <button
              type="button"
              className={`chip ${need.mark === 'must' ? 'on' : ''}`}
              aria-pressed={need.mark === 'must'}
              onClick={() =>
                onChange(needs.with(place, { ...need, mark: need.mark === 'must' ? 'helps' : 'must' }))
              }
            >
              {need.mark === 'must' ? 'must' : 'helps'}
            </button>
            <TakeOut
              className="ms-auto"
              label={`Remove: ${conditionWords(need)}`}
              onClick={() => onChange(needs.toSpliced(place, 1))}
            />
          </span>
          <span className="chip-field">
            {FACETS[need.facet].map((value) => (
              <button
                key={value}
                type="button"
                className={`chip ${need.values.includes(value) ? 'on' : ''}`}
                aria-pressed={need.values.includes(value)}
                onClick={() => flipValue(need, place, value)}
              >
                {value.replaceAll('-', ' ')}
              </button>
            ))}
          </span>
        </div>
      ))}
      <SelectField
        label={say.anotherSignNeeds}
        hideLabel
        value={facet}
        choices={[
          { value: '', name: '+ sign' },
          ...free.map((name) => ({ value: name, name: facetName(name) })),
        ]}
        onChange={(value) => {
          setFacet('');
          if (value) {
            const name = value as Facet;
            onChange([...needs, { facet: name, values: [FACETS[name][0]], mark: 'must' }]);
          }
        }}
      />
    </div>
  );
}

function RequiresField({ map, move, onChange }: Pick<Props, 'map' | 'move' | 'onChange'>) {
  const index = indexMap(map);
  const words = (need: Move['requires'][number]): string =>
    'position' in need
      ? (index.position.get(need.position)?.name ?? need.position)
      : 'move' in need
        ? (index.move.get(need.move)?.name ?? need.move)
        : (index.mechanic.get(need.mechanic)?.name ?? need.mechanic);
  const choices: Choice[] = [
    { value: '', name: '+ taught before' },
    ...map.mechanics.map(({ id, name }) => ({ value: `mechanic:${id}`, name, group: 'Mechanics' })),
    ...map.positions.map(({ id, name }) => ({ value: `position:${id}`, name, group: 'Positions' })),
    ...map.moves
      .filter(({ id }) => id !== move.id)
      .map(({ id, name }) => ({ value: `move:${id}`, name, group: 'Moves' })),
  ];
  return (
    <div className="chip-field">
      {move.requires.map((need, place) => (
        <span key={words(need)} className="chip">
          {words(need)}
          <TakeOut
            label={`Remove: ${words(need)}`}
            onClick={() => onChange({ requires: move.requires.toSpliced(place, 1) })}
          />
        </span>
      ))}
      <SelectField
        label="Taught before"
        hideLabel
        value=""
        choices={choices}
        onChange={(value) => {
          const at = value.indexOf(':');
          if (at < 0) return;
          const need = { [value.slice(0, at)]: value.slice(at + 1) } as Move['requires'][number];
          onChange({ requires: [...move.requires, need] });
        }}
      />
    </div>
  );
}
