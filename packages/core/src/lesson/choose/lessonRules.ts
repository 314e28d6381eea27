import type { Apparel, Level } from '../../model/primitives.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';
import { SHIPPED_PROFILES } from '../../rules/shippedProfiles.ts';

interface Asked {
  apparel: Apparel;
  level: Level;
  youth?: boolean | undefined;
  /** What the coach chose; none where nothing was. */
  rules?: RulesProfile | undefined;
}

/**
 * The rules a class goes by: those that were chosen, and for the young and for novices whatever is usually barred for them
 * besides, so that nothing of that comes into their class whatever was chosen.
 */
export function lessonRules({ apparel, level, youth, rules }: Asked): RulesProfile | undefined {
  const usual = youth
    ? SHIPPED_PROFILES.find(({ ageGroup }) => ageGroup === 'youth')
    : level === 'novice'
      ? SHIPPED_PROFILES.find(
          (one) => one.level === 'novice' && one.ageGroup === 'adult' && one.apparel === apparel,
        )
      : undefined;
  if (!usual || !rules) return rules ?? usual;
  return { ...rules, barred: [...new Set([...rules.barred, ...usual.barred])] };
}

/** The same in words: "Expert, gi, and what youth rules bar". */
export function lessonRulesWords(asked: Asked): string {
  const whose = asked.youth ? 'youth' : asked.level === 'novice' ? 'novice' : undefined;
  if (!asked.rules) return whose ? `${whose} rules` : '';
  return whose ? `${asked.rules.name}, and what ${whose} rules bar` : asked.rules.name;
}
