import { applyCommand } from './applyCommand.ts';
import { batch, type Command } from './command.ts';
import type { AnyDocument } from './defineDocument.ts';
import { type Issue, RefusedError } from './issue.ts';

/** The commands of one change as the one command that they are. */
export const commandOf = (commands: readonly Command[]): Command =>
  commands.length === 1 ? commands[0]! : batch([...commands]);

/**
 * The document with a list of waiting changes made on top of it, in their order. A change that cannot be made there
 * is left out and its reasons are given, at its place in the list.
 */
export function rebase<D extends AnyDocument>(
  document: D,
  waiting: readonly { commands: readonly Command[] }[],
): { document: D; refused: Map<number, Issue[]> } {
  const refused = new Map<number, Issue[]>();
  let current = document;
  waiting.forEach(({ commands }, i) => {
    try {
      current = applyCommand(current, commandOf(commands)).document;
    } catch (error) {
      if (!(error instanceof RefusedError)) throw error;
      refused.set(i, error.issues);
    }
  });
  return { document: current, refused };
}
