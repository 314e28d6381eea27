import { contactName } from '@aftersquall/core/body';
import { type Issue } from '@aftersquall/core/documents';
import { type Contact, HOOK_ROUTES, type PoseHints, type Position } from '@aftersquall/core/model';
import { ChoiceToggle } from '../../../components/ChoiceToggle.tsx';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { say } from '../words.ts';
import styles from './sheet.module.scss';

export type Turning = 'view' | 'own' | 'top';

interface Props {
  position: Position;
  turning: Turning;
  onTurning: (turning: Turning) => void;
  save: (changes: Partial<Position>) => Issue[];
}

const WAYS = {
  outside: 'round the outside',
  inside: 'between the legs',
  behind: 'from behind',
} as const satisfies Record<(typeof HOOK_ROUTES)[number], string>;

/** What helps the picture where holds and signs leave it open: how a body is turned, which way a hook goes round. */
export function PictureHintsPart({ position, turning, onTurning, save }: Props) {
  const { pose } = position;
  const hooks = position.holds
    .filter(({ action, contacts }) => action === 'hook' && /^(foot|leg)/.test(contacts[0]!))
    .map(({ contacts }) => contacts[0]!);
  const setWay = (contact: Contact, way: string) => {
    const { [contact]: _, ...others } = pose?.routes ?? {};
    const routes = way ? { ...others, [contact]: way as (typeof HOOK_ROUTES)[number] } : others;
    const { routes: __, ...rest } = pose ?? {};
    const next: PoseHints = { ...rest, ...(Object.keys(routes).length > 0 && { routes }) };
    save({ pose: Object.keys(next).length > 0 ? next : undefined });
  };
  return (
    <details className={styles.hints} open={Boolean(pose)}>
      <summary>{say.pictureNotRight}</summary>
      <ChoiceToggle
        label="What dragging turns"
        above={say.draggingArrowKeysTurn}
        value={turning}
        choices={[
          ['view', 'the view'],
          ['own', 'bottom'],
          ['top', 'top'],
        ]}
        onChange={onTurning}
      />
      {hooks.map((contact) => (
        <SelectField
          key={contact}
          label={`The hooking ${contactName(contact)} goes`}
          value={pose?.routes?.[contact] ?? ''}
          choices={[
            { value: '', name: 'as the holds say' },
            ...HOOK_ROUTES.map((way) => ({ value: way, name: WAYS[way] })),
          ]}
          onChange={(way) => setWay(contact, way)}
        />
      ))}
      {pose && (
        <button type="button" className="btn btn-sm btn-plain" onClick={() => save({ pose: undefined })}>
          Back to the holds
        </button>
      )}
    </details>
  );
}
