import {
  holdWords,
  landingScene,
  landingWords,
  reactionName,
  shortName,
  signsWords,
  type WordContext,
  wordContext,
} from '@aftersquall/core/body';
import { SAFETY_NOTE } from '@aftersquall/core/formats';
import {
  type Exchange,
  type GuardMap,
  indexMap,
  isOutcome,
  MOVE_KIND_WORDS,
  type Move,
  notesOf,
  type Position,
  reactionWords,
  type System,
  variantOf,
} from '@aftersquall/core/model';
import { Printer } from 'lucide-react';
import { Fragment } from 'react';
import { Hazards } from '../../../components/Hazards.tsx';
import { PositionPicture } from '../../../components/PositionPicture.tsx';
import styles from './handbook.module.scss';

interface Props {
  map: GuardMap;
  system: System | undefined;
  positions: readonly Position[];
}

/** A guard system as a page to read and print: what it is for, then each position with its moves and their answers. */
export function Handbook({ map, system, positions }: Props) {
  const chapters = system ? [{ system, positions }] : chaptersOf(map, positions);
  return (
    <article className={styles.handbook} aria-label="Handbook">
      <header>
        <h2>{system?.name ?? map.name}</h2>
        <button type="button" className={`btn btn-sm btn-plain ${styles.print}`} onClick={() => print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
      </header>
      {system && <Purpose system={system} />}
      <nav aria-label="Positions" className={styles.contents}>
        {chapters.map((chapter) => (
          <section key={chapter.system?.id ?? ''}>
            {!system && <strong>{chapter.system?.name ?? 'In no system'}</strong>}
            {chapter.positions.map(({ id, name }) => (
              <a key={id} href={`#handbook-${id}`}>
                {name}
              </a>
            ))}
          </section>
        ))}
      </nav>
      {chapters.map((chapter) => (
        <Fragment key={chapter.system?.id ?? ''}>
          {!system && <h2 className={styles.chapter}>{chapter.system?.name ?? 'In no system'}</h2>}
          {!system && chapter.system && <Purpose system={chapter.system} />}
          {chapter.positions.map((position) => (
            <PositionPage key={position.id} map={map} position={position} />
          ))}
        </Fragment>
      ))}
      <footer className="soft small">{SAFETY_NOTE}</footer>
    </article>
  );
}

/** The positions under their systems, each once, under the first system it serves. */
function chaptersOf(
  map: GuardMap,
  positions: readonly Position[],
): { system: System | undefined; positions: Position[] }[] {
  return [...map.systems, undefined].flatMap((system) => {
    const own = positions.filter(({ systems }) => systems[0] === system?.id);
    return own.length > 0 ? [{ system, positions: own }] : [];
  });
}

function Purpose({ system }: { system: System }) {
  const rows = [
    ['For', system.purpose],
    ['Build', system.build],
    ['In the jacket', system.gi],
    ['Without', system.noGi],
    ['Schools', system.schools],
    ['Note', system.note],
  ].filter(([, text]) => text);
  return (
    <dl className={styles.purpose}>
      {rows.map(([term, text]) => (
        <div key={term}>
          <dt>{term}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}

function PositionPage({ map, position }: { map: GuardMap; position: Position }) {
  const context = wordContext(position);
  const moves = indexMap(map).movesOf(position.id);
  return (
    <section id={`handbook-${position.id}`} aria-label={position.name} className={styles.position}>
      <div className={styles.head}>
        <PositionPicture position={position} width={240} contacts="all" always />
        <div>
          <h3>{position.name}</h3>
          <ul className="held list-unstyled">
            {position.holds.map((hold) => (
              <li key={hold.id} className="own-mark">
                {holdWords(hold, context)}
              </li>
            ))}
            {position.topHolds.map((hold) => (
              <li key={hold.id} className="top-mark">
                top: {holdWords(hold, context, 'top')}
              </li>
            ))}
          </ul>
          <p className="soft small mb-1">{signsWords(position.signs).join(' · ')}</p>
        </div>
      </div>
      {position.note && <p>{position.note}</p>}
      <Advice thing={position} />
      {position.looks.map((look) => {
        const own = moves.filter((move) => move.look === look.id);
        if (own.length === 0) return null;
        return (
          <section key={look.id} aria-label={look.name}>
            <h4 className={styles.look}>{look.name}</h4>
            {look.note && <p className="small">{look.note}</p>}
            {own.map((move) => (
              <MovePart key={move.id} map={map} move={move} context={context} />
            ))}
          </section>
        );
      })}
    </section>
  );
}

/** Cues, faults with what mends them, and what only seems to work. */
function Advice({
  thing,
}: {
  thing: Pick<Position, 'cues' | 'faults'> & Partial<Pick<Move, 'falsePositives'>>;
}) {
  const { cues, faults, falsePositives = [] } = thing;
  return (
    <>
      {cues.map((cue) => (
        <p key={cue} className={styles.cue}>
          “{cue}”
        </p>
      ))}
      {(faults.length > 0 || falsePositives.length > 0) && (
        <ul className={styles.advice}>
          {faults.map(({ id, text, mend }) => (
            <li key={id}>
              <b>Fault:</b> {text}
              {mend && ` → ${mend}`}
            </li>
          ))}
          {falsePositives.map(({ text, test }) => (
            <li key={text}>
              <b>Fake success:</b> {text} → {test}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** How the outcomes of a move look, each once. */
function endingsOf(map: GuardMap, exchanges: readonly Exchange[]): Position[] {
  const ends = exchanges.flatMap((exchange) =>
    isOutcome(exchange.to) ? (landingScene(map, exchange) ?? []) : [],
  );
  return [...new Map(ends.map((there) => [there.id, there])).values()];
}

function MovePart({ map, move, context }: { map: GuardMap; move: Move; context: WordContext }) {
  const index = indexMap(map);
  const exchanges = index.exchangesOf(move.id);
  const ends = endingsOf(map, exchanges);
  return (
    <section aria-label={move.name} className={styles.move}>
      <h5>
        {move.name} <span className="soft">{MOVE_KIND_WORDS[move.kind]}</span>
      </h5>
      {ends.length > 0 && (
        <div className={styles.ends}>
          {ends.map((there) => (
            <figure key={`${there.leadSide} ${there.id}`}>
              <PositionPicture position={there} width={120} always />
              <figcaption>{shortName(there)}</figcaption>
            </figure>
          ))}
        </div>
      )}
      <Hazards tags={move.hazards} />
      {move.note && <p className="small mb-1">{move.note}</p>}
      <ol>
        {move.steps.map(({ id, text, take }) => (
          <li key={id}>
            {text}
            {take.length > 0 && (
              <span className="soft small"> {take.map((hold) => holdWords(hold, context)).join('; ')}</span>
            )}
          </li>
        ))}
      </ol>
      <Advice thing={move} />
      {exchanges.length > 0 && (
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">when top</th>
              <th scope="col">if it works →</th>
              <th scope="col">chance</th>
              <th scope="col">if it fails →</th>
            </tr>
          </thead>
          <tbody>
            {exchanges.map((exchange) => (
              <ExchangeRow key={exchange.id} map={map} move={move} exchange={exchange} />
            ))}
          </tbody>
        </table>
      )}
      {move.variants.map(({ id, name, when, why }) => (
        <p key={id} className="small mb-1">
          <b>{name}</b>
          {id === move.houseVariant && ' (ours)'}:{' '}
          {[when.partner, when.build, why].filter(Boolean).join('; ')}
        </p>
      ))}
    </section>
  );
}

function ExchangeRow({ map, move, exchange }: { map: GuardMap; move: Move; exchange: Exchange }) {
  const { reaction, to, otherwise, chance } = exchange;
  const notes = notesOf(exchange);
  const at = indexMap(map).position.get(move.position);
  return (
    <tr>
      <td className="top">
        {reaction === 'none' ? 'does nothing' : reactionName(map, reaction, at)}
        {exchange.variant && (
          <small className="own d-block">{variantOf(move, exchange)?.name ?? exchange.variant}</small>
        )}
        {reaction !== 'none' && (
          <small className="soft d-block">{reactionWords(map, move, reaction).feel}</small>
        )}
      </td>
      <td>
        {landingWords(map, to, at)}
        {notes.landing && <small className="soft d-block">{notes.landing}</small>}
      </td>
      <td className="num">{Math.round(chance * 100)} %</td>
      <td>
        {otherwise ? landingWords(map, otherwise, at) : 'you are still here'}
        {notes.failing && <small className="soft d-block">{notes.failing}</small>}
      </td>
    </tr>
  );
}
