import type { ClassPlan } from '@aftersquall/core';
import {
  ArrowLeftRight,
  List,
  ListChecks,
  Maximize,
  Pause,
  Play,
  Plus,
  SkipBack,
  SkipForward,
  Square,
  Volume2,
  VolumeX,
} from 'lucide-react';
import { useState } from 'react';
import { useLayer } from '../../components/useLayer.ts';
import { loudness, setLoudness } from './bell.ts';
import styles from './mat.module.scss';
import type { Run } from './useRun.ts';

interface Props {
  plan: ClassPlan;
  run: Run;
  counting: boolean;
  onCounting: () => void;
}

/** Everything that can be done to a running class: with the thumb, or by the key in its title. */
export function MatControls({ plan, run, counting, onCounting }: Props) {
  const [jumping, setJumping] = useState(false);
  const [loud, setLoud] = useState(loudness);
  useLayer(jumping, () => setJumping(false));
  const turnLoud = () => {
    const next = loud === 0 ? 0.5 : loud < 1 ? 1 : 0;
    setLoudness(next);
    setLoud(next);
    if (next > 0) run.bell().ring('call');
  };
  return (
    <div className={styles.controls}>
      {jumping && (
        <div className={styles.jump} role="group" aria-label="Go to">
          {plan.blocks.map((block, i) => (
            <button
              key={block.id}
              type="button"
              onClick={() => {
                run.jump(i);
                setJumping(false);
              }}
            >
              {block.title}
            </button>
          ))}
          <button
            type="button"
            onClick={() => {
              run.end();
              setJumping(false);
            }}
          >
            <Square aria-hidden /> End the class here
          </button>
        </div>
      )}
      <button type="button" aria-label="Back" title="Back (←)" onClick={() => run.skip(-1)}>
        <SkipBack aria-hidden />
      </button>
      <button
        type="button"
        className={styles.main}
        aria-label={run.running ? 'Pause' : 'Start'}
        title="Start and pause (Space)"
        onClick={run.toggle}
        disabled={!run.now}
      >
        {run.running ? <Pause aria-hidden /> : <Play aria-hidden />}
        {run.running ? 'Pause' : run.elapsed > 0 ? 'Go on' : 'Start'}
      </button>
      <button type="button" aria-label="Next" title="Next (→)" onClick={() => run.skip(1)}>
        <SkipForward aria-hidden />
      </button>
      <button
        type="button"
        aria-label="A minute more"
        title="A minute more (+)"
        onClick={run.addMinute}
        disabled={!run.now}
      >
        <Plus aria-hidden /> 1 min
      </button>
      <button
        type="button"
        aria-label="Swap sides"
        title="Swap sides (s)"
        onClick={run.swapSides}
        disabled={!run.now}
      >
        <ArrowLeftRight aria-hidden />
      </button>
      <button
        type="button"
        aria-label="Count what is seen"
        aria-pressed={counting}
        title="Count what is seen (c)"
        className={counting ? styles.on : ''}
        onClick={onCounting}
      >
        <ListChecks aria-hidden />
      </button>
      <button
        type="button"
        aria-label="Go to a block"
        aria-expanded={jumping}
        title="Go to a block"
        onClick={() => setJumping(!jumping)}
      >
        <List aria-hidden />
      </button>
      <button
        type="button"
        aria-label={loud === 0 ? 'Bells are off' : loud < 1 ? 'Bells are soft' : 'Bells are loud'}
        title="How loud the bells are"
        onClick={turnLoud}
      >
        {loud === 0 ? <VolumeX aria-hidden /> : <Volume2 aria-hidden opacity={loud < 1 ? 0.6 : 1} />}
      </button>
      <button
        type="button"
        aria-label="Full screen"
        title="Full screen"
        onClick={() => void document.documentElement.requestFullscreen?.()}
      >
        <Maximize aria-hidden />
      </button>
    </div>
  );
}
