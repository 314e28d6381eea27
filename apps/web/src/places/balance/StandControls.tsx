import {
  type Build,
  MASS_RANGE,
  STANCE_NAMES,
  STANCES,
  STATURE_RANGE,
  type StanceName,
} from '@aftersquall/core/balance';
import { contactName } from '@aftersquall/core/body';
import { type Contact } from '@aftersquall/core/model';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import styles from './balance.module.scss';
import { type BalanceState, POSTS, type PostState, type PushAt } from './balanceState.ts';
import { say } from './words.ts';

interface Props {
  state: BalanceState;
  onChange: (changes: Partial<BalanceState>) => void;
}

/** How top stands: stance, build, what can be stood on, and where the push goes. */
export function StandControls({ state, onChange }: Props) {
  return (
    <section className={styles['balance-controls']} aria-label="How top stands">
      <SelectField
        label="Stance"
        value={state.stance}
        choices={STANCE_NAMES.map((name) => ({ value: name, name: STANCES[name].name }))}
        onChange={(stance) => onChange({ stance: stance as StanceName })}
      />
      <div className="two">
        <SavedField
          label="Height"
          unit="m"
          type="number"
          value={String(state.stature)}
          onSave={(text) => number(text, STATURE_RANGE, 'm', (stature) => onChange({ stature }))}
        />
        <SavedField
          label="Weight"
          unit="kg"
          type="number"
          value={String(state.mass)}
          onSave={(text) => number(text, MASS_RANGE, 'kg', (mass) => onChange({ mass }))}
        />
      </div>
      <ChoiceToggle<Build>
        label="Body table"
        above="Body table"
        value={state.build}
        choices={[
          ['average', 'between'],
          ['men', 'men'],
          ['women', 'women'],
        ]}
        onChange={(build) => onChange({ build })}
      />
      <fieldset className="posts" aria-label="Posts">
        <legend className="form-label">Top’s own posts</legend>
        {POSTS.map((contact) => (
          <PostRow
            key={contact}
            contact={contact}
            state={state.posts[contact] ?? 'free'}
            onChange={(post) => onChange({ posts: { ...state.posts, [contact]: post } })}
          />
        ))}
      </fieldset>
      <ChoiceToggle<PushAt>
        label="Pushed at"
        above="Pushed at"
        value={state.pushAt}
        choices={[
          ['knees', 'knees'],
          ['belt', 'belt'],
          ['shoulders', 'shoulders'],
        ]}
        onChange={(pushAt) => onChange({ pushAt })}
      />
      <p className="soft small mb-0">{say.balanceRestSpeedTiming}</p>
    </section>
  );
}

function number(
  text: string,
  [least, most]: readonly [number, number],
  unit: string,
  save: (value: number) => void,
): string | undefined {
  const value = readNumber(text);
  if (value === undefined || !(value >= least && value <= most)) return `From ${least} to ${most} ${unit}.`;
  save(value);
  return undefined;
}

/** What can become of a post: a held hand cannot be put down, a stuck foot cannot step, a light knee bears nothing. */
const OF_HAND: [PostState, string][] = [
  ['blocked', 'held'],
  ['added', 'posted'],
];
const OF_FOOT: [PostState, string][] = [
  ['blocked', 'lifted'],
  ['pinned', 'stuck'],
];
const OF_KNEE: [PostState, string][] = [
  ['blocked', 'light'],
  ['added', 'down'],
];

function PostRow({
  contact,
  state,
  onChange,
}: {
  contact: Contact;
  state: PostState;
  onChange: (state: PostState) => void;
}) {
  const choices: [PostState, string][] = [
    ['free', 'free'],
    ...(contact.startsWith('foot') ? OF_FOOT : contact.startsWith('leg') ? OF_KNEE : OF_HAND),
  ];
  return (
    <div className={styles['post-row']}>
      <span>
        {contact.startsWith('leg') ? contactName(contact).replace('leg', 'knee') : contactName(contact)}
      </span>
      <ChoiceToggle<PostState>
        label={contactName(contact)}
        value={state}
        choices={choices}
        onChange={onChange}
      />
    </div>
  );
}
