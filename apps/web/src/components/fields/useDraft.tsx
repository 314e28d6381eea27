import { createContext, type ReactNode, useCallback, useContext, useEffect, useRef, useState } from 'react';
import { device } from '../../device/device.ts';

/** What the fields on a screen belong to, such as `map/kelpwick/position/triangle`; empty where nothing is kept. */
const Scope = createContext('');
export const DraftScope = Scope.Provider;

/** A part of what is edited whose fields have names of their own: a variation, a look, a block. */
export function PartScope({ part, children }: { part: string; children: ReactNode }) {
  const scope = useContext(Scope);
  return <Scope value={scope && `${scope}/${part}`}>{children}</Scope>;
}

/** Typed text is on the device so soon after the last key, ms. */
const KEEP_AFTER_MS = 250;

/** A field while it is typed in. */
export interface DraftText {
  text: string;
  /** Whether the text is another one than is saved. */
  dirty: boolean;
  /** What somebody else has saved in the field since one began to type; undefined where nobody has. */
  theirs: string | undefined;
  /** Whether the text was typed on an earlier visit and is not saved yet. */
  restored: boolean;
  type: (text: string) => void;
  /** The text was saved, or is given up for what is saved: it is no draft any more. */
  settle: (text?: string) => void;
}

/**
 * The text of a field between what is saved and what is being typed. What is typed is never rewritten, and comes back
 * after a crash: it is kept on the device within half a second until it is saved or given up.
 * @param value what is saved
 * @param name of the field within its scope; nothing is kept where it has none
 */
export function useDraft(value: string, name: string | undefined): DraftText {
  const scope = useContext(Scope);
  const key = scope && name ? `${scope}/${name}` : undefined;
  const [draft, setDraft] = useState(() => {
    const kept = key ? device.cells.draft(key) : undefined;
    return kept && kept.text !== value
      ? { text: kept.text, from: kept.from, restored: true }
      : { text: value, from: value, restored: false };
  });
  const latest = useRef(draft);
  latest.current = draft;
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const keep = useCallback(() => {
    clearTimeout(timer.current);
    timer.current = undefined;
    if (!key) return;
    const { text, from } = latest.current;
    device.cells.keepDraft(key, text === from ? undefined : { text, from, at: Date.now() });
  }, [key]);

  useEffect(() => {
    const { text, from } = latest.current;
    // Untouched, the field follows what is saved; so does one whose text is what was saved just now.
    if (from !== value && (text === from || text === value)) {
      latest.current = { text: value, from: value, restored: false };
      setDraft(latest.current);
    }
  }, [value]);
  useEffect(
    () => () => {
      if (timer.current !== undefined) keep();
    },
    [keep],
  );

  const type = (text: string) => {
    latest.current = { ...latest.current, text };
    setDraft(latest.current);
    clearTimeout(timer.current);
    timer.current = setTimeout(keep, KEEP_AFTER_MS);
  };
  const settle = (text = value) => {
    latest.current = { text, from: text, restored: false };
    setDraft(latest.current);
    keep();
  };
  const dirty = draft.text !== draft.from;
  return {
    text: draft.text,
    dirty,
    theirs: dirty && value !== draft.from ? value : undefined,
    restored: draft.restored && dirty,
    type,
    settle,
  };
}
