import type { GuardMapInput } from '../../../packages/core/src/index.ts';

type Opponent = NonNullable<GuardMapInput['opponents']>[number];

/** What somebody does about a look, in per cent; "~" in front of a reaction is its other side. */
const habit = (position: string, look: string, percents: Record<string, number>) => ({
  position,
  look,
  reactions: Object.entries(percents).map(([key, percent]) => ({
    id: key.replace('~', ''),
    ...(key.startsWith('~') && { mirrored: true }),
    share: percent / 100,
  })),
});

/** Two made-up opponents: one who comes in at everything, one who stays away. */
export const opponents: Opponent[] = [
  {
    id: 'marten',
    alias: 'Marten',
    note: 'Comes forward at everything and is hard to hold off, but seldom backs out.',
    tendencies: [
      habit('seated', 'drag', { 'drive-forward': 70, 'post-far': 30 }),
      habit('seated-standing', 'reach-leg', {
        'step-back': 15,
        'drive-forward': 60,
        '~pull-sleeve': 15,
        'kneel-down': 10,
      }),
      habit('collar-sleeve-standing', 'push-pull', {
        'strip-collar': 20,
        'step-back': 10,
        'drive-forward': 70,
      }),
      habit('hook-heel-sleeve', 'push-away', {
        'clear-hook': 20,
        'step-back': 10,
        'kneel-down': 50,
        '~pull-sleeve': 20,
      }),
      habit('butterfly-two', 'fall-to-side', {
        'widen-base': 55,
        'smother-hooks': 25,
        'back-step': 10,
        '~hop-over': 10,
      }),
      habit('half-flat', 'unflatten', { 'drive-forward': 50, 'knee-cut': 30, 'underhook-top': 20 }),
      habit('knee-line', 'frame', { 'drive-forward': 60, 'knee-cut': 40 }),
    ],
  },
  {
    id: 'sedge',
    alias: 'Sedge',
    note: 'Stands, strips grips and backs off; wants a loose guard to run round.',
    tendencies: [
      habit('seated-standing', 'reach-leg', {
        'step-back': 60,
        'drive-forward': 10,
        '~pull-sleeve': 20,
        'kneel-down': 10,
      }),
      habit('collar-sleeve', 'pull', { 'strip-collar': 30, 'posture-up': 60, 'post-far': 10 }),
      habit('collar-sleeve-standing', 'push-pull', {
        'strip-collar': 30,
        'step-back': 60,
        'drive-forward': 10,
      }),
      habit('butterfly-two', 'fall-to-side', {
        'widen-base': 20,
        'smother-hooks': 10,
        'back-step': 60,
        '~hop-over': 10,
      }),
      habit('slx', 'off-balance-leg', {
        'clear-line': 20,
        'drive-forward': 10,
        'post-far': 20,
        'sit-back': 50,
      }),
    ],
  },
];
