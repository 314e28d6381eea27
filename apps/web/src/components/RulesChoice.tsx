import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { setRules } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { SelectField } from './fields/SelectField.tsx';
import { say } from './words.ts';

/** The rules profile that every place goes by, and who has the last word; in a bar its label is in its choices. */
export function RulesChoice({ inBar = false }: { inBar?: boolean }) {
  const dispatch = useAppDispatch();
  const rules = useAppSelector(({ settings }) => settings.rules);
  return (
    <>
      <SelectField
        label="Rules"
        hideLabel={inBar}
        value={rules}
        choices={[
          { value: '', name: inBar ? 'No rules profile' : 'none' },
          ...SHIPPED_PROFILES.map(({ id, name }) => ({ value: id, name: inBar ? `Rules: ${name}` : name })),
        ]}
        onChange={(id) => dispatch(setRules(id))}
      />
      {rules && <span className="soft small rules-caution">{say.eventsCurrentRuleBook}</span>}
    </>
  );
}
