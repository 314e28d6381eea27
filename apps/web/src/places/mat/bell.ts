import { device } from '../../device/device.ts';

export type Ring = 'start' | 'change' | 'end' | 'warn' | 'call';

/** How loud it is, 0 to 1, kept on this device. */
export const loudness = (): number => device.cells.setting<number>('loudness') ?? 1;
export const setLoudness = (value: number): void => device.cells.keepSetting('loudness', value);

/** Something that can be heard at the edge of the mat. */
export interface Bell {
  /** Browsers let sound begin only after a touch; called on the first one. */
  wake(): void;
  ring(kind: Ring): void;
  /** Says a word, where the machine has a voice. */
  say(word: string): void;
}

const NOTES: Record<Ring, { hertz: number; strokes: number; seconds: number }> = {
  start: { hertz: 880, strokes: 1, seconds: 1.2 },
  change: { hertz: 740, strokes: 2, seconds: 0.7 },
  end: { hertz: 660, strokes: 3, seconds: 0.5 },
  warn: { hertz: 1320, strokes: 2, seconds: 0.15 },
  call: { hertz: 990, strokes: 1, seconds: 0.25 },
};

/** A struck bell from Web Audio: a tone with two overtones that dies away. */
function audibleBell(context: AudioContext): Bell {
  return {
    wake: () => void context.resume(),
    ring(kind) {
      const { hertz, strokes, seconds } = NOTES[kind];
      const volume = loudness();
      if (volume === 0) return;
      for (let stroke = 0; stroke < strokes; stroke++) {
        const at = context.currentTime + stroke * seconds * 0.9;
        for (const [overtone, loudness] of [
          [1, 0.5 * volume],
          [2.01, 0.25 * volume],
          [3.03, 0.12 * volume],
        ] as const) {
          const tone = context.createOscillator();
          const gain = context.createGain();
          tone.frequency.value = hertz * overtone;
          gain.gain.setValueAtTime(loudness, at);
          gain.gain.exponentialRampToValueAtTime(0.001, at + seconds);
          tone.connect(gain).connect(context.destination);
          tone.start(at);
          tone.stop(at + seconds);
        }
      }
    },
    say: speak,
  };
}

function speak(word: string): void {
  if (!('speechSynthesis' in window) || loudness() === 0) return;
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(word);
  said.volume = loudness();
  speechSynthesis.speak(said);
}

/** Makes no sound but keeps count on the page, for rooms without a loudspeaker and for tests. */
function silentBell(): Bell {
  return {
    wake: () => undefined,
    ring(kind) {
      const rings = document.documentElement.dataset.rings;
      document.documentElement.dataset.rings = rings ? `${rings} ${kind}` : kind;
    },
    say(word) {
      document.documentElement.dataset.said = word;
    },
  };
}

/** The bell this browser can give; silent where there is no sound or `aftersquall.bell` is set to `silent`. */
export function createBell(): Bell {
  const silent = device.cells.setting('bell') === 'silent' || !('AudioContext' in window);
  return silent ? silentBell() : audibleBell(new AudioContext());
}
