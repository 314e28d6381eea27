import type { GuardMap } from '@aftersquall/core/model';
import type { Weighing } from '@aftersquall/core/weigh';
import { useMemo } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ApparelChoice } from '../../components/ApparelChoice.tsx';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { Explained } from '../../components/Explained.tsx';
import { FiguresChoice, figuresOf } from '../../components/FiguresChoice.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { LevelChoice } from '../../components/LevelChoice.tsx';
import { RulesChoice } from '../../components/RulesChoice.tsx';
import { SaveState } from '../../components/SaveState.tsx';
import { useEditedDocument } from '../../store/documents/useDocument.ts';
import { selectMap } from '../../store/openMap.ts';
import { logMissing, useFigures } from '../../store/records/useFigures.ts';
import { useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useKnownClub } from '../../store/useClub.ts';
import { useWeighing } from '../../workers/useWeighing.ts';
import { CannotWeigh } from './CannotWeigh.tsx';
import { Insights } from './Insights.tsx';
import { INSIGHT_VIEWS, type InsightView } from './insightViews.ts';
import { PositionPlan } from './PositionPlan.tsx';
import { RoundStoryPane } from './RoundStoryPane.tsx';
import { ScenarioBar } from './ScenarioBar.tsx';
import { TakeAlong } from './TakeAlong.tsx';
import { TopSheet } from './TopSheet.tsx';
import { useWhatIf } from './useWhatIf.ts';
import { Values } from './Values.tsx';
import { WeighProgress } from './WeighProgress.tsx';
import styles from './weigh.module.scss';

/** What the map is worth, where it breaks, and what to fix first. */
export function WeighPlace() {
  const map = useAppSelector(selectMap)!;
  useEditedDocument('map', map.id);
  const [params, set] = useAddress();
  const figures = figuresOf(params.get('figures'));
  const whose = params.get('whose') ?? '';
  const { map: figured, on } = useFigures(map, figures, whose || undefined);
  const missing = logMissing(on);
  const athletes = useKnownClub()?.athletes ?? [];
  const asked = useWhatIf(map);
  const { question, other, whatIf } = asked;
  const {
    weighing,
    weighedMap = figured,
    stale,
    stopped,
    progress,
    stop,
    again,
    ...found
  } = useWeighing(figured, question.options);
  const beside = useWeighing(figured, other?.question.options);
  const comparison =
    other && beside.weighing && !beside.stale ? { name: other.name, weighing: beside.weighing } : undefined;
  const trouble = question.trouble ?? found.trouble;
  const asTop = params.get('as') === 'top';
  const view = INSIGHT_VIEWS.find((one) => one === params.get('see')) ?? 'holes';
  const names = useMemo(() => new Map(weighedMap.positions.map(({ id, name }) => [id, name])), [weighedMap]);
  const picked = params.get('at') ?? '';
  // Without a position the round itself is told; what asks for one takes the main entry.
  const shown = names.has(picked) ? picked : '';
  const at = shown || (weighing ? mainEntry(weighedMap, weighing) : '');
  const pick = (id: string) => set({ at: id || undefined });
  useHotkeys('t', () => set({ as: asTop ? undefined : 'top' }), { useKey: true });

  return (
    <>
      <title>{`Weigh · ${map.name}`}</title>
      <header className={`place-bar ${styles.bar}`}>
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
        <LevelChoice />
        <ScenarioBar map={map} asked={asked} />
        <FiguresChoice
          hideLabel
          value={figures}
          onChange={(value) => set({ figures: value, whose: value ? whose : undefined })}
        />
        {(figures === 'logged' || figures === 'blended') && athletes.length > 0 && (
          <SelectField
            label="Whose tries"
            hideLabel
            value={whose}
            choices={[
              { value: '', name: 'everybody’s' },
              ...athletes.map(({ id, alias }) => ({ value: id, name: `${alias}’s` })),
            ]}
            onChange={(value) => set({ whose: value })}
          />
        )}
        <span className="push" />
        <SaveState />
        <TakeAlong map={map} whatIf={whatIf} />
      </header>
      {!trouble && <Explained term="weigh" />}
      {missing && (
        <p className="notice mx-3 mt-2 mb-0" role="status">
          {missing}
        </p>
      )}
      {!trouble && (stopped || stale) && (
        <WeighProgress stopped={stopped} progress={progress} onStop={stop} onAgain={again} />
      )}
      {trouble ? (
        <CannotWeigh
          mapId={map.id}
          trouble={trouble}
          inQuestion={question.trouble !== undefined}
          onAskPlain={asked.changed || asked.scenario ? () => asked.begin(undefined) : undefined}
        />
      ) : (
        weighing &&
        question.options && (
          <div
            className={`${styles['weigh-body']} ${stale ? 'stale' : ''} ${asTop ? 'as-top' : ''}`}
            aria-busy={stale}
          >
            <Values
              weighing={weighing}
              level={asked.level}
              beside={comparison}
              names={names}
              at={asTop ? at : shown}
              onPick={pick}
            />
            {asTop ? (
              <TopSheet map={weighedMap} weighing={weighing} at={at} onPick={pick} />
            ) : shown ? (
              <PositionPlan
                map={weighedMap}
                weighing={weighing}
                level={asked.level}
                beside={comparison}
                at={shown}
              />
            ) : (
              <RoundStoryPane
                map={weighedMap}
                options={question.options}
                level={asked.level}
                weighing={weighing}
                system={params.get('in') ?? ''}
                onSystem={(system) => set({ in: system })}
                onPick={pick}
              />
            )}
            <Insights
              map={map}
              weighedMap={weighedMap}
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
