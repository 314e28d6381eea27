import { X } from 'lucide-react';
import { IconButton } from '../../components/IconButton.tsx';
import styles from './weigh.module.scss';

interface Props {
  label: string;
  value: number;
  least: number;
  most: number;
  step: number;
  say: (value: number) => string;
  onChange: (value: number) => void;
  /** Takes the slider away again. */
  onAway?: () => void;
}

/** A number to be dragged, said in words as it moves. */
export function Slider({ label, value, least, most, step, say, onChange, onAway }: Props) {
  return (
    <div className={styles['what-if']}>
      <label>
        <span>
          {label} <b>{say(value)}</b>
        </span>
        <input
          type="range"
          className="form-range"
          min={least}
          max={most}
          step={step}
          value={value}
          onChange={(event) => onChange(Number(event.target.value))}
        />
      </label>
      {onAway && (
        <IconButton label={`As mapped: ${label}`} onClick={onAway}>
          <X size={14} aria-hidden />
        </IconButton>
      )}
    </div>
  );
}
