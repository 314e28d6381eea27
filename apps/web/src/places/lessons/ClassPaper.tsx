import { blockLines, blockName, blockTime, type ClassPlan, doseWords, forkCalls } from '@aftersquall/core';
import { clock } from '../../components/clock.ts';
import { Hazards } from '../../components/Hazards.tsx';
import styles from './classPaper.module.scss';

const WHO = { all: '', bottom: 'Bottom', top: 'Top' } as const;
/** So many calls stand on paper. */
const CALLS = 24;

/** The class as one sheet of paper; on screen it is not seen. */
export function ClassPaper({ plan }: { plan: ClassPlan }) {
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
      <footer>
        Practise under a qualified coach. The event’s current rule book and the club’s own policy decide what
        may be done; joint attacks and strangles are finished slowly and released at the tap.
      </footer>
    </article>
  );
}
