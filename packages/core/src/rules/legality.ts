import { type HazardTag, TOPS_ACTS } from '../model/hazards.ts';
import type { RulesProfile } from '../model/rulesProfile.ts';

export interface Legality {
  legal: boolean;
  /** Allowed, but a referee may stop it or see something else in it. */
  risk: boolean;
  why?: string;
}

/** Those hazards of something bottom does that a profile bars. What is top's act bars nothing of bottom's. */
export const barredTags = (
  hazards: readonly HazardTag[],
  profile: Pick<RulesProfile, 'barred'> | undefined,
): HazardTag[] => hazards.filter((tag) => profile?.barred.includes(tag) && !TOPS_ACTS.includes(tag));

/** Whether the rules let top do something: its own hazards count, all of them. */
export const isLegalForTop = (
  { hazards = [] }: { hazards?: readonly HazardTag[] | undefined },
  profile: Pick<RulesProfile, 'barred'> | undefined,
): boolean => !hazards.some((tag) => profile?.barred.includes(tag));

/** Whether what bottom does is barred by its hazards, or a referee's risk, under a profile. */
export function legality(hazards: readonly HazardTag[], profile: RulesProfile | undefined): Legality {
  if (!profile) return { legal: true, risk: false };
  const words = (tags: HazardTag[]) => tags.map((tag) => tag.replaceAll('-', ' ')).join(', ');
  const barred = barredTags(hazards, profile);
  if (barred.length > 0)
    return { legal: false, risk: false, why: `${words(barred)} is barred under ${profile.name}` };
  const risky = hazards.filter((tag) => profile.refereeRisk.includes(tag) && !TOPS_ACTS.includes(tag));
  if (risky.length > 0)
    return { legal: true, risk: true, why: `${words(risky)} is a referee's risk under ${profile.name}` };
  return { legal: true, risk: false };
}
