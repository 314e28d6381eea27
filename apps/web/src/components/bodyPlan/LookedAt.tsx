import { type ApparelTranslation, holdWords, targetName, type WordContext } from '@aftersquall/core/body';
import { say } from '../words.ts';

/** What the other side or the other apparel would change and lose; it is only looked at. */
export function LookedAt({
  translation,
  context,
}: {
  translation: ApparelTranslation;
  context: WordContext;
}) {
  return (
    <div className="mt-1 small" aria-live="polite">
      {!translation.available && <p className="hazard mb-1">{translation.why}.</p>}
      {translation.lost.map(({ by, hold, why }) => (
        <p key={hold.id} className="hazard mb-1">
          Lost: {holdWords(hold, context, by)} ({why}).
        </p>
      ))}
      {translation.changed.map(({ by, to, from }) => (
        <p key={from.id} className="mb-1">
          {holdWords(to, context, by)}, instead of {targetName(from.target, context)}
        </p>
      ))}
      <p className="soft mb-0">{say.lookingMirrorImageEdit}</p>
    </div>
  );
}
