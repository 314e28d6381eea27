import {
  batch,
  type Command,
  describeHead,
  diffDocuments,
  edit,
  type Issue,
  place,
  put,
  remove,
} from '@aftersquall/core/documents';
import { printClass } from '@aftersquall/core/formats';
import {
  barredBlocks,
  cheapestCut,
  classSeconds,
  duplicateBlock,
  lessonRules,
  lessonRulesWords,
  type PlannedClass,
  type PlannedLesson,
  renewLinks,
  splitBlock,
  staleLinks,
  timetable,
  trioSeconds,
  type Wanted,
} from '@aftersquall/core/lesson';
import {
  type Block,
  type ClassPlan,
  freshId,
  type GuardMap,
  isDrilled,
  type Lesson,
} from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { FileDown, Trash2 } from 'lucide-react';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { ApparelToggle } from '../../components/ApparelToggle.tsx';
import { clock } from '../../components/clock.ts';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { DraftScope } from '../../components/fields/useDraft.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { requestOf } from '../../store/classRequest.ts';
import { changeDocument } from '../../store/documents/engine.ts';
import { useDocument } from '../../store/documents/useDocument.ts';
import { notify } from '../../store/notices.ts';
import { logMissing, useFigures } from '../../store/records/useFigures.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { thePlanner } from '../../workers/planner.ts';
import { AddBlock } from './AddBlock.tsx';
import { Barred } from './Barred.tsx';
import { BlockPane } from './BlockPane.tsx';
import { BlockRead } from './BlockRead.tsx';
import { ClassDay } from './ClassDay.tsx';
import { ClassPaper, type Paper } from './ClassPaper.tsx';
import { LeftOver } from './LeftOver.tsx';
import { LessonTree } from './LessonTree.tsx';
import styles from './lessons.module.scss';
import { PrintChoice } from './PrintChoice.tsx';
import { TimeLine } from './TimeLine.tsx';
import { say } from './words.ts';

const WATER: Block = { kind: 'rest', id: 'rest', title: 'Water', note: '', why: '', seconds: 60 };

/** What an address asks to be put in: `exchange.ID,move.ID`. */
const wantedOf = (asked: string): Wanted[] =>
  asked.split(',').flatMap((one) => {
    const [, kind, id] = /^(mechanic|move|exchange|position)\.(.+)$/.exec(one) ?? [];
    return id ? [{ kind, id } as Wanted] : [];
  });

const CHOOSE_LATER = say.classChosenCountedResults;

interface Props {
  plan: ClassPlan;
  planned: PlannedClass | undefined;
  next: PlannedLesson['next'];
  onNext: (next: PlannedLesson['next']) => void;
  onRemove: (plan: ClassPlan) => Promise<void>;
}

/** A class as it will run: what it teaches, its blocks on the time line, the one that is open, the total against the time there is. */
export function ClassSheet({ plan, planned, next, onNext, onRemove }: Props) {
  const dispatch = useAppDispatch();
  const map = useDocument('map', plan.map)?.shown;
  const { map: figured, on } = useFigures(map, plan.lesson?.figures);
  const [picked, setPicked] = useState<string>();
  const [busy, setBusy] = useState(false);
  const [paper, setPaper] = useState<Paper>('sheet');
  const chosenRules = useAppSelector(({ settings }) => settings.rules);
  const rules = SHIPPED_PROFILES.find(({ id }) => id === (plan.lesson?.rules ?? chosenRules));
  // A review has no level of its own: what is chosen alone decides.
  const held = { level: 'expert' as const, ...plan.lesson, apparel: plan.apparel, rules };
  const barred = barredBlocks(plan.blocks, lessonRules(held));
  const total = classSeconds(plan);
  const budget = plan.minutes * 60;
  const change = (command: Command, announce?: string): Issue[] =>
    dispatch(changeDocument({ kind: 'class', id: plan.id }, command, announce ? { announce } : {}));
  const changeHead = (
    field: 'name' | 'minutes' | 'people' | 'changeOverSeconds' | 'apparel' | 'when',
    value: unknown,
  ) => change(describeHead([{ path: [field], value }]));
  const taken = plan.blocks.map(({ id }) => id);
  const block = plan.blocks.find(({ id }) => id === picked);
  /** Drills stand together: what is put in comes behind the last of them, or behind the block that is open. */
  const behind = (block ? plan.blocks.indexOf(block) : plan.blocks.findLastIndex(isDrilled)) + 1;
  const move = (id: string, to: number) => {
    if (to >= 0 && to < plan.blocks.length) change(place('block', id, to));
  };
  const putAfter = (after: Block, added: Block) => {
    change(put('block', added, taken.indexOf(after.id) + 1));
    setPicked(added.id);
  };
  const split = (one: Block) => {
    const [first, second] = splitBlock(one, taken);
    change(batch([edit('block', one, first), put('block', second, taken.indexOf(one.id) + 1)]));
  };
  /** Puts blocks in at a place; what cannot be one says why. */
  const add = async (all: readonly (Wanted | 'water')[], to: number) => {
    if (!figured || all.length === 0) return;
    setBusy(true);
    try {
      const made: Block[] = [];
      for (const wanted of all) {
        const one =
          wanted === 'water' ? WATER : await thePlanner().singleBlock(requestOf(figured, plan), wanted);
        made.push({ ...one, id: freshId(one.id, [...taken, ...made.map(({ id }) => id)]) });
      }
      change(batch(made.map((one, i) => put('block', one, to + i))));
      setPicked(made.at(-1)?.id);
    } catch (error) {
      dispatch(notify({ text: (error as Error).message }));
    } finally {
      setBusy(false);
    }
  };
  const [params, setParams] = useAddress();
  const isAskedToPrint = params.has('print');
  // An address may ask for the sheet: Tonight does. Asked once, it is not asked again on the way back.
  useEffect(() => {
    if (!isAskedToPrint || !map) return;
    setParams({ print: undefined }, { replace: true });
    print();
  }, [isAskedToPrint, map, setParams]);
  const asked = params.get('add');
  const taking = useRef<string>(undefined);
  useEffect(() => {
    if (!asked || !figured || taking.current === asked) return;
    taking.current = asked;
    setParams({ add: undefined }, { replace: true });
    void add(wantedOf(asked), behind);
  });
  const drilled = new Set(
    plan.blocks.flatMap((one) => ('links' in one ? one.links.map(({ exchange }) => exchange) : [])),
  );
  const takeOut = (one: Block) => change(remove('block', one.id), `Removed “${one.title}”.`);
  const onKey = (one: Block, key: 'duplicate' | 'split' | 'remove') => {
    if (key === 'duplicate') putAfter(one, duplicateBlock(one, taken));
    else if (key === 'split') split(one);
    else takeOut(one);
  };
  const chooseAnew = async (lesson: Lesson, changes: Partial<Lesson>) => {
    if (!figured) return;
    const missing = logMissing(on);
    if (missing) return void dispatch(notify({ text: `${missing} ${CHOOSE_LATER}` }));
    setBusy(true);
    try {
      const found = await thePlanner().planLesson(requestOf(figured, plan, { ...lesson, ...changes }));
      const after = { ...plan, lesson: found.lesson, blocks: found.blocks, leftOver: found.leftOver };
      change(diffDocuments(plan, after, 'the class chosen again'));
      onNext(found.next);
      if (found.unmet.length > 0)
        dispatch(
          notify({
            text: `${found.unmet.join(', ')} ${found.unmet.length === 1 ? 'does' : 'do'} not fit. Leave another move out, or add minutes.`,
          }),
        );
    } catch (error) {
      dispatch(notify({ text: (error as Error).message }));
    } finally {
      setBusy(false);
    }
  };
  return (
    <DraftScope value={`class/${plan.id}`}>
      <div className={styles['class-sheet']}>
        <div className={styles['goal-line']}>
          <div className={styles.wide}>
            <SavedField label="Name" value={plan.name} onSave={(name) => changeHead('name', name)} />
          </div>
          <SavedField
            label="Minutes"
            type="number"
            value={String(plan.minutes)}
            onSave={(text) => changeHead('minutes', readNumber(text))}
          />
          <SavedField
            label="People"
            type="number"
            value={String(plan.people)}
            onSave={(text) => changeHead('people', readNumber(text))}
          />
          <SavedField
            label="Change-over"
            type="number"
            unit="s"
            value={String(plan.changeOverSeconds)}
            onSave={(text) => changeHead('changeOverSeconds', readNumber(text))}
          />
          <ClassDay when={plan.when} onChange={(when) => changeHead('when', when)} />
          <ApparelToggle
            above="Apparel"
            value={plan.apparel}
            onChange={(apparel) => changeHead('apparel', apparel)}
          />
        </div>
        {figured && plan.lesson && (
          <LessonTree
            map={figured}
            plan={plan}
            lesson={plan.lesson}
            next={next}
            busy={busy}
            onChange={(changes) => void chooseAnew(plan.lesson!, changes)}
          />
        )}
        <Total plan={plan} total={total} budget={budget} planned={planned} onCut={takeOut}>
          <div className={styles.actions}>
            <PrintChoice
              onPrint={(next) => {
                flushSync(() => setPaper(next));
                print();
              }}
            />
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() =>
                saveFile(`${plan.id}.md`, printClass(plan, barred), 'text/markdown;charset=utf-8')
              }
            >
              <FileDown size={14} aria-hidden /> Markdown
            </button>
            <button type="button" className="btn btn-sm btn-plain" onClick={() => void onRemove(plan)}>
              <Trash2 size={14} aria-hidden /> Remove
            </button>
          </div>
        </Total>
        <Barred barred={barred} rules={lessonRulesWords(held)} onOpen={setPicked} />
        {map && (
          <Changed
            map={map}
            plan={plan}
            onRenew={() =>
              change(diffDocuments(plan, { ...plan, blocks: renewLinks(map, plan.blocks) }, 'from the map'))
            }
          />
        )}
        {plan.blocks.length > 0 && (
          <TimeLine
            plan={plan}
            open={block?.id}
            onOpen={setPicked}
            onMove={move}
            onChange={(before, after) => change(edit('block', before, after))}
            onKey={onKey}
          />
        )}
        {figured && <AddBlock map={figured} busy={busy} onAdd={(wanted) => void add([wanted], behind)} />}
        {timetable(plan).map(({ block: one, start, total: length }, place) => {
          const shared = { block: one, plan, start, over: start + length > budget };
          return one === block ? (
            <BlockPane
              key={one.id}
              {...shared}
              map={map}
              barred={barred.find((other) => other.block.id === one.id)}
              onChange={(after) => change(edit('block', one, after))}
              onMove={(by) => move(one.id, place + by)}
              onDuplicate={() => onKey(one, 'duplicate')}
              onSplit={() => onKey(one, 'split')}
              onRemove={() => takeOut(one)}
            />
          ) : (
            <BlockRead key={one.id} {...shared} onOpen={() => setPicked(one.id)} />
          );
        })}
        {plan.blocks.length === 0 && (
          <p>Nothing fits into {plan.minutes} minutes. Add minutes or choose fewer goals.</p>
        )}
        {figured && (
          <LeftOver
            map={figured}
            plan={plan}
            ids={plan.leftOver.filter((id) => !drilled.has(id))}
            onAdd={(id) => void add([{ kind: 'exchange', id }], plan.blocks.findLastIndex(isDrilled) + 1)}
          />
        )}
        <ClassPaper plan={plan} map={map} paper={paper} barred={barred} />
      </div>
    </DraftScope>
  );
}

function Total({
  plan,
  total,
  budget,
  planned,
  onCut,
  children,
}: {
  plan: ClassPlan;
  total: number;
  budget: number;
  planned: PlannedClass | undefined;
  onCut: (block: Block) => void;
  children: ReactNode;
}) {
  const over = total > budget;
  const cut = over ? cheapestCut(plan.blocks, plan) : undefined;
  const trio = trioSeconds(plan);
  return (
    <div className={`${styles.total} ${over ? 'over' : ''}`}>
      <b>
        {clock(total)} of {clock(budget)}
      </b>
      <span>{over ? `${clock(total - budget)} too long` : `${clock(budget - total)} free`}</span>
      {cut && (
        <button type="button" className="chip" onClick={() => onCut(cut.block)}>
          cut “{cut.block.title}”, {clock(cut.seconds)}
        </button>
      )}
      {trio > 0 && <span className="soft">{clock(trio)} of it because all three take a turn</span>}
      {planned && (
        <span className="soft small">
          {planned.cover.chains.length} chains, {clock(planned.cover.cost)} to walk once
          {planned.cover.proved
            ? ', which is the least possible.'
            : `; no way takes less than ${clock(planned.cover.bound)}.`}
        </span>
      )}
      {children}
    </div>
  );
}

/** What the map says otherwise since the class was made, and the mend. */
function Changed({ map, plan, onRenew }: { map: GuardMap; plan: ClassPlan; onRenew: () => void }) {
  const stale = staleLinks(map, plan.blocks);
  if (stale.length === 0) return null;
  const gone = stale.filter(({ now }) => !now);
  const other = stale.filter(({ now }) => now);
  return (
    <div className="notice mb-2" role="note">
      {gone.length > 0 && (
        <p className="mb-1">
          {say.noLongerMap} {[...new Set(gone.map(({ was }) => was.move))].join(', ')}. You can still run the
          class as it is.
        </p>
      )}
      {other.length > 0 && (
        <p className="mb-0">
          {say.mapHasChangedSince}{' '}
          {[...new Set(other.map(({ was, now }) => now!.move || was.move))].join(', ')}.{' '}
          <button type="button" className="chip" onClick={onRenew}>
            update it from the map
          </button>
        </p>
      )}
    </div>
  );
}
