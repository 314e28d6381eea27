import { type Issue } from '@aftersquall/core/documents';
import { NAME_LIMIT, SHORT_LIMIT, TEXT_LIMIT } from '@aftersquall/core/model';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { say } from '../words.ts';
import { listOf } from './useSaver.ts';

interface NameProps {
  label?: string;
  of: { name: string; short?: string | undefined };
  save: (changes: { name: string } | { short: string | undefined }) => Issue[];
}

/** What something is called in full, and what a coach calls across the mat. */
export function NameFields({ label = 'Name', of: { name, short }, save }: NameProps) {
  return (
    <>
      <SavedField label={label} limit={NAME_LIMIT} value={name} onSave={(text) => save({ name: text })} />
      <SavedField
        label={say.calledAcrossMat}
        limit={SHORT_LIMIT}
        placeholder="at most four words"
        value={short ?? ''}
        onSave={(text) => save({ short: text.trim() || undefined })}
      />
    </>
  );
}

interface AliasesProps {
  aliases: readonly string[];
  save: (changes: { aliases: string[] }) => Issue[];
}

export function AliasesField({ aliases, save }: AliasesProps) {
  return (
    <SavedField
      label={say.otherNamesCommas}
      value={aliases.join(', ')}
      onSave={(text) => save({ aliases: listOf(text) })}
    />
  );
}

interface NoteProps {
  note: string | undefined;
  save: (changes: { note: string | undefined }) => Issue[];
}

export function NoteField({ note, save }: NoteProps) {
  return (
    <SavedField
      label="Note"
      limit={TEXT_LIMIT}
      lines={2}
      value={note ?? ''}
      onSave={(text) => save({ note: text || undefined })}
    />
  );
}
