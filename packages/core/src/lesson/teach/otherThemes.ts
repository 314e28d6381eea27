import { ifAny } from '../choose/ifAny.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import { chooseThemes, type Theme } from './chooseTheme.ts';
import { Said } from './said.ts';
import { themeAim } from './talkBlocks.ts';
import { teachable } from './technique.ts';

/** A theme that a class could have instead. */
export interface OtherTheme {
  /** What everybody could do by the end of it: "knee tap; when they post the far hand: take the back". */
  aim: string;
  /** The moves that make it: pinned, they are what is taught. */
  moves: string[];
}

const MAX_OTHER_THEMES = 2;

/** The next themes from the same start, the best first: each about another attack, or another answer to what spoils it. */
export function otherThemes(request: LessonRequest): OtherTheme[] {
  const teach = teachable(request);
  const themes = ifAny(() => chooseThemes(teach)) ?? [];
  const said = new Said(teach);
  const aboutOf = ({ taught }: Theme) =>
    taught
      .filter(({ role }) => role === 'main' || role === 'opposite')
      .map(({ technique }) => technique.id)
      .sort()
      .join(' ');
  const seen = new Set(themes.slice(0, 1).map(aboutOf));
  const others: OtherTheme[] = [];
  for (const theme of themes.slice(1)) {
    const about = aboutOf(theme);
    if (seen.has(about) || others.length === MAX_OTHER_THEMES) continue;
    seen.add(about);
    others.push({
      aim: themeAim(said, theme.taught),
      moves: [...new Set(theme.set.map(({ move }) => move.id))],
    });
  }
  return others;
}
