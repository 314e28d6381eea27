import { put, remove } from '@aftersquall/core/documents';
import { freshId, type GuardMap, indexMap, trustOffered, type WhatIf } from '@aftersquall/core/model';
import { type Weighing } from '@aftersquall/core/weigh';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { IconButton } from '../../components/IconButton.tsx';
import { NameDialog } from '../../components/NameDialog.tsx';
import { notify } from '../../store/notices.ts';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import type { Changes } from '../../store/whatIf.ts';
import { Slider } from './Slider.tsx';
import { TendencyForm } from './TendencyForm.tsx';
import { TradeChart } from './TradeChart.tsx';
import styles from './weigh.module.scss';
import { say as texts } from './words.ts';

interface Props {
  map: GuardMap;
  weighing: Weighing;
  whatIf: WhatIf;
  change: (some: Partial<Changes>) => void;
  at: string;
  onPick: (position: string) => void;
}

/** One opponent's habits: what they are, how far to trust them, what that gains and what it risks. */
export function OpponentPane({ map, weighing, whatIf, change, at, onPick }: Props) {
  const dispatch = useAppDispatch();
  const [naming, setNaming] = useState(false);
  const index = indexMap(map);
  const opponent = map.opponents.find(({ id }) => id === whatIf.opponent);
  const position = index.position.get(at);
  const create = (alias: string) => {
    const id = freshId(
      alias,
      map.opponents.map((opponent) => opponent.id),
    );
    dispatch(changeMap(put('opponent', { id, alias, note: '', tendencies: [] })));
    change({ opponent: id, trust: whatIf.trust ?? 0.5 });
    setNaming(false);
  };
  const offered = trustOffered(opponent?.tendencies ?? []);
  const studied = new Set(opponent?.tendencies.map(({ position: id }) => id));
  return (
    <>
      <h2 className="mt-3">Against whom</h2>
      <div className={styles['opponent-choice']}>
        <SelectField
          label="Opponent"
          value={opponent?.id ?? ''}
          choices={[
            { value: '', name: 'a top who plays perfectly' },
            ...map.opponents.map(({ id, alias }) => ({ value: id, name: alias })),
          ]}
          onChange={(id) => change({ opponent: id || undefined, trust: whatIf.trust ?? 0.5 })}
        />
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-label="New opponent"
          onClick={() => setNaming(true)}
        >
          <Plus size={14} aria-hidden /> New
        </button>
        {opponent && (
          <IconButton
            label={`Remove ${opponent.alias}`}
            onClick={() => {
              const held = map.scenarios.some(({ opponent: id }) => id === opponent.id);
              if (held) {
                dispatch(notify({ text: texts.savedWhatIfUses(opponent.alias) }));
                return;
              }
              change({ opponent: undefined });
              dispatch(
                changeMap(remove('opponent', opponent.id), { announce: `Removed ${opponent.alias}.` }),
              );
            }}
          >
            <Trash2 size={14} aria-hidden />
          </IconButton>
        )}
      </div>
      {!opponent && <p className="soft small mt-2">{texts.giveOpponentMadeUp}</p>}
      {opponent && (
        <>
          {weighing.trades.length > 1 && (
            <>
              <Slider
                label={texts.howSure}
                value={whatIf.trust ?? 0}
                least={0}
                most={1}
                step={0.05}
                say={(value) => `${Math.round(value * 100)} %`}
                onChange={(trust) => change({ trust })}
              />
              {offered !== undefined && (
                <p className="small mb-1">
                  {texts.howOftenSaw} {Math.round(offered * 100)} % sure.{' '}
                  <button type="button" className="chip" onClick={() => change({ trust: offered })}>
                    use that
                  </button>
                </p>
              )}
              <TradeChart weighing={weighing} trust={whatIf.trust ?? 0} />
            </>
          )}
          <h3 className="mt-3">What {opponent.alias} does</h3>
          {position && (
            <TendencyForm
              key={`${opponent.id} ${at} ${JSON.stringify(opponent.tendencies)}`}
              map={map}
              opponent={opponent}
              position={position}
            />
          )}
          {studied.size > 0 && (
            <p className="small mt-2">
              Known in:{' '}
              {[...studied].map((id) => (
                <button key={id} type="button" className="chip me-1" onClick={() => onPick(id)}>
                  {index.position.get(id)?.name}
                </button>
              ))}
            </p>
          )}
        </>
      )}
      {naming && (
        <NameDialog title={texts.newOpponentUnderMade} onName={create} onHide={() => setNaming(false)} />
      )}
    </>
  );
}
