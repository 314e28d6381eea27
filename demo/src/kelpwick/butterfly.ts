import { fit, look, move, position, step } from '../author.ts';

const TWO_HOOKS = ['footL hook thigh.R', 'footR hook thigh.L'];
const UNDER = 'armL underhook armpit.R';
const OVER = 'armR overhook upper-arm.L';

/** Seated with hooks inside the thighs of a kneeling opponent, and what is left once top stands, sprawls or steps back. */
export const butterfly = [
  position(
    'butterfly-two',
    'Two hooks, over and under',
    {
      aliases: ['butterfly guard', 'guarda borboleta', 'over-under'],
      systems: ['butterfly'],
      entry: 2,
      holds: [...TWO_HOOKS, UNDER, OVER, 'head press shoulder.L'],
      signs: {
        'own.torso': 'seated',
        'top.posture': 'leaning',
        'top.range': 'chest',
        'top.handL': 'trapped',
      },
      drift: 'butterfly-flat',
      cues: [
        'Head on the side of the arm you trap: nothing left there to post.',
        'Sit on one buttock before you lift.',
      ],
      fits: [
        fit('limbs', 'own', 'compact', 1, 'Short legs keep the hooks close to the seat, where they lift.'),
      ],
      faults: {
        'Sits square and lifts with the arms': 'Fall to the hip first; the hook lifts, the arms only steer.',
        'Head on the underhook side': 'Ear to the overhooked shoulder.',
      },
    },
    [
      look(
        'fall-to-side',
        'Fall towards the trapped arm',
        ['widen-base', 'smother-hooks', 'back-step', '~hop-over'],
        [
          move(
            'over-under-sweep',
            'Over-under sweep',
            'sweep',
            {
              aliases: ['hook sweep', 'raspagem de gancho'],
              needs: ['top.stance=kneeling'],
              needsHolds: ['overhook upper-arm.L', 'hook thigh.R'],
              steps: [
                step('Scoot the hips to the trapped side, one buttock on the mat.', {
                  release: ['footR'],
                  seconds: 1,
                }),
                step('Fall to the side behind the arm, the other hook lifts, head drives through.', {
                  after: [1],
                  seconds: 2,
                }),
                step('Land on the knees beside them, overhook kept.', {
                  release: ['footL'],
                  after: [2],
                  seconds: 1,
                }),
              ],
              direction: 300,
              mechanics: ['hook lift', 'hip escape'],
              variants: [
                {
                  id: 'lift',
                  name: 'Lift with the hook',
                  when: { build: 'legs long enough to lift the hip' },
                  why: 'The hook takes the knee off the mat: it works on people you cannot pull.',
                },
                {
                  id: 'heel-in',
                  name: 'Heel stays tucked, knee lifts',
                  when: { partner: 'flattens as soon as a hook is kicked up' },
                  why: 'A heel near your own seat cannot be pinned to the mat, and the guard is still there when it fails.',
                  steps: [
                    step('Scoot to the trapped side, heel tight to your own seat.', {
                      release: ['footR'],
                      seconds: 1,
                    }),
                    step('Fall and turn the knee up, not the foot; head drives through.', {
                      after: [1],
                      seconds: 2,
                    }),
                    step('Land on the knees beside them, overhook kept.', {
                      release: ['footL'],
                      after: [2],
                      seconds: 1,
                    }),
                  ],
                },
              ],
              houseVariant: 'lift',
              cues: ['Sideways, not backwards.'],
              faults: { 'Lies straight back': 'Ear to the mat over your own shoulder, never over the neck.' },
            },
            {
              none: ['top-side', 0.5],
              'widen-base': ['top-side', 0.3, 'butterfly-two'],
              'smother-hooks': ['butterfly-flat', 0.6],
              'back-step': ['back-stepped', 0.55],
              '~hop-over': ['half-flat', 0.45, 'passed'],
            },
          ),
          move(
            'butterfly-drag',
            'Let the overhook go, drag to the back',
            'back-take',
            {
              steps: [
                step('Overhook becomes a grip behind the arm; pull it across.', {
                  release: ['armR', 'head'],
                  take: ['handR cup upper-arm.L'],
                  seconds: 2,
                }),
                step('Hips out behind, harness from the underhook.', {
                  release: ['handR', 'armL', 'footR'],
                  take: ['armL+armR harness chest.C'],
                  after: [1],
                  seconds: 2,
                }),
                step('Hook first on the near side.', { after: [2], seconds: 1 }),
              ],
              cues: ['Go to their back, do not pull their back to you.'],
            },
            {
              none: ['back', 0.3],
              'widen-base': ['back', 0.35],
              'smother-hooks': ['butterfly-flat', 0.55],
              'back-step': ['back', 0.4, 'back-stepped'],
              '~hop-over': ['back', 0.2, 'half-flat'],
            },
          ),
        ],
      ),
      look(
        'lift-straight',
        'Lift with both hooks',
        ['tripod-up', 'sit-back', 'stands-up'],
        [
          move(
            'elevate-to-slx',
            'Lift and drop under one leg',
            'entry',
            {
              steps: [
                step('Lift until both knees are light, hand from the overhook to the far knee.', {
                  release: ['armR', 'head'],
                  take: ['handR cup knee.L'],
                  seconds: 1,
                }),
                step('Fall under the near leg: foot to the hip, arm round the ankle.', {
                  release: ['armL', 'footL', 'footR', 'handR'],
                  take: ['armL wrap ankle.R', 'footL place hip.R', 'footR hook knee-crook.R'],
                  after: [1],
                  signs: { 'own.torso': 'on-back', 'own.hips': 'raised', 'top.stance': 'standing' },
                  seconds: 2,
                }),
              ],
              mechanics: ['hook lift'],
              cues: ['They post a leg to save themselves: that leg is yours.'],
            },
            {
              none: ['slx', 0.4],
              'tripod-up': ['slx', 0.55],
              'sit-back': ['butterfly-clamp', 0.4],
              'stands-up': ['slx', 0.45, 'seated-standing'],
            },
          ),
          move(
            'arm-to-clamp',
            'Close both arms over the shoulder',
            'connect',
            {
              steps: [
                step('Underhook comes over, hands meet above the trapped arm.', {
                  release: ['armL', 'armR'],
                  take: ['handL+handR clamp shoulder.L'],
                  seconds: 2,
                }),
              ],
              cues: ['Hands locked high on the shoulder blade, elbows down.'],
            },
            {
              none: ['butterfly-clamp', 0.55],
              'tripod-up': ['butterfly-clamp', 0.5],
              'sit-back': ['butterfly-clamp', 0.6],
              'stands-up': ['seated-standing', 0.6],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'butterfly-one',
    'One hook, underhook and far wrist',
    {
      aliases: ['half butterfly', 'one-hook butterfly'],
      systems: ['butterfly', 'half-guard'],
      holds: ['footL hook thigh.R', UNDER, 'handR grip wrist.L'],
      signs: {
        'own.torso': 'seated',
        'own.angle': 'right',
        'top.posture': 'leaning',
        'top.range': 'chest',
        'top.handL': 'trapped',
      },
      drift: 'half-flat',
      cues: ['The leg without a hook is a shin on the mat, knee pointing out: it keeps you on the hip.'],
      faults: { 'Wrist hand pulls down': 'Pull it across to your own hip, then they cannot post.' },
    },
    [
      look(
        'lift-one',
        'Lift the hook, pull the wrist',
        ['whizzer', 'smother-hooks', 'back-step', 'post-far'],
        [
          move(
            'one-hook-sweep',
            'One-hook sweep',
            'sweep',
            {
              needs: ['top.stance=kneeling'],
              needsHolds: ['* wrist.L', 'hook thigh.R'],
              steps: [
                step('Wrist to the own hip, fall to that side.', { seconds: 1 }),
                step('Hook lifts past the vertical, underhook steers, follow over.', {
                  after: [1],
                  seconds: 2,
                }),
              ],
              direction: 300,
              mechanics: ['hook lift'],
              cues: ['No hand, no base: hold the wrist until you land.'],
            },
            {
              none: ['top-side', 0.45],
              whizzer: ['top-side', 0.3],
              'smother-hooks': ['butterfly-flat', 0.55],
              'back-step': ['back-stepped', 0.5],
              'post-far': ['butterfly-one', 0.6],
            },
          ),
          move(
            'one-hook-to-x',
            'Slide under into X',
            'entry',
            {
              steps: [
                step('Hook lifts, far hand leaves the wrist for the near ankle.', {
                  release: ['handR'],
                  seconds: 1,
                }),
                step('Head under the hips: both arms round the ankle, both feet to the far leg.', {
                  release: ['armL', 'footL'],
                  take: ['armL+armR wrap ankle.R', 'footR hook knee-crook.L', 'footL hook thigh.L'],
                  after: [1],
                  signs: { 'own.torso': 'on-back', 'own.hips': 'raised', 'top.stance': 'standing' },
                  seconds: 2,
                }),
              ],
              cues: ['Under them, not behind them.'],
            },
            {
              none: ['x-both', 0.35],
              whizzer: ['x-both', 0.35],
              'smother-hooks': ['half-deep', 0.4],
              'back-step': ['back-stepped', 0.45],
              'post-far': ['x-both', 0.45],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'butterfly-clamp',
    'Two hooks, shoulder clamp',
    {
      aliases: ['shoulder crunch', 'both arms over one shoulder'],
      systems: ['butterfly'],
      level: 'intermediate',
      holds: [...TWO_HOOKS, 'handL+handR clamp shoulder.L', 'head press shoulder.L'],
      signs: {
        'own.torso': 'seated',
        'own.angle': 'right',
        'top.posture': 'broken',
        'top.head': 'low',
        'top.range': 'chest',
        'top.handL': 'trapped',
        'top.elbowL': 'straight',
      },
      drift: 'butterfly-flat',
      cues: ['Your chest sits on their elbow: the arm is gone as a post.', 'Turn to face the trapped arm.'],
      faults: { 'Clamps the upper arm': 'Higher: the lock sits over the shoulder, not the biceps.' },
    },
    [
      look(
        'crunch',
        'Fall towards the clamped arm',
        ['~hide-hand', 'posture-up', 'tripod-up', 'drive-forward'],
        [
          move(
            'clamp-sweep',
            'Clamp sweep over the trapped arm',
            'sweep',
            {
              needsHolds: ['clamp shoulder.L', 'hook thigh.R'],
              steps: [
                step('The hook on the trapped side leaves, sit on that hip.', {
                  release: ['footR'],
                  seconds: 1,
                }),
                step('Lift with the other hook, turn the chest over the arm, land beside.', {
                  after: [1],
                  seconds: 2,
                }),
              ],
              direction: 300,
              mechanics: ['hook lift'],
              cues: ['They fall on the shoulder you hold.'],
            },
            {
              none: ['top-side', 0.5],
              '~hide-hand': ['top-side', 0.5],
              'posture-up': ['butterfly-two', 0.5],
              'tripod-up': ['slx', 0.4],
              'drive-forward': ['butterfly-flat', 0.45],
            },
          ),
          move(
            'clamp-armlock',
            'Arm lock from the clamp',
            'submission',
            {
              needs: ['top.elbowL=straight'],
              needsHolds: ['clamp shoulder.L'],
              steps: [
                step('Lock slides down to the elbow, hooks spread the knees.', { seconds: 2 }),
                step('Arch the chest into the elbow slowly until the tap.', { after: [1], seconds: 3 }),
              ],
              hazards: ['elbow-lock'],
              cues: ['Thumb to the ceiling shows where it bends. Slowly.'],
            },
            {
              none: ['submission', 0.3],
              '~hide-hand': ['butterfly-clamp', 0.7],
              'posture-up': ['submission', 0.3],
              'tripod-up': ['submission', 0.2],
              'drive-forward': ['butterfly-flat', 0.5],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'butterfly-flat',
    'Hooks flattened, chest on chest',
    {
      systems: ['butterfly'],
      holds: [...TWO_HOOKS, 'armL frame shoulder.R', 'armR frame hip.L'],
      signs: {
        'own.torso': 'on-back',
        'top.stance': 'all-fours',
        'top.posture': 'broken',
        'top.weight': 'forward',
        'top.range': 'chest',
      },
      drift: 'knee-line',
      cues: ['Elbows inside, feet alive: kick the hooks and make room for one knee.'],
      faults: { 'Hugs the head and waits': 'Frame, breathe, move the hips.' },
    },
    [
      look(
        'refill',
        'Hook lifts, frame pushes',
        ['drive-forward', 'hop-over', 'sit-back'],
        [
          move(
            'flat-sit-up',
            'Kick, sit up to two hooks again',
            'retention',
            {
              steps: [
                step('Both hooks lift together, frames push them back a hand.', { seconds: 1 }),
                step('Sit up into the chest: one arm under, one arm over, head to the overhook.', {
                  release: ['armL', 'armR'],
                  take: [UNDER, OVER, 'head press shoulder.L'],
                  after: [1],
                  signs: { 'own.torso': 'seated' },
                  seconds: 2,
                }),
              ],
              mechanics: ['hook lift'],
              cues: ['They need to be light for one moment: take that one.'],
            },
            {
              none: ['butterfly-two', 0.4],
              'drive-forward': ['butterfly-flat', 0.55, 'knee-line'],
              'hop-over': ['knee-shield', 0.4, 'passed'],
              'sit-back': ['butterfly-two', 0.65],
            },
          ),
          move(
            'flat-shield',
            'One hook out, knee shield in',
            'retention',
            {
              steps: [
                step('Hips out, knee to the chest line.', {
                  release: ['footL', 'armL'],
                  take: ['legL shield chest.C', 'handL frame shoulder.R'],
                  signs: { 'own.torso': 'side-R' },
                  seconds: 2,
                }),
                step('Low foot behind the ankle, hand to the far wrist.', {
                  release: ['footR', 'armR'],
                  take: ['footR hook ankle.R', 'handR grip wrist.L'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Give up one hook to win a knee.'],
            },
            {
              none: ['knee-shield', 0.5],
              'drive-forward': ['knee-shield', 0.4, 'half-flat'],
              'hop-over': ['knee-shield', 0.45, 'passed'],
              'sit-back': ['knee-shield', 0.6],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),

  position(
    'back-stepped',
    'Top back-stepped over the hook',
    {
      systems: ['butterfly', 'half-guard'],
      holds: ['armL+armR wrap thigh.R', 'footL hook ankle.R'],
      signs: {
        'own.torso': 'side-R',
        'top.facing': 'away',
        'top.stance': 'seated',
        'top.weight': 'back',
        'top.legR': 'light',
        'top.back': 'exposed',
      },
      drift: 'passed',
      cues: ['They turned their back: follow it before they sit.'],
    },
    [
      look(
        'follow-hips',
        'Follow the hips',
        ['turn-in', 'clear-line', 'sit-back'],
        [
          move(
            'stepped-back-take',
            'Climb on the turned back',
            'back-take',
            {
              needs: ['top.back=exposed'],
              steps: [
                step('Head to the spine, belt or waist held.', {
                  release: ['armL', 'armR'],
                  take: ['armL wrap waist.C'],
                  seconds: 1,
                }),
                step('Up the back: harness, then the hooks.', {
                  release: ['armL'],
                  take: ['armL+armR harness chest.C'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              cues: ['Waist first: a turned back turns again.'],
            },
            {
              none: ['back', 0.4],
              'turn-in': ['knee-shield', 0.45],
              'clear-line': ['back', 0.35],
              'sit-back': ['back', 0.3, 'passed'],
            },
          ),
          move(
            'stepped-leg',
            'Pinch the knee that stepped',
            'entry',
            {
              steps: [
                step('Knees close on the thigh you hug.', {
                  take: ['legL clamp thigh.R', 'legR clamp knee.R'],
                  release: ['footL'],
                  signs: { 'top.kneeLineR': 'caught' },
                  seconds: 1,
                }),
                step('Arm slides from the thigh to the ankle, elbow tight.', {
                  release: ['armL', 'armR'],
                  take: ['armL wrap ankle.R'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              cues: ['Knees before hands.'],
            },
            {
              none: ['entangle-outside', 0.4],
              'turn-in': ['knee-shield', 0.4],
              'clear-line': ['half-flat', 0.5, 'passed'],
              'sit-back': ['entangle-outside', 0.45],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'seated-standing',
    'Seated, top standing',
    {
      aliases: ['seated open guard', 'butterfly once top stands'],
      systems: ['butterfly', 'outside-hook', 'single-leg-x'],
      entry: 2,
      holds: ['handL post mat', 'handR grip sleeve.L.cuff | wrist.L'],
      signs: {
        'own.torso': 'seated',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.handL': 'gripping',
      },
      drift: 'hook-cut',
      cues: [
        'No hooks under a standing opponent: play the shins instead.',
        'Elbows in front of the knees, always half a turn off square.',
      ],
      faults: {
        'Both feet flat on the mat in front of them': 'One foot posts, one foot touches their shin.',
      },
    },
    [
      look(
        'reach-leg',
        'Scoot in on the near leg',
        ['step-back', 'drive-forward', '~pull-sleeve', 'kneel-down'],
        [
          move(
            'seat-to-hook',
            'Lie back into the outside hook',
            'connect',
            {
              steps: [
                step('Hand off the mat to the heel, hook round the outside.', {
                  release: ['handL'],
                  take: ['handL grip trousers.R.cuff | heel.R', 'footL hook thigh.R'],
                  signs: { 'own.torso': 'on-back', 'own.angle': 'left' },
                  seconds: 2,
                }),
                step('Other foot to the far knee.', { take: ['footR place knee.L'], seconds: 1 }),
              ],
              cues: ['Heel before hook: a free foot steps over it.'],
            },
            {
              none: ['hook-heel-sleeve', 0.6],
              'step-back': ['seated-standing', 0.7],
              'drive-forward': ['hook-heel-sleeve', 0.5, 'hook-cut'],
              '~pull-sleeve': ['hook-collar-sleeve', 0.4, 'seated-standing'],
              'kneel-down': ['butterfly-one', 0.5],
            },
          ),
          move(
            'seat-single',
            'Come up on the near leg',
            'stand-up',
            {
              aliases: ['technical stand-up to the single leg'],
              steps: [
                step('Pull the sleeve, post, head to the outside of the thigh.', { seconds: 1 }),
                step('Arms lock behind the knee, stand up under them.', {
                  release: ['handL', 'handR'],
                  take: ['armL+armR wrap knee-crook.R'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              mechanics: ['technical stand-up', 'single-leg finish'],
              cues: ['Head up, ear on the thigh.'],
            },
            {
              none: ['top-side', 0.3],
              'step-back': ['neutral', 0.5],
              'drive-forward': ['hook-heel-sleeve', 0.4, 'hook-cut'],
              '~pull-sleeve': ['top-side', 0.25],
              'kneel-down': ['dogfight', 0.4],
            },
          ),
          move(
            'seat-to-slx',
            'Slide under the near leg',
            'connect',
            {
              steps: [
                step('Shin to shin, pull the sleeve over you.', {
                  take: ['legL hook shin.R'],
                  release: ['handL'],
                  seconds: 1,
                }),
                step('Lift the shin and drop under: foot to the hip, arm round the ankle.', {
                  release: ['legL', 'handR'],
                  take: ['armL wrap ankle.R', 'footL place hip.R', 'footR hook knee-crook.R'],
                  after: [1],
                  signs: { 'own.torso': 'on-back', 'own.hips': 'raised' },
                  seconds: 2,
                }),
              ],
              cues: ['Lift them before you lie down.'],
            },
            {
              none: ['slx', 0.45],
              'step-back': ['seated-standing', 0.7],
              'drive-forward': ['slx', 0.55, 'hook-cut'],
              '~pull-sleeve': ['slx', 0.35, 'seated-standing'],
              'kneel-down': ['butterfly-one', 0.5],
            },
          ),
        ],
      ),
    ],
  ),
];
