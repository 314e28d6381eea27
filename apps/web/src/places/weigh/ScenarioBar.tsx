import { edit, put, remove } from '@aftersquall/core/documents';
import { freshId, type GuardMap } from '@aftersquall/core/model';
import { Bookmark, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { IconButton } from '../../components/IconButton.tsx';
import { NameDialog } from '../../components/NameDialog.tsx';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import { PLAIN } from '../../store/whatIf.ts';
import { AS_IT_IS, type useWhatIf } from './useWhatIf.ts';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  asked: ReturnType<typeof useWhatIf>;
}

/** Stands for what is asked where that is neither the map as it is nor a scenario; no scenario has it for its id. */
const CHANGED = '*';

/** Which what-if is asked, keeping it under a name, and which one it is laid beside. */
export function ScenarioBar({ map, asked }: Props) {
  const { whatIf, scenario, changed, beside, begin, layBeside } = asked;
  const dispatch = useAppDispatch();
  const [naming, setNaming] = useState(false);
  const keep = (name: string) => {
    const same = map.scenarios.find((scenario) => scenario.name === name);
    const id =
      same?.id ??
      freshId(
        name,
        map.scenarios.map((scenario) => scenario.id),
      );
    const kept = { ...whatIf, id, name, note: same?.note ?? '' };
    const before = map.scenarios.find(({ id }) => id === kept.id);
    const command = before ? edit('scenario', before, kept) : put('scenario', kept);
    dispatch(changeMap(command, { announce: `Saved “${name}”.` }));
    begin(kept);
    setNaming(false);
  };
  return (
    <>
      <SelectField
        label="What-if"
        hideLabel
        value={changed ? CHANGED : (scenario?.id ?? '')}
        choices={[
          ...(changed
            ? [{ value: CHANGED, name: scenario ? `${scenario.name}, changed` : 'Changed, not saved' }]
            : []),
          { value: '', name: AS_IT_IS },
          ...map.scenarios.map(({ id, name }) => ({ value: id, name })),
        ]}
        onChange={(id) => begin(map.scenarios.find((scenario) => scenario.id === id))}
      />
      <IconButton label={say.saveWhatIfUnder} onClick={() => setNaming(true)}>
        <Bookmark size={14} aria-hidden />
      </IconButton>
      {scenario && (
        <IconButton
          label={say.removeWhatIf(scenario.name)}
          onClick={() => {
            begin(undefined);
            dispatch(
              changeMap(remove('scenario', scenario.id), {
                announce: say.removedWhatIf(scenario.name),
              }),
            );
          }}
        >
          <Trash2 size={14} aria-hidden />
        </IconButton>
      )}
      <SelectField
        label="Compare with"
        hideLabel
        value={beside}
        choices={[
          { value: '', name: 'Compare with …' },
          { value: PLAIN, name: `Compare with: ${AS_IT_IS.toLowerCase()}` },
          ...map.scenarios.map(({ id, name }) => ({ value: id, name: `Compare with: ${name}` })),
        ]}
        onChange={layBeside}
      />
      {naming && (
        <NameDialog
          title={say.saveWhatIf}
          name={scenario?.name ?? ''}
          onName={keep}
          onHide={() => setNaming(false)}
        />
      )}
    </>
  );
}
