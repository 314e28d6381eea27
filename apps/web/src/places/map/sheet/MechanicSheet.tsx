import { indexMap, MECHANIC_FORMS, type Mechanic, SAID_LIMIT, TEXT_LIMIT } from '@aftersquall/core/model';
import { FaultsField } from '../../../components/fields/FaultsField.tsx';
import { HazardsField } from '../../../components/fields/HazardsField.tsx';
import { LoadsField } from '../../../components/fields/LoadsField.tsx';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { say } from '../words.ts';
import { AliasesField, NameFields, NoteField } from './CommonFields.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';
import { linesOf, useSaver } from './useSaver.ts';

const FORMS: Record<Mechanic['form'], string> = {
  solo: 'alone',
  pair: 'with a partner',
  line: 'down the mat',
};

/** A movement that moves are made of: how it is done and drilled, and which moves need it. */
export function MechanicSheet({ id, map, select }: SheetProps & { id: string }) {
  const mechanic = indexMap(map).mechanic.get(id);
  const save = useSaver('mechanic', mechanic);
  if (!mechanic) return null;
  const used = map.moves.filter(({ mechanics }) => mechanics.includes(id));
  return (
    <>
      <div className={styles.fields}>
        <NameFields of={mechanic} save={save} />
        <div className="two">
          <SelectField
            label="Drilled"
            value={mechanic.form}
            choices={MECHANIC_FORMS.map((form) => ({ value: form, name: FORMS[form] }))}
            onChange={(form) => save({ form: form as Mechanic['form'] })}
          />
          <SavedField
            label={say.howMuchTime}
            placeholder="8 a side"
            value={mechanic.dose ?? ''}
            onSave={(dose) => save({ dose: dose || undefined })}
          />
        </div>
        <SavedField
          label={say.howDone}
          limit={TEXT_LIMIT}
          lines={3}
          value={mechanic.how}
          onSave={(how) => save({ how })}
        />
        <SavedField
          label={say.saidClass}
          limit={SAID_LIMIT}
          value={mechanic.said ?? ''}
          onSave={(said) => save({ said: said.trim() || undefined })}
        />
        <SavedField
          label={say.whatPartnerDoes}
          limit={TEXT_LIMIT}
          lines={2}
          value={mechanic.partner ?? ''}
          onSave={(partner) => save({ partner: partner || undefined })}
        />
        <SavedField
          label={say.cuesOneLine}
          lines={2}
          value={mechanic.cues.join('\n')}
          onSave={(text) => save({ cues: linesOf(text) })}
        />
        <AliasesField aliases={mechanic.aliases} save={save} />
        <NoteField note={mechanic.note} save={save} />
      </div>
      <h3>Faults</h3>
      <FaultsField map={map} faults={mechanic.faults} onChange={(faults) => save({ faults })} />
      <LoadsField loads={mechanic.loads} onChange={(loads) => save({ loads })} />
      <h3>Hazards</h3>
      <HazardsField hazards={mechanic.hazards} onChange={(hazards) => save({ hazards })} />
      <h3>Moves made of it</h3>
      <div className="chip-field">
        {used.map((move) => (
          <button
            key={move.id}
            type="button"
            className="chip"
            onClick={() => select({ kind: 'move', id: move.id })}
          >
            {move.name}
          </button>
        ))}
        {used.length === 0 && <span className="soft">None yet.</span>}
      </div>
    </>
  );
}
