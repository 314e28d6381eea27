import { BASES, type Basis } from '@aftersquall/core/model';
import { SelectField } from './fields/SelectField.tsx';
import { say } from './words.ts';

/** Whose chances are reckoned with; those of the map where nothing is chosen. */
export type Figures = Basis | undefined;

const WORDS: Record<Basis, string> = {
  coach: 'your guesses',
  logged: 'counted results',
  blended: 'guess and count',
};

/** On what something was chosen, in a sentence. */
export const FIGURES_SENTENCE: Record<Basis, string> = {
  coach: 'Chosen with your guesses.',
  logged: say.whatCountedMat,
  blended: say.guessesWhatCounted,
};

export const figuresOf = (text: string | null): Figures => BASES.find((one) => one === text);

interface Props {
  value: Figures;
  onChange: (value: Figures) => void;
  hideLabel?: boolean;
}

/** On whose figures something is weighed or planned. */
export function FiguresChoice({ value, onChange, hideLabel = false }: Props) {
  return (
    <SelectField
      label={say.whereFiguresCome}
      hideLabel={hideLabel}
      value={value ?? ''}
      choices={[
        { value: '', name: 'the map’s figures' },
        ...BASES.map((one) => ({ value: one, name: WORDS[one] })),
      ]}
      onChange={(text) => onChange(figuresOf(text))}
    />
  );
}
