import type { GuardMap, Practice } from '@aftersquall/core/model';

/** What every part of the log is made of. */
export interface LogPartProps {
  map: GuardMap;
  practice: Practice;
  /** Today. */
  date: string;
  /** Whose; the whole group's where nobody is named. */
  athlete: string | undefined;
  /** Asks the server anew. */
  again: () => void;
}

/** An exchange in a line: what the move meets, where that is said. */
export const lineOf = ({ move, meets }: { move: string; meets: string }): string =>
  meets ? `${move} · ${meets}` : move;
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
