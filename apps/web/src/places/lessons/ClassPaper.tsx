import {
  type BarredBlock,
  type Block,
  barredWords,
  blockLines,
  blockName,
  type ClassPlan,
  doseWords,
  forkCalls,
  type GuardMap,
  indexMap,
  isDrilled,
  type Lesson,
  landingScene,
  placeName,
  timetable,
  toldInFull,
  turnOfLink,
} from '@aftersquall/core';
import { clock } from '../../components/clock.ts';
import { Hazards } from '../../components/Hazards.tsx';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { HoldScoreView } from '../../components/score/HoldScoreView.tsx';
import styles from './classPaper.module.scss';

const WHO = { all: '', bottom: 'Bottom', top: 'Top' } as const;
/** So many calls stand on paper. */
const CALLS = 24;

/** What can be had of a class on paper. */
export const PAPERS = {
  sheet: 'Class sheet',
  wall: 'Wall sheet',
  handout: 'Handout for the pocket',
  scores: 'Hold scores',
} as const;
export type Paper = keyof typeof PAPERS;

interface Props {
  plan: ClassPlan;
  map: GuardMap | undefined;
  paper: Paper;
  /** Blocks that the rules of the class bar. */
  barred: readonly BarredBlock[];
}

/** The class on paper; on screen it is not seen. */
export function ClassPaper({ plan, map, paper, barred }: Props) {
  return (
    <article className={`${styles.paper} ${styles[paper] ?? ''}`} aria-label={PAPERS[paper]}>
      <h2>{plan.name}</h2>
      {paper !== 'handout' && (
        <p>
          {plan.when && `${plan.when.date}, ${plan.when.start}; `}
          {plan.minutes} minutes, {plan.people} people, {plan.apparel}
        </p>
      )}
      {paper === 'sheet' && <Blocks plan={plan} barred={barred} />}
      {paper === 'wall' && <Blocks plan={plan} barred={barred} large />}
      {paper === 'handout' &&
        (map && plan.lesson ? (
          <Handout map={map} lesson={plan.lesson} />
        ) : (
          <p>A review has no handout: it teaches nothing new.</p>
        ))}
      {paper === 'scores' && map && <Scores map={map} plan={plan} />}
      <footer>
        Practise under a qualified coach. The event’s current rule book and the club’s own policy decide what
        may be done; joint attacks and strangles are finished slowly and released at the tap.
      </footer>
    </article>
  );
}

/** Everything drilled in a row as a score. */
function Scores({ map, plan }: { map: GuardMap; plan: ClassPlan }) {
  return plan.blocks.map(
    (block) =>
      isDrilled(block) &&
      block.kind !== 'fork' && (
        <section key={block.id}>
          <h3>{block.title}</h3>
          <HoldScoreView map={map} exchanges={block.links.map(turnOfLink)} apparel={plan.apparel} />
        </section>
      ),
  );
}

/** The blocks with their times, both roles and what to take care of; `large`, for the wall, without the words. */
function Blocks({ plan, barred, large = false }: Pick<Props, 'plan' | 'barred'> & { large?: boolean }) {
  return (
    <table>
      <tbody>
        {timetable(plan).map(({ block, start, total }) => (
          <tr key={block.id}>
            <th scope="row">
              {clock(start)}
              {!large && <small>{clock(total)}</small>}
            </th>
            <td>
              <b>{block.title}</b>{' '}
              <small>
                {[
                  !large && blockName(block.kind),
                  doseWords(block),
                  !large && 'resistance' in block && !toldInFull(block) && block.resistance,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </small>
              {'hazards' in block && !toldInFull(block) && <Hazards tags={block.hazards} />}
              {barred
                .filter((one) => one.block.id === block.id)
                .map((one) => (
                  <p key={block.id}>{barredWords(one)}</p>
                ))}
              {(!large || toldInFull(block)) && <Words block={block} large={large} />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What a line begins with: "Start:", "Luck or skill?". */
const Head = ({ words }: { words: string }) =>
  words && <em>{words.endsWith('?') ? `${words} ` : `${words}: `}</em>;

/** What is read from afar: where it starts and what is called. */
const WALL: ReadonlySet<string> = new Set([
  'Start',
  'Coach calls',
  'Partner',
  'Bottom wins',
  'Top wins',
  'Limit',
]);

function Words({ block, large = false }: { block: Block; large?: boolean }) {
  const lines = blockLines(block).filter(({ label = '' }) => !large || WALL.has(label));
  return (
    <>
      {lines.map(({ who, label, text }) => (
        <p key={`${who} ${text}`}>
          <Head words={label ?? WHO[who]} />
          {text}
        </p>
      ))}
      {block.kind === 'fork' && !toldInFull(block) && (
        <p>
          <em>Calls: </em>
          {forkCalls(block, CALLS)
            .map((call) => call + 1)
            .join(' ')}{' '}
          ({block.links.map(({ meets }, i) => `${i + 1} ${meets || 'nothing'}`).join(', ')})
        </p>
      )}
    </>
  );
}

/** For the pocket of those who were there: what was taught, with the how. */
function Handout({ map, lesson }: { map: GuardMap; lesson: Lesson }) {
  const index = indexMap(map);
  const root = index.position.get(lesson.root);
  return (
    <section className={styles.handout} aria-label="Handout">
      <h3>
        {root && <PositionPicture position={root} width={150} always />} {root && placeName(root)}
      </h3>
      {lesson.steps.map(({ move: id, name, why }) => {
        const move = index.move.get(id);
        const from = move && index.position.get(move.position);
        const first = move && index.exchangesOf(id)[0];
        const there = first && landingScene(map, first);
        return (
          <div key={id}>
            {from && <PositionPicture position={from} width={110} always />}
            {there && <PositionPicture position={there} width={110} always />}
            <b>{name}</b>
            {why && <p>{why}</p>}
            <ol>
              {move?.steps.map((step) => (
                <li key={step.id}>{step.said ?? step.text}</li>
              ))}
            </ol>
            <ul>
              {move?.cues.slice(0, 1).map((cue) => (
                <li key={cue}>“{cue}”</li>
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
