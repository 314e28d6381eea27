// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Chance } from './Chance.tsx';
import { ChoiceSearch } from './ChoiceSearch.tsx';
import { ChoiceToggle } from './ChoiceToggle.tsx';
import { FileIssues } from './FileIssues.tsx';
import { DayField } from './fields/DayField.tsx';
import { SelectField, wordChoices } from './fields/SelectField.tsx';
import { Hazards } from './Hazards.tsx';
import { IconButton } from './IconButton.tsx';
import { NameDialog } from './NameDialog.tsx';
import { PlayHead } from './PlayHead.tsx';
import { ShortName } from './ShortName.tsx';
import { TakeOut } from './TakeOut.tsx';

afterEach(cleanup);

describe('a field that searches', () => {
  const choices = ['Triangle', 'Tripod sweep', 'Turtle'].map((name) => ({ key: name, name, what: 'move' }));
  function Search({ onPick }: { onPick: (place: number) => void }) {
    const [typed, setTyped] = useState('');
    const found = typed ? choices.filter(({ name }) => name.toLowerCase().startsWith(typed)) : [];
    return (
      <ChoiceSearch
        id="finds"
        label="Find"
        listLabel="Found"
        placeholder=""
        typed={typed}
        onType={setTyped}
        choices={found}
        onPick={onPick}
      />
    );
  }
  const setUp = () => {
    const onPick = vi.fn();
    render(<Search onPick={onPick} />);
    return { onPick, field: screen.getByRole('combobox', { name: 'Find' }), user: userEvent.setup() };
  };

  it('opens its list when something is found, and says which of it is meant', async () => {
    const { field, user } = setUp();
    expect(field.getAttribute('aria-expanded')).toBe('false');
    await user.type(field, 't');
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
      'Trianglemove',
      'Tripod sweepmove',
      'Turtlemove',
    ]);
    expect(field.getAttribute('aria-activedescendant')).toBe('finds-0');
  });

  it('walks the list by arrows, stops at its ends and takes one by Enter', async () => {
    const { field, user, onPick } = setUp();
    await user.type(field, 't{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}');
    expect(screen.getByRole('option', { selected: true }).textContent).toContain('Turtle');
    await user.keyboard('{ArrowUp}{Enter}');
    expect(onPick).toHaveBeenCalledExactlyOnceWith(1);
  });

  it('begins at the first find again when something else is typed, and takes nothing where nothing is found', async () => {
    const { field, user, onPick } = setUp();
    await user.type(field, 't{ArrowDown}r');
    expect(screen.getByRole('option', { selected: true }).textContent).toContain('Triangle');
    await user.type(field, 'xyz{Enter}');
    expect(screen.queryAllByRole('option')).toEqual([]);
    expect(onPick).not.toHaveBeenCalled();
  });

  it('keeps the focus while the mouse picks', async () => {
    const { field, user, onPick } = setUp();
    await user.type(field, 't');
    await user.click(screen.getByRole('option', { name: /Tripod/ }));
    expect(onPick).toHaveBeenCalledExactlyOnceWith(1);
    expect(document.activeElement).toBe(field);
  });
});

describe('choices side by side', () => {
  it('say which one is in force, and tell the one that is pressed', async () => {
    const onChange = vi.fn();
    render(
      <ChoiceToggle
        label="Apparel"
        value="gi"
        onChange={onChange}
        choices={[
          ['gi', 'Gi'],
          ['no-gi', 'No-gi'],
        ]}
      />,
    );
    expect(screen.getByRole('group', { name: 'Apparel' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Gi', pressed: true })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'No-gi', pressed: false }));
    expect(onChange).toHaveBeenCalledExactlyOnceWith('no-gi');
  });
});

describe('a select', () => {
  it('shows choices under the names of their groups and tells a change at once', async () => {
    const onChange = vi.fn();
    const choices = [
      { value: 'x', name: 'X-guard', group: 'Positions' },
      { value: 'passed', name: 'guard passed', group: 'Ends' },
    ];
    render(<SelectField label="If it works" value="x" choices={choices} onChange={onChange} />);
    expect(screen.getByRole('group', { name: 'Ends' }).textContent).toBe('guard passed');
    await userEvent.selectOptions(screen.getByLabelText('If it works'), 'guard passed');
    expect(onChange).toHaveBeenCalledExactlyOnceWith('passed');
  });

  it('makes plain words of values', () => {
    expect(wordChoices(['two-on-one'])).toEqual([{ value: 'two-on-one', name: 'two on one' }]);
  });
});

describe('a day', () => {
  it('is saved once it is a whole one, and comes back where it was left half', async () => {
    const onSave = vi.fn();
    render(<DayField label="Day" value="2026-12-01" onSave={onSave} />);
    const field = screen.getByLabelText('Day') as HTMLInputElement;
    await userEvent.clear(field);
    expect(onSave).not.toHaveBeenCalled();
    await userEvent.type(field, '2026-12-08');
    expect(onSave).toHaveBeenLastCalledWith('2026-12-08');
    field.blur();
    await vi.waitFor(() => expect(field.value).toBe('2026-12-01'));
  });

  it('may be none where that is allowed', async () => {
    const onSave = vi.fn();
    render(<DayField label="Day" value="2026-12-01" optional onSave={onSave} />);
    await userEvent.clear(screen.getByLabelText('Day'));
    expect(onSave).toHaveBeenCalledExactlyOnceWith('');
  });
});

describe('a name asked for', () => {
  it('is given with its blanks cut off; without one it says so and stays open', async () => {
    const onName = vi.fn();
    render(<NameDialog title="New position" onName={onName} onHide={() => undefined} />);
    const field = await screen.findByLabelText('Name');
    await userEvent.click(screen.getByRole('button', { name: 'Create' }));
    await vi.waitFor(() => expect(screen.getByRole('dialog').textContent).toContain('name'));
    expect(onName).not.toHaveBeenCalled();
    await userEvent.type(field, '  Knee shield {Enter}');
    await vi.waitFor(() => expect(onName).toHaveBeenCalledExactlyOnceWith('Knee shield'));
  });

  it('is left by Cancel', async () => {
    const onHide = vi.fn();
    render(<NameDialog title="New position" name="X-guard" onName={() => undefined} onHide={onHide} />);
    expect(((await screen.findByLabelText('Name')) as HTMLInputElement).value).toBe('X-guard');
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(onHide).toHaveBeenCalledOnce();
  });
});

describe('what runs something', () => {
  const words = { run: 'Play', stop: 'Pause', place: 'Place' };
  const set = (more: object) => {
    const [onAt, onRun] = [vi.fn(), vi.fn()];
    const props = { at: 2, end: 10, step: 1, running: false, words, onAt, onRun, ...more };
    render(<PlayHead {...props} />);
    return { onAt, onRun };
  };

  it('goes on from where it stands, and begins anew at its end', async () => {
    const { onAt, onRun } = set({});
    await userEvent.click(screen.getByRole('button', { name: 'Play' }));
    expect([onAt.mock.calls, onRun.mock.calls]).toEqual([[], [[true]]]);
    cleanup();
    const ended = set({ at: 10 });
    await userEvent.click(screen.getByRole('button', { name: 'Play' }));
    expect([ended.onAt.mock.calls, ended.onRun.mock.calls]).toEqual([[[0]], [[true]]]);
  });

  it('is stopped while it runs, and cannot be pressed where there is nothing to run', async () => {
    const { onRun } = set({ running: true });
    await userEvent.click(screen.getByRole('button', { name: 'Pause' }));
    expect(onRun).toHaveBeenCalledExactlyOnceWith(false);
    cleanup();
    set({ disabled: true });
    expect((screen.getByRole('button', { name: 'Play' }) as HTMLButtonElement).disabled).toBe(true);
  });
});

describe('small things', () => {
  it('a short name is seen, the whole one is read aloud', () => {
    const { container } = render(
      <ShortName of={{ name: 'Half guard with the knee shield', short: 'knee shield' }} />,
    );
    expect(container.querySelector('[aria-hidden]')!.textContent).toBe('knee shield');
    expect(container.querySelector('.visually-hidden')!.textContent).toBe('Half guard with the knee shield');
    cleanup();
    expect(render(<ShortName of={{ name: 'X-guard' }} />).container.textContent).toBe('X-guard');
  });

  it('hazards stand in plain words', () => {
    const { container } = render(<Hazards tags={['heel-hook', 'strangle']} />);
    expect([...container.children].map(({ textContent }) => textContent)).toEqual(['heel hook', 'strangle']);
  });

  it('what is wrong in a file stands with its place, or with the file', () => {
    render(
      <FileIssues
        issues={[
          { path: ['moves', 2, 'name'], message: 'at least 1 letter' },
          { path: [], message: 'this is no map' },
        ]}
      />,
    );
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      'moves.2.name at least 1 letter',
      'file this is no map',
    ]);
  });

  it('a button with a picture alone says what it does, with its keys to be seen', async () => {
    const onClick = vi.fn();
    render(
      <IconButton label="Undo" title="Undo (Ctrl Z)" onClick={onClick}>
        <svg aria-hidden />
      </IconButton>,
    );
    const button = screen.getByRole('button', { name: 'Undo' });
    expect(button.title).toBe('Undo (Ctrl Z)');
    await userEvent.click(button);
    expect(onClick).toHaveBeenCalledOnce();
  });

  it('a cross says what it takes out', async () => {
    const onClick = vi.fn();
    render(<TakeOut label="Take out: Triangle" onClick={onClick} />);
    await userEvent.click(screen.getByRole('button', { name: 'Take out: Triangle' }));
    expect(onClick).toHaveBeenCalledOnce();
  });
});

describe('a chance', () => {
  it('is said as a coach counts, and exactly at a tap', async () => {
    render(<Chance chance={0.42} from="your guess" about="Your guess. Nobody has counted it yet." />);
    const chance = screen.getByRole('button', { name: 'Works 4 times in 10, exactly 42 %: your guess' });
    expect(chance.textContent).toBe('4times in 10, your guess');
    await userEvent.click(chance);
    expect(chance.textContent).toBe('42 %your guess');
    await userEvent.click(chance);
    expect(chance.textContent).toBe('4times in 10, your guess');
  });

  it('that never comes is said in the same way', () => {
    render(<Chance chance={0} from="counted" about="Counted on the mat" />);
    expect(screen.getByRole('button').textContent).toBe('0times in 10, counted');
  });
});
