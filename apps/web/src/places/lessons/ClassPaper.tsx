import { landingScene, placeName } from '@aftersquall/core/body';
import { doseWords, SAFETY_NOTE, toldInFull } from '@aftersquall/core/formats';
import { type BarredBlock, barredWords, timetable, turnOfLink } from '@aftersquall/core/lesson';
import {
  blockLines,
  blockName,
  type ClassPlan,
  type DrilledBlock,
  type GuardMap,
  indexMap,
  isDrilled,
  isPlayed,
  type Lesson,
  type Move,
} from '@aftersquall/core/model';
import { clock } from '../../components/clock.ts';
import { Hazards } from '../../components/Hazards.tsx';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { HoldScoreView } from '../../components/score/HoldScoreView.tsx';
import { BlockWords, Head } from './BlockWords.tsx';
import styles from './classPaper.module.scss';
import { say } from './words.ts';

/** What can be had of a class on paper. */
export const PAPERS = {
  sheet: 'Class sheet',
  wall: 'Wall sheet',
  assistant: 'Assistant’s sheet',
  handout: say.handoutPocket,
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
      {paper === 'assistant' && <Assistant plan={plan} map={map} />}
      {paper === 'handout' &&
        (map && plan.lesson ? (
          <Handout map={map} lesson={plan.lesson} leftOver={plan.leftOver} />
        ) : (
          <p>{say.reviewHasNoHandout}</p>
        ))}
      {paper === 'scores' && map && <Scores map={map} plan={plan} />}
      <footer>{SAFETY_NOTE}</footer>
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
              {(!large || toldInFull(block)) && <BlockWords block={block} large={large} />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What an assistant has to know of a block: where it starts, what is called, what is safe. */
const ASSISTANT: ReadonlySet<string> = new Set([
  'Start',
  'Do',
  'Coach calls',
  'Partner',
  'Safe',
  'Fall',
  'Bottom wins',
  'Top wins',
  'Limit',
]);
/** So many faults are looked for at once. */
const LOOKED_FOR = 3;

/** A card for each block that an assistant can take, to be cut apart: with every fault to look for and its mend. */
function Assistant({ plan, map }: Pick<Props, 'plan' | 'map'>) {
  return timetable(plan)
    .filter(({ block }) => isDrilled(block) || isPlayed(block))
    .map(({ block, start, total }) => (
      <section key={block.id} className={styles.card}>
        <h3>
          {clock(start)} {block.title}{' '}
          <small>
            {clock(total)}, {doseWords(block)}
          </small>
        </h3>
        {blockLines(block)
          .filter(({ label = '' }) => ASSISTANT.has(label))
          .map(({ label, text }) => (
            <p key={`${label} ${text}`}>
              <Head words={label ?? ''} />
              {text}
            </p>
          ))}
        {map && isDrilled(block) && (
          <>
            <p>
              <Head words="Look for" />
            </p>
            <ul>
              {faultsOf(map, block).map(({ text, mend }) => (
                <li key={text}>
                  {text}
                  {mend && ` → ${mend}`}
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
    ));
}

/** The faults of what a block drills, each once. */
function faultsOf(map: GuardMap, block: DrilledBlock): Move['faults'] {
  const index = indexMap(map);
  const moves = new Set(
    block.links.flatMap(({ exchange }) => index.move.get(index.exchange.get(exchange)?.move ?? '') ?? []),
  );
  return [...moves].flatMap(({ faults }) => faults).slice(0, LOOKED_FOR);
}

/** For the pocket of those who were there: what was taught, and what found no time, with the how. */
function Handout({ map, lesson, leftOver }: { map: GuardMap; lesson: Lesson; leftOver: readonly string[] }) {
  const index = indexMap(map);
  const root = index.position.get(lesson.root);
  const taught = lesson.steps.map(({ move, name, why }) => ({ move, name, why }));
  const later = [...new Set(leftOver.flatMap((id) => index.exchange.get(id)?.move ?? []))]
    .filter((id) => !taught.some(({ move }) => move === id))
    .map((id) => ({
      move: id,
      name: index.move.get(id)?.name ?? id,
      why: say.thereNoTimeToday,
    }));
  return (
    <section className={styles.handout} aria-label="Handout">
      <h3>
        {root && <PositionPicture position={root} width={150} always />} {root && placeName(root)}
      </h3>
      {[...taught, ...later].map(({ move: id, name, why }) => {
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
