import { indexMap, REACTION_GROUPS, type Reaction, SHORT_LIMIT, TEXT_LIMIT } from '@aftersquall/core/model';
import { HazardsField } from '../../../components/fields/HazardsField.tsx';
import { HoldsField } from '../../../components/fields/HoldsField.tsx';
import { PatternsField } from '../../../components/fields/PatternsField.tsx';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { SelectField, wordChoices } from '../../../components/fields/SelectField.tsx';
import { SignsField } from '../../../components/fields/SignsField.tsx';
import { say } from '../words.ts';
import { AliasesField, NameFields, NoteField } from './CommonFields.tsx';
import { ReactionNeeds } from './ReactionNeeds.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';
import { useSaver } from './useSaver.ts';

/** Reactions belong to no position, so their near side is the right, as the catalogue is written. */
const CONTEXT = { leadSide: 'R' } as const;

export function ReactionSheet({ id, map, select }: SheetProps & { id: string }) {
  const reaction = indexMap(map).reaction.get(id);
  const save = useSaver('reaction', reaction);
  if (!reaction) return null;
  const used = map.positions.filter((position) =>
    position.looks.some((look) => look.reactions.some((ref) => ref.id === id)),
  );
  return (
    <>
      <div className={styles.fields}>
        <NameFields label="What top does" of={reaction} save={save} />
        <SavedField
          label="Called when mirrored"
          limit={SHORT_LIMIT}
          placeholder="if it has another name there"
          value={reaction.shortMirrored ?? ''}
          onSave={(text) => save({ shortMirrored: text.trim() || undefined })}
        />
        <SelectField
          label="Group"
          value={reaction.group}
          choices={wordChoices(REACTION_GROUPS)}
          onChange={(group) => save({ group: group as Reaction['group'] })}
        />
        <SavedField
          label={say.howBottomFeelsComing}
          limit={TEXT_LIMIT}
          lines={2}
          value={reaction.feel}
          onSave={(feel) => save({ feel })}
        />
        <SavedField
          label={say.howPartnerGivesDrill}
          limit={TEXT_LIMIT}
          lines={2}
          value={reaction.script}
          onSave={(script) => save({ script })}
        />
        <AliasesField aliases={reaction.aliases} save={save} />
        <NoteField note={reaction.note} save={save} />
      </div>
      <h3>What it needs</h3>
      <ReactionNeeds reaction={reaction} context={CONTEXT} onChange={(needs) => save({ needs })} />
      <h3>What changes</h3>
      <SignsField label="Signs after it" signs={reaction.changes} onChange={(changes) => save({ changes })} />
      <h3>Which of our holds it breaks</h3>
      <PatternsField
        label="Holds it breaks"
        patterns={reaction.breaks}
        context={CONTEXT}
        onChange={(breaks) => save({ breaks })}
      />
      <h3>What top takes</h3>
      <HoldsField
        label={say.holdsTopTakes}
        by="top"
        holds={reaction.topTakes}
        context={CONTEXT}
        onChange={(topTakes) => save({ topTakes })}
      />
      <h3>What top lets go of</h3>
      <PatternsField
        label={say.holdsTopLetsGo}
        patterns={reaction.topReleases}
        context={CONTEXT}
        onChange={(topReleases) => save({ topReleases })}
      />
      <h3>Hazards of giving it</h3>
      <HazardsField
        hazards={reaction.hazards ?? []}
        onChange={(hazards) => save({ hazards: hazards.length > 0 ? hazards : undefined })}
      />
      <h3>Where it is listed</h3>
      <div className="chip-field">
        {used.map((position) => (
          <button
            key={position.id}
            type="button"
            className="chip"
            onClick={() => select({ kind: 'position', id: position.id })}
          >
            {position.name}
          </button>
        ))}
        {used.length === 0 && <span className="soft">{say.nowhereYetAddPosition}</span>}
      </div>
    </>
  );
}
