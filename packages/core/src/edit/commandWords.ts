import { joinWords } from '../body/words.ts';
import type { Command } from './command.ts';

/** What a command changed, for the history: its label, or the things it wrote and took out. At most three are named. */
export function commandWords(command: Command): string {
  switch (command.do) {
    case 'put': {
      const { kind, value } = command;
      const name = 'name' in value ? value.name : 'alias' in value ? value.alias : undefined;
      return name ? `${kind} “${name}”` : kind;
    }
    case 'remove':
      return `${command.kind} removed`;
    case 'describe':
      return command.name ? `map “${command.name}”` : 'settings of the map';
    case 'batch': {
      if (command.label) return command.label;
      const words = [...new Set(command.commands.map(commandWords))];
      return words.length > 3
        ? `${words.slice(0, 2).join(', ')} and ${words.length - 2} more`
        : joinWords(words) || 'nothing';
    }
  }
}
