import {
  ArrowLeftRight,
  List,
  ListChecks,
  Maximize,
  Moon,
  Pause,
  Play,
  Plus,
  SkipBack,
  SkipForward,
  Square,
  Sun,
  Users,
  Volume2,
  VolumeX,
} from 'lucide-react';
import { type ComponentProps, useState } from 'react';
import { useLayer } from '../../components/useLayer.ts';
import { setHall } from '../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { loudness, setLoudness } from './bell.ts';
import styles from './controls.module.scss';
import type { Run } from './useRun.ts';
import { WhoIsHere } from './WhoIsHere.tsx';
import { say } from './words.ts';

interface Props {
  run: Run;
  counting: boolean;
  onCounting: () => void;
}

/** Everything that can be done to a running class: with the thumb, or by the key in its title. */
export function MatControls({ run, counting, onCounting }: Props) {
  const [open, setOpen] = useState<'jump' | 'here'>();
  const flip = (panel: 'jump' | 'here') => () => setOpen(open === panel ? undefined : panel);
  const dispatch = useAppDispatch();
  const hall = useAppSelector(({ settings }) => settings.hall);
  const { plan } = run;
  const { here } = run;
  const [loud, setLoud] = useState(loudness);
  useLayer(open !== undefined, () => setOpen(undefined));
  const turnLoud = () => {
    const next = loud === 0 ? 0.5 : loud < 1 ? 1 : 0;
    setLoudness(next);
    setLoud(next);
    if (next > 0) run.bell().ring('call');
  };
  const go = (act: () => void) => () => {
    act();
    setOpen(undefined);
  };
  return (
    <div className={styles.controls}>
      {open === 'here' && <WhoIsHere run={run} />}
      {open === 'jump' && (
        <div className={styles.jump} role="group" aria-label="Go to">
          <button type="button" onClick={go(run.end)}>
            <Square aria-hidden /> End the class here
          </button>
          {plan.blocks.map((block) => (
            <button key={block.id} type="button" onClick={go(() => run.jump(block.id))}>
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
        name={say.countWhatSee}
        keys="c"
        className={counting ? styles.on : ''}
        aria-pressed={counting}
        onClick={onCounting}
      >
        <ListChecks aria-hidden />
      </Control>
      <Control name="Who is here" aria-expanded={open === 'here'} onClick={flip('here')}>
        <Users aria-hidden /> {here.length || ''}
      </Control>
      <Control name={say.goBlock} aria-expanded={open === 'jump'} onClick={flip('jump')}>
        <List aria-hidden />
      </Control>
      <Control
        name={loud === 0 ? 'Bells are off' : loud < 1 ? 'Bells are soft' : 'Bells are loud'}
        onClick={turnLoud}
      >
        {loud === 0 ? <VolumeX aria-hidden /> : <Volume2 aria-hidden opacity={loud < 1 ? 0.6 : 1} />}
      </Control>
      <Control
        name={hall === 'dim' ? say.brightHall : say.dimHall}
        keys="b"
        onClick={() => dispatch(setHall(hall === 'dim' ? 'bright' : 'dim'))}
      >
        {hall === 'dim' ? <Sun aria-hidden /> : <Moon aria-hidden />}
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
