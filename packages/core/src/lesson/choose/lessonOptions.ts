import type { WeighOptions } from '../../weigh/game/mapGame.ts';
import type { LessonRequest } from './lessonRequest.ts';
import { lessonRules } from './lessonRules.ts';

/** What a lesson is weighed under. */
export function lessonOptions(request: Omit<LessonRequest, 'root' | 'minutes'>): WeighOptions {
  const rules = lessonRules(request);
  return { ...request.options, apparel: request.apparel, ...(rules && { rules }) };
}
