// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { readNumber, SavedField } from './SavedField.tsx';

afterEach(cleanup);

const field = (value: string, onSave: (text: string) => string | undefined, more: object = {}) => (
  <SavedField label="Note" value={value} onSave={onSave} {...more} />
);
const input = () => screen.getByLabelText('Note') as HTMLInputElement;

describe('a field that saves itself', () => {
  it('saves when one leaves it, by Enter and by Escape, each text once', async () => {
    const onSave = vi.fn(() => undefined);
    render(field('old', onSave));
    await userEvent.type(input(), ' one');
    expect(onSave).not.toHaveBeenCalled();
    await userEvent.tab();
    await userEvent.type(input(), ' two{Enter}');
    await userEvent.type(input(), ' three{Escape}');
    expect(onSave.mock.calls).toEqual([['old one'], ['old one two'], ['old one two three']]);
  });

  it('keeps what is typed while somebody else saves the field, and says what they wrote', async () => {
    const onSave = vi.fn(() => undefined);
    const { rerender } = render(field('old', onSave));
    await userEvent.type(input(), ' mine');
    rerender(field('theirs', onSave));
    expect(input().value).toBe('old mine');
    expect(screen.getByRole('status').textContent).toContain('theirs');
    await userEvent.tab();
    expect(onSave.mock.calls).toEqual([['old mine']]);
  });

  it('follows what is saved as long as nobody types', () => {
    const onSave = vi.fn(() => undefined);
    const { rerender } = render(field('old', onSave));
    rerender(field('theirs', onSave));
    expect(input().value).toBe('theirs');
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('keeps what is refused with the reason, and does not send it again unchanged', async () => {
    const onSave = vi.fn(() => 'at most 120 letters');
    render(field('old', onSave));
    await userEvent.type(input(), ' and far too long{Enter}');
    expect(document.body.textContent).toContain('at most 120 letters');
    expect(input().value).toBe('old and far too long');
    await userEvent.type(input(), '{Enter}');
    expect(onSave).toHaveBeenCalledOnce();
    await userEvent.click(screen.getByRole('button', { name: 'Back to what is saved' }));
    expect(input().value).toBe('old');
    expect(document.body.textContent).not.toContain('at most');
  });

  it('saves what was typed when it goes with its sheet', async () => {
    const onSave = vi.fn(() => undefined);
    const { unmount } = render(field('old', onSave));
    await userEvent.type(input(), '!');
    unmount();
    expect(onSave).toHaveBeenCalledExactlyOnceWith('old!');
  });

  it('counts letters from nine tenths of the limit on', async () => {
    render(field('123456789', () => undefined, { limit: 10 }));
    expect(document.body.textContent).not.toContain('letters');
    await userEvent.type(input(), '0');
    expect(document.body.textContent).toContain('10 of at most 10 letters');
  });

  it('saves nothing where nothing was typed', async () => {
    const onSave = vi.fn(() => undefined);
    render(field('old', onSave));
    await userEvent.click(input());
    await userEvent.tab();
    expect(onSave).not.toHaveBeenCalled();
  });
});

describe('a number as people write it', () => {
  it.each([
    ['1,5', 1.5],
    [' 12 ', 12],
    ['', undefined],
    ['abc', Number.NaN],
  ])('%j is %j', (text, number) => expect(readNumber(text)).toEqual(number));
});
