import type { GuardMap, Weighing } from '@aftersquall/core';
import { Ban } from 'lucide-react';
import { useMemo } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link } from 'react-router';
import { ApparelChoice } from '../../components/ApparelChoice.tsx';
import { mapAddress } from '../../components/addresses.ts';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { RulesChoice } from '../../components/RulesChoice.tsx';
import { useEditedDocument } from '../../store/documents/useDocument.ts';
import { selectMap } from '../../store/openMap.ts';
import { useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useWeighing } from '../../workers/useWeighing.ts';
import { Insights } from './Insights.tsx';
import { INSIGHT_VIEWS, type InsightView } from './insightViews.ts';
import { PositionPlan } from './PositionPlan.tsx';
import { ScenarioBar } from './ScenarioBar.tsx';
import { TakeAlong } from './TakeAlong.tsx';
import { TopSheet } from './TopSheet.tsx';
import { useWhatIf } from './useWhatIf.ts';
import { Values } from './Values.tsx';
import styles from './weigh.module.scss';

/** What the map is worth, where it breaks, and what to fix first. */
export function WeighPlace() {
  const map = useAppSelector(selectMap)!;
  useEditedDocument('map', map.id);
  const [params, set] = useAddress();
  const asked = useWhatIf(map);
  const { question, other, whatIf } = asked;
  const {
    weighing,
    of = map,
    stale,
    stopped,
    progress,
    stop,
    again,
    ...found
  } = useWeighing(map, question.options);
  const beside = useWeighing(map, other?.question.options);
  const laid =
    other && beside.weighing && !beside.stale ? { name: other.name, weighing: beside.weighing } : undefined;
  const trouble = question.trouble ?? found.trouble;
  const asTop = params.get('as') === 'top';
  const view = INSIGHT_VIEWS.find((one) => one === params.get('see')) ?? 'holes';
  const names = useMemo(() => new Map(of.positions.map(({ id, name }) => [id, name])), [of]);
  const picked = params.get('at') ?? '';
  const at = names.has(picked) ? picked : weighing ? mainEntry(of, weighing) : '';
  const pick = (id: string) => set({ at: id });
  useHotkeys('t', () => set({ as: asTop ? undefined : 'top' }), { useKey: true });

  return (
    <>
      <header className="place-bar">
        <h1>Weigh</h1>
        <ChoiceToggle
          label="Whose plan"
          value={asTop ? 'top' : 'bottom'}
          choices={[
            ['bottom', 'Bottom’s plan'],
            ['top', 'Top’s sheet'],
          ]}
          onChange={(side) => set({ as: side === 'top' ? 'top' : undefined })}
        />
        <ApparelChoice withKey />
        <RulesChoice inBar />
        <ScenarioBar map={map} asked={asked} />
        <span className="push" />
        <TakeAlong map={map} whatIf={whatIf} />
      </header>
      {!trouble && (stopped || stale) && (
        <p className={styles['weigh-work']}>
          {stopped ? (
            <>
              Stopped: what is shown is from before.
              <button type="button" className="btn btn-sm btn-now" onClick={again}>
                Weigh again
              </button>
            </>
          ) : (
            <>
              <progress max={1} value={progress} aria-label="Weighing" />
              <button type="button" className="btn btn-sm btn-plain" onClick={stop}>
                <Ban size={14} aria-hidden /> Stop
              </button>
            </>
          )}
        </p>
      )}
      {trouble ? (
        <div className="teach">
          <h1>This map cannot be weighed {question.trouble ? 'like this' : 'yet'}</h1>
          <p>{trouble.replace(/^./, (letter) => letter.toUpperCase())}.</p>
          <div className="d-flex gap-2 justify-content-center">
            <Link className="btn btn-now" to={mapAddress(map.id)}>
              To the map
            </Link>
            {(asked.changed || asked.scenario) && (
              <button type="button" className="btn btn-plain" onClick={() => asked.begin(undefined)}>
                Ask about the map as it is
              </button>
            )}
          </div>
        </div>
      ) : (
        weighing &&
        question.options && (
          <div
            className={`${styles['weigh-body']} ${stale ? 'stale' : ''} ${asTop ? 'as-top' : ''}`}
            aria-busy={stale}
          >
            <Values weighing={weighing} beside={laid} names={names} at={at} onPick={pick} />
            {asTop ? (
              <TopSheet map={of} weighing={weighing} at={at} onPick={pick} />
            ) : (
              <PositionPlan map={of} weighing={weighing} beside={laid} at={at} />
            )}
            <Insights
              map={map}
              of={of}
              weighing={weighing}
              options={question.options}
              asked={asked}
              settled={!stale}
              at={at}
              view={view}
              onView={(next: InsightView) => set({ see: next === 'holes' ? undefined : next })}
              onPick={pick}
            />
          </div>
        )
      )}
      {other?.question.trouble && <p className="hazard px-3">Beside: {other.question.trouble}.</p>}
      <p className="visually-hidden" role="status">
        {stopped ? 'Stopped' : stale ? 'Weighing' : 'Weighed'}
      </p>
    </>
  );
}

/** Where a round starts most of the time by the plan. */
const mainEntry = (map: GuardMap, { positions }: Weighing): string => {
  const visits = (id: string) => positions.find(({ position }) => position === id)?.visits ?? 0;
  const [first = '', ...others] = map.positions.flatMap(({ id, entry = 0 }) => (entry > 0 ? [id] : []));
  return others.reduce((a, b) => (visits(b) > visits(a) ? b : a), first);
};
