import { Pause, Play } from 'lucide-react';

interface Props {
  /** Where it stands, from 0 to the end. */
  at: number;
  end: number;
  step: number;
  running: boolean;
  onAt: (at: number) => void;
  onRun: (running: boolean) => void;
  words: { run: string; stop: string; place: string };
  disabled?: boolean;
}

/** What runs something from its beginning to its end, and takes it to any place; at the end it begins anew. */
export function PlayHead({ at, end, step, running, onAt, onRun, words, disabled = false }: Props) {
  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-plain"
        aria-label={running ? words.stop : words.run}
        disabled={disabled}
        onClick={() => {
          if (!running && at >= end) onAt(0);
          onRun(!running);
        }}
      >
        {running ? <Pause size={14} aria-hidden /> : <Play size={14} aria-hidden />}
      </button>
      <input
        type="range"
        className="form-range"
        aria-label={words.place}
        min={0}
        max={end}
        step={step}
        value={at}
        onChange={({ target }) => onAt(Number(target.value))}
      />
    </>
  );
}
