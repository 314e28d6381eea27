import { BOTTOM_LEVELS, type PlayLevel, TOP_LEVELS } from '@aftersquall/core/model';
import { setLevel } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { SelectField } from './fields/SelectField.tsx';
import { say } from './words.ts';

/** Every pair of levels once: against a top who knows best bottom does so, too. */
const LEVELS: PlayLevel[] = BOTTOM_LEVELS.flatMap((bottom) =>
  TOP_LEVELS.flatMap((top) => (top === 'knows best' && bottom !== BOTTOM_LEVELS[0] ? [] : [{ top, bottom }])),
);
const keyOf = ({ top, bottom }: PlayLevel): string => (top === 'knows best' ? top : `${top}, ${bottom}`);

/** Between whom a round is that is weighed, as every place goes by: how often the two pick the better answer. */
export function LevelChoice() {
  const dispatch = useAppDispatch();
  const level = useAppSelector(({ settings }) => settings.level);
  return (
    <SelectField
      label={say.levelHowOftenBoth}
      hideLabel
      value={keyOf(level)}
      choices={LEVELS.map((one) => ({ value: keyOf(one), name: nameOf(one) }))}
      onChange={(key) => {
        const chosen = LEVELS.find((one) => keyOf(one) === key);
        if (chosen) dispatch(setLevel(chosen));
      }}
    />
  );
}

const NAMES: Record<PlayLevel['top'], string> = {
  new: 'new',
  club: 'club level',
  sharp: 'sharp',
  'knows best': 'Both play perfectly',
};
const nameOf = ({ top, bottom }: PlayLevel): string =>
  top === 'knows best' ? NAMES[top] : `${bottom === BOTTOM_LEVELS[0] ? 'Them' : 'Both'}: ${NAMES[top]}`;
