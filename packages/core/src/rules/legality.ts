import type { HazardTag } from '../model/hazards.ts';
import type { RulesProfile } from '../model/rulesProfile.ts';

export interface Legality {
  legal: boolean;
  /** Allowed, but a referee may stop it or see something else in it. */
  risk: boolean;
  why?: string;
}

/** Whether hazards are barred, or a referee's risk, under a profile. */
export function legality(hazards: readonly HazardTag[], profile: RulesProfile | undefined): Legality {
  if (!profile) return { legal: true, risk: false };
  const words = (tags: HazardTag[]) => tags.map((tag) => tag.replaceAll('-', ' ')).join(', ');
  const barred = hazards.filter((tag) => profile.barred.includes(tag));
  if (barred.length > 0)
    return { legal: false, risk: false, why: `${words(barred)} is barred under ${profile.name}` };
  const risky = hazards.filter((tag) => profile.refereeRisk.includes(tag));
  if (risky.length > 0)
    return { legal: true, risk: true, why: `${words(risky)} is a referee's risk under ${profile.name}` };
  return { legal: true, risk: false };
}
