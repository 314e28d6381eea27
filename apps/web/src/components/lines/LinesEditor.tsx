import { type LineError, quoteName } from '@aftersquall/core/formats';
import { type GuardMap, OUTCOMES } from '@aftersquall/core/model';
import { autocompletion, type CompletionContext, type CompletionResult } from '@codemirror/autocomplete';
import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language';
import { lintGutter, setDiagnostics } from '@codemirror/lint';
import { EditorState } from '@codemirror/state';
import { keymap } from '@codemirror/view';
import { tags } from '@lezer/highlight';
import { basicSetup, EditorView } from 'codemirror';
import { useEffect, useRef } from 'react';
import styles from './lines.module.scss';

interface Props {
  label: string;
  /** Ready to be typed in at once. */
  focused?: boolean;
  map: GuardMap;
  text: string;
  errors: readonly LineError[];
  onChange: (text: string) => void;
  onApply: () => void;
}

/** Just enough of the notation for the eye: comments, names in quotes, marks, chances, outcomes where a result is due. */
const notation = StreamLanguage.define<{ due: boolean }>({
  startState: () => ({ due: false }),
  token(stream, state) {
    if (stream.sol()) state.due = false;
    if (stream.sol() && stream.match(/^\s*#.*/)) return 'comment';
    if (stream.match(/^"(?:[^"\\]|\\.)*"/)) return 'string';
    if (stream.match(/^->/)) {
      state.due = true;
      return 'operator';
    }
    if (stream.match(/^[:|@~]/)) return 'operator';
    if (stream.match(/^else(?=\s|$)/)) {
      state.due = true;
      return 'keyword';
    }
    if (stream.match(/^\d+(?:[.,]\d+)?\s*(%|s\b)/)) return 'number';
    const word = stream.match(/^[\w-]+/) as RegExpMatchArray | null;
    if (!word) {
      stream.next();
      return null;
    }
    const { due } = state;
    state.due = false;
    return due && (OUTCOMES as readonly string[]).includes(word[0]) ? 'atom' : null;
  },
});

const colours = HighlightStyle.define([
  { tag: tags.operator, color: 'var(--as-top)', fontWeight: '700' },
  { tag: tags.keyword, color: 'var(--as-top)' },
  { tag: [tags.number, tags.atom], color: 'var(--as-own)', fontWeight: '650' },
  { tag: tags.comment, color: 'var(--as-soft)', fontStyle: 'italic' },
]);

/** Names for the part of the line one is in: positions, then moves, then reactions, then results. */
function completions(map: GuardMap, context: CompletionContext): CompletionResult | null {
  const line = context.state.doc.lineAt(context.pos);
  const before = line.text.slice(0, context.pos - line.from);
  const part = /(?:^|[:|]|->|\belse)\s*(~?"?[^:|>"]*)$/.exec(before);
  const typed = part?.[1]?.replace(/^~/, '') ?? '';
  if (!part || (typed === '' && !context.explicit)) return null;
  const names = before.includes('->')
    ? [...OUTCOMES, ...map.positions.map(({ name }) => quoteName(name))]
    : before.includes('|')
      ? ['none', ...map.reactions.map(({ name }) => quoteName(name))]
      : before.includes(':')
        ? map.moves.map(({ name }) => quoteName(name))
        : map.positions.map(({ name }) => quoteName(name));
  return {
    from: context.pos - typed.length,
    options: [...new Set(names)].map((label) => ({ label })),
    validFor: /^[^:|>]*$/,
  };
}

/** A text editor for lines, with errors marked where they are. */
export function LinesEditor({ label, focused = false, map, text, errors, onChange, onApply }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView>(undefined);
  const now = useRef({ map, onChange, onApply });
  now.current = { map, onChange, onApply };

  // biome-ignore lint/correctness/useExhaustiveDependencies: the editor is made once; what changes reaches it by the effects below and by `now`
  useEffect(() => {
    const editor = new EditorView({
      parent: host.current!,
      state: EditorState.create({
        doc: text,
        extensions: [
          keymap.of([
            {
              key: 'Mod-Enter',
              run: () => {
                now.current.onApply();
                return true;
              },
            },
          ]),
          basicSetup,
          notation,
          syntaxHighlighting(colours),
          lintGutter(),
          autocompletion({ override: [(context) => completions(now.current.map, context)] }),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': label, tabindex: '0' }),
          EditorView.updateListener.of((update) => {
            if (update.docChanged) now.current.onChange(update.state.doc.toString());
          }),
        ],
      }),
    });
    view.current = editor;
    if (focused) editor.focus();
    return () => editor.destroy();
  }, []);
  useEffect(() => {
    const editor = view.current;
    if (editor && editor.state.doc.toString() !== text)
      editor.dispatch({ changes: { from: 0, to: editor.state.doc.length, insert: text } });
  }, [text]);
  useEffect(() => {
    const editor = view.current;
    if (!editor) return;
    const { doc } = editor.state;
    editor.dispatch(
      setDiagnostics(
        editor.state,
        errors
          .filter(({ line }) => line <= doc.lines)
          .map(({ line, column, message }) => {
            const at = doc.line(line);
            const from = Math.min(at.from + column - 1, at.to);
            return {
              from,
              to: Math.min(Math.max(from + 1, at.to), at.to),
              severity: 'error' as const,
              message,
            };
          }),
      ),
    );
  }, [errors]);

  return <div ref={host} className={styles.editor} />;
}
