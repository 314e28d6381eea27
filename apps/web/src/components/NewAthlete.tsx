import { type Command, type Issue, put } from '@aftersquall/core/documents';
import { AthleteSchema, type Club, freshId } from '@aftersquall/core/model';
import { type FormEvent, useState } from 'react';
import { say } from './words.ts';

interface Props {
  club: Club;
  onChange: (command: Command, announce?: string) => Issue[];
  /** Told of who is new, once they are in the club. */
  onAdded: (athlete: { id: string; alias: string }) => void;
}

const LONGEST = 40;

/** Somebody who trains for the first time: an alias is enough. */
export function NewAthlete({ club, onChange, onAdded }: Props) {
  const [alias, setAlias] = useState('');
  const [trouble, setTrouble] = useState('');
  const add = (event: FormEvent) => {
    event.preventDefault();
    const name = alias.trim();
    if (!name) return;
    if (club.athletes.some((one) => one.alias.toLowerCase() === name.toLowerCase())) {
      setTrouble(say.takenChooseAnotherNickname(name));
      return;
    }
    const id = freshId(
      name,
      club.athletes.map((one) => one.id),
    );
    const issues = onChange(put('athlete', AthleteSchema.parse({ id, alias: name })), say.isInTheClub(name));
    setTrouble(issues[0]?.message ?? '');
    if (issues.length > 0) return;
    setAlias('');
    onAdded({ id, alias: name });
  };
  return (
    <form onSubmit={add} className="new-athlete">
      <input
        className="form-control form-control-sm"
        aria-label={say.nicknameSomebodyNew}
        placeholder="somebody new"
        value={alias}
        maxLength={LONGEST}
        onChange={({ target }) => {
          setAlias(target.value);
          setTrouble('');
        }}
      />
      <button type="submit" className="btn btn-sm btn-plain" disabled={!alias.trim()}>
        Add
      </button>
      {trouble && (
        <span className="hazard" role="alert">
          {trouble}
        </span>
      )}
    </form>
  );
}
