import {
  blockLines,
  blockName,
  blockTime,
  type ClassPlan,
  doseWords,
  forkCalls,
  type GuardMap,
  indexMap,
  type Lesson,
  landingWords,
  reactionName,
  wordContext,
} from '@aftersquall/core';
import { clock } from '../../components/clock.ts';
import { Hazards } from '../../components/Hazards.tsx';
import { LimbGlyph } from '../../components/LimbGlyph.tsx';
import styles from './classPaper.module.scss';

const WHO = { all: '', bottom: 'Bottom', top: 'Top' } as const;
/** So many calls stand on paper. */
const CALLS = 24;

/** The class as one sheet of paper; on screen it is not seen. */
export function ClassPaper({ plan, map }: { plan: ClassPlan; map: GuardMap | undefined }) {
  let at = 0;
  return (
    <article className={styles.paper} aria-label="Class sheet">
      <h2>{plan.name}</h2>
      <p>
        {plan.minutes} minutes, {plan.people} people, {plan.apparel}
      </p>
      <table>
        <tbody>
          {plan.blocks.map((block) => {
            const start = at;
            const { total } = blockTime(block, plan);
            at += total;
            return (
              <tr key={block.id}>
                <th scope="row">
                  {clock(start)}
                  <small>{clock(total)}</small>
                </th>
                <td>
                  <b>{block.title}</b>{' '}
                  <small>
                    {[blockName(block.kind), doseWords(block), 'resistance' in block && block.resistance]
                      .filter(Boolean)
                      .join(', ')}
                  </small>
                  {'hazards' in block && <Hazards tags={block.hazards} />}
                  {blockLines(block).map(({ who, text }) => (
                    <p key={`${who} ${text}`}>
                      {WHO[who] && <em>{WHO[who]}: </em>}
                      {text}
                    </p>
                  ))}
                  {block.kind === 'fork' && (
                    <p>
                      <em>Calls: </em>
                      {forkCalls(block, CALLS)
                        .map((call) => call + 1)
                        .join(' ')}{' '}
                      ({block.links.map(({ meets }, i) => `${i + 1} ${meets || 'nothing'}`).join(', ')})
                    </p>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {map && plan.lesson && <Handout map={map} lesson={plan.lesson} />}
      <footer>
        Practise under a qualified coach. The event’s current rule book and the club’s own policy decide what
        may be done; joint attacks and strangles are finished slowly and released at the tap.
      </footer>
    </article>
  );
}

/** For the pocket of those who were there: if they do this, you do that. */
function Handout({ map, lesson }: { map: GuardMap; lesson: Lesson }) {
  const index = indexMap(map);
  const root = index.position.get(lesson.root);
  return (
    <section className={styles.handout} aria-label="Handout">
      <h3>
        {root && <LimbGlyph holds={root.holds} context={wordContext(root)} width={48} />} {root?.name}
      </h3>
      {lesson.steps.map(({ move: id, name }) => {
        const move = index.move.get(id);
        const answers = move ? index.exchangesOf(id).filter(({ reaction }) => reaction !== 'none') : [];
        return (
          <div key={id}>
            <b>{name}</b>
            <ul>
              {answers.map((exchange) => (
                <li key={exchange.id}>
                  {exchange.reaction !== 'none' &&
                    `If top ${lowerFirst(reactionName(map, exchange.reaction))}: `}
                  {landingWords(map, exchange.to)}
                </li>
              ))}
              {move?.faults.slice(0, 2).map(({ id: fault, text, mend }) => (
                <li key={fault}>
                  Not: {text}
                  {mend && `; but: ${mend}`}
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </section>
  );
}

const lowerFirst = (text: string): string => text.replace(/^./, (first) => first.toLowerCase());
