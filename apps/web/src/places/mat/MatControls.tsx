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
import { type ComponentProps, useState } from 'react';
import { useLayer } from '../../components/useLayer.ts';
import { loudness, setLoudness } from './bell.ts';
import styles from './controls.module.scss';
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
  const go = (act: () => void) => () => {
    act();
    setJumping(false);
  };
  return (
    <div className={styles.controls}>
      {jumping && (
        <div className={styles.jump} role="group" aria-label="Go to">
          <button type="button" onClick={go(run.end)}>
            <Square aria-hidden /> End the class here
          </button>
          {plan.blocks.map((block, i) => (
            <button key={block.id} type="button" onClick={go(() => run.jump(i))}>
              {block.title}
            </button>
          ))}
        </div>
      )}
      <Control name="Back" keys="←" onClick={() => run.skip(-1)}>
        <SkipBack aria-hidden />
      </Control>
      <Control
        name={run.running ? 'Pause' : 'Start'}
        keys="Space"
        className={styles.main}
        onClick={run.toggle}
        disabled={!run.now}
      >
        {run.running ? <Pause aria-hidden /> : <Play aria-hidden />}
        {run.running ? 'Pause' : run.elapsed > 0 ? 'Go on' : 'Start'}
      </Control>
      <Control name="Next" keys="→" onClick={() => run.skip(1)}>
        <SkipForward aria-hidden />
      </Control>
      <Control name="A minute more" keys="+" onClick={run.addMinute} disabled={!run.now}>
        <Plus aria-hidden /> 1 min
      </Control>
      <Control name="Swap sides" keys="s" onClick={run.swapSides} disabled={!run.now}>
        <ArrowLeftRight aria-hidden />
      </Control>
      <Control
        name="Count what is seen"
        keys="c"
        className={counting ? styles.on : ''}
        aria-pressed={counting}
        onClick={onCounting}
      >
        <ListChecks aria-hidden />
      </Control>
      <Control name="Go to a block" aria-expanded={jumping} onClick={() => setJumping(!jumping)}>
        <List aria-hidden />
      </Control>
      <Control
        name={loud === 0 ? 'Bells are off' : loud < 1 ? 'Bells are soft' : 'Bells are loud'}
        onClick={turnLoud}
      >
        {loud === 0 ? <VolumeX aria-hidden /> : <Volume2 aria-hidden opacity={loud < 1 ? 0.6 : 1} />}
      </Control>
      <Control name="Full screen" onClick={() => void document.documentElement.requestFullscreen?.()}>
        <Maximize aria-hidden />
      </Control>
    </div>
  );
}

interface ControlProps extends ComponentProps<'button'> {
  name: string;
  /** The key that does the same. */
  keys?: string;
}

/** One thing that can be done, with the key that does it in its title. */
function Control({ name, keys, ...button }: ControlProps) {
  return <button type="button" aria-label={name} title={keys ? `${name} (${keys})` : name} {...button} />;
}
