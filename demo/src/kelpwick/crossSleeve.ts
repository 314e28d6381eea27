import { fit, look, move, position, step } from '../author.ts';

const CROSS = 'handR grip sleeve.R.cuff deep keep';
const CROSS_LOCK = 'handR grip sleeve.R.cuff';
const CLAMP = 'legL clamp shoulder.R keep';

/** The cross grip on the sleeve, the leg underhooked, the shoulder lock and what top does to it. */
export const crossSleeve = [
  position(
    'cross-sleeve',
    'Cross-sleeve guard',
    {
      aliases: ['cross grip guard', 'manga cruzada'],
      systems: ['cross-sleeve'],
      holds: [CROSS, 'handL post mat', 'footL hook knee-crook.R', 'footR place hip.L'],
      signs: {
        'own.torso': 'on-back',
        'own.angle': 'left',
        'top.handR': 'trapped',
        'top.elbowR': 'open',
        'top.posture': 'leaning',
      },
      drift: 'knee-line',
      cues: ['Their arm crosses their own centre line.', 'The foot on the hip keeps the far side away.'],
      faults: { 'Lies flat': 'On the hip, looking at their near knee.' },
    },
    [
      look(
        'under',
        'Go under the near leg',
        ['stands-up', 'step-leg-out', 'knee-cut', 'pull-sleeve'],
        [
          move(
            'underhook-leg',
            'Underhook the near leg',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('The posting hand dives behind the near knee.', {
                  release: ['handL', 'footL'],
                  take: ['armL underhook knee-crook.R'],
                  seconds: 2,
                }),
                step('Rest the near leg on the shoulder, head close to the shin.', {
                  take: ['legL press shoulder.R'],
                  signs: { 'own.torso': 'side-L' },
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Ear to the shin.'],
              faults: { 'Reaches with the arm only': 'The head goes first, the arm comes along.' },
            },
            {
              none: ['leg-underhook', 0.7],
              'stands-up': ['leg-underhook', 0.65],
              'step-leg-out': ['cross-sleeve', 0.7, 'seated'],
              'knee-cut': ['leg-underhook', 0.45, 'knee-line'],
              'pull-sleeve': ['seated', 0.6, 'knee-line'],
            },
          ),
          move(
            'cross-tilt',
            'Pull across and lift the hook',
            'sweep',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Pull the cuff to the far hip and kick the hook up under the knee.', { seconds: 2 }),
                step('Push the far hip, come up on the elbow, keep the sleeve.', {
                  release: ['footL', 'footR'],
                  seconds: 2,
                }),
              ],
              direction: 60,
              mechanics: ['pendulum', 'technical stand-up'],
              cues: ['They fall over the arm that is not there.'],
            },
            {
              none: ['top-side', 0.4],
              'stands-up': ['x-guard', 0.45],
              'step-leg-out': ['top-side', 0.3],
              'knee-cut': ['top-side', 0.25, 'knee-line'],
              'pull-sleeve': ['seated', 0.5, 'knee-line'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'leg-underhook',
    'Cross-sleeve, leg underhooked',
    {
      systems: ['cross-sleeve'],
      holds: [CROSS, 'armL underhook knee-crook.R', 'legL press shoulder.R', 'footR place hip.L'],
      signs: {
        'own.torso': 'side-L',
        'own.angle': 'left',
        'top.handR': 'trapped',
        'top.elbowR': 'open',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
      },
      drift: 'knee-line',
      cues: ['Arm and leg of the same side are yours: nothing is left to post with there.'],
      faults: { 'Hugs the leg and forgets the sleeve': 'Cuff first, leg second.' },
    },
    [
      look(
        'rotate',
        'Rotate under',
        ['posture-up', 'drop-knees', 'step-leg-out', 'lock-legs'],
        [
          move(
            'close-lock',
            'Leg over, close the shoulder lock',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Push the hip away, swing the leg over the shoulder until the knee points at the mat.', {
                  release: ['legL', 'footR'],
                  take: [CLAMP],
                  seconds: 2,
                }),
                step('Sit up, arm round the waist so that they cannot roll.', {
                  release: ['armL'],
                  take: ['armL wrap waist.C'],
                  after: [1],
                  signs: { 'own.torso': 'seated', 'top.posture': 'broken', 'top.elbowR': 'bent-trapped' },
                  seconds: 2,
                }),
              ],
              mechanics: ['hip rotation'],
              cues: ['Lock before the turn, waist before the finish.'],
            },
            {
              none: ['shoulder-lock', 0.65],
              'posture-up': ['shoulder-lock-tall', 0.65],
              'drop-knees': ['shoulder-lock-low', 0.6],
              'step-leg-out': ['shoulder-lock', 0.4, 'cross-sleeve'],
              'lock-legs': ['legs-locked', 0.7, 'knee-line'],
            },
          ),
          move(
            'underhook-sweep',
            'Lift the leg, push the hip',
            'sweep',
            {
              needsHolds: ['underhook knee-crook.R', '* sleeve.R'],
              steps: [
                step('Lift the leg to the shoulder and push the far hip.', { seconds: 2 }),
                step('Come up on the elbow with the leg still in the arm.', {
                  release: ['legL', 'footR'],
                  seconds: 2,
                }),
              ],
              direction: 60,
              mechanics: ['technical stand-up'],
              cues: ['Hold the leg until you are up: they cannot stand without it.'],
            },
            {
              none: ['top-side', 0.45],
              'posture-up': ['x-guard', 0.5],
              'drop-knees': ['top-side', 0.4],
              'step-leg-out': ['top-side', 0.25, 'cross-sleeve'],
              'lock-legs': ['legs-locked', 0.7, 'knee-line'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'shoulder-lock',
    'Shoulder lock, top bent over',
    {
      aliases: ['omoplata', 'ashi sankaku garami'],
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: [CLAMP, CROSS_LOCK, 'armL wrap waist.C'],
      signs: {
        'own.torso': 'seated',
        'own.angle': 'left',
        'top.posture': 'broken',
        'top.head': 'low',
        'top.elbowR': 'bent-trapped',
        'top.handR': 'trapped',
        'top.weight': 'forward',
      },
      drift: 'cross-sleeve',
      cues: ['Elbow bent, behind the knee, all the time.', 'The arm round the waist stops the roll.'],
      faults: {
        'Falls on the back': 'Sit, hand behind, chest over the shoulder.',
        'Lets the arm straighten': 'Heel to the own hip, knee to the mat.',
      },
      fits: [fit('limbs', 'own', 'long', 1, 'Long legs cross and hold without the hands.')],
    },
    [
      look(
        'turn',
        'Sit up and turn the corner',
        ['posture-up', 'drop-knees', 'sit-out', 'step-over', 'knee-belly', 'lock-legs', 'roll-forward'],
        [
          move(
            'finish-lock',
            'Finish the shoulder lock',
            'submission',
            {
              needs: ['top.elbowR=bent-trapped'],
              needsHolds: ['clamp shoulder.R'],
              steps: [
                step('Move the hips away until their shoulder is on the mat.', { seconds: 3 }),
                step('Bend both legs, lean forward over the shoulder, slowly, until the tap.', {
                  after: [1],
                  seconds: 4,
                }),
              ],
              hazards: ['shoulder-lock'],
              variants: [
                {
                  id: 'hips-away',
                  name: 'Hips away, legs bent',
                  why: 'Works for every build; the waist stays held.',
                  when: {},
                },
                {
                  id: 'figure-four',
                  name: 'Long legs: figure-four the shoulder',
                  when: { build: 'long legs' },
                  why: 'Legs that cross leave both hands for the waist and the far hip.',
                  steps: [
                    step('Cross the ankle behind the other knee over the shoulder.', {
                      take: ['legR clamp own:ankle.L'],
                      seconds: 2,
                    }),
                    step('Both arms on the waist, hips away, lean slowly until the tap.', {
                      release: ['handR'],
                      take: ['handR cup hip.L'],
                      after: [1],
                      seconds: 5,
                    }),
                  ],
                },
              ],
              houseVariant: 'hips-away',
              fits: [
                fit('limbs', 'own', 'long', 2, 'The figure-four holds by itself.'),
                fit('flexibility', 'partner', 'supple', -1, 'Supple shoulders sit it out.'),
              ],
              cues: ['Slow: the shoulder gives no warning.'],
              faults: { 'Finishes before the shoulder is down': 'Hips away first, then lean.' },
            },
            {
              none: ['submission', 0.5],
              'posture-up': ['shoulder-lock-tall', 0.75],
              'drop-knees': ['shoulder-lock-low', 0.8],
              'sit-out': ['lock-sat-out', 0.65],
              'step-over': ['lock-stepped-over', 0.6, 'knee-line'],
              'knee-belly': ['lock-knee-belly', 0.75, 'passed'],
              'lock-legs': ['legs-locked', 0.75, 'knee-line'],
              'roll-forward': ['top-side', 0.5],
            },
          ),
          move(
            'lock-sweep',
            'Tip over the trapped shoulder',
            'sweep',
            {
              needsHolds: ['clamp shoulder.R'],
              steps: [
                step('Hand to the far hip, push them forward over the shoulder that has no hand.', {
                  release: ['armL'],
                  take: ['handL cup hip.L'],
                  seconds: 2,
                }),
                step('Follow up to the side, keep the lock until you are stable.', { seconds: 3 }),
              ],
              direction: 60,
              mechanics: ['technical stand-up'],
              cues: ['Sweep first: the lock is still there on top.'],
            },
            {
              none: ['top-side', 0.55],
              'posture-up': ['x-guard', 0.5, 'shoulder-lock-tall'],
              'drop-knees': ['shoulder-lock-low', 0.8],
              'sit-out': ['top-side', 0.5, 'lock-sat-out'],
              'step-over': ['lock-stepped-over', 0.55, 'knee-line'],
              'knee-belly': ['lock-knee-belly', 0.7, 'passed'],
              'lock-legs': ['legs-locked', 0.7, 'knee-line'],
              'roll-forward': ['top-side', 0.6],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'shoulder-lock-tall',
    'Shoulder lock, top tall',
    {
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: ['legL clamp shoulder.R shallow', CROSS_LOCK, 'armL underhook knee-crook.R'],
      signs: {
        'own.torso': 'on-shoulder',
        'own.hips': 'raised',
        'top.stance': 'standing',
        'top.posture': 'upright',
        'top.head': 'high',
        'top.handR': 'trapped',
        'top.elbowR': 'bent-trapped',
      },
      drift: 'knee-line',
      cues: ['Do not fight their back with your leg: go under it.'],
      faults: { 'Hangs on the leg and waits': 'Tall posture is the signal for X.' },
    },
    [
      look(
        'under-tall',
        'Go under the tall posture',
        ['straighten-arm', 'drive-forward'],
        [
          move(
            'drop-to-x',
            'Drop under into X',
            'connect',
            {
              needsHolds: ['underhook knee-crook.R'],
              steps: [
                step('Let the lock go, head under their hips, near leg stays on the shoulder.', {
                  release: ['legL', 'armL'],
                  take: ['armL wrap ankle.R'],
                  seconds: 2,
                }),
                step('Feet on the far leg: one hooks behind the knee, one inside the thigh.', {
                  take: ['footR hook knee-crook.L', 'footL hook thigh.L'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              cues: ['Head under the hips before the hooks.'],
            },
            {
              none: ['x-guard', 0.6],
              'straighten-arm': ['x-guard', 0.6],
              'drive-forward': ['x-guard', 0.35, 'knee-line'],
            },
          ),
          move(
            'break-down',
            'Climb the leg, break the posture',
            'provoke',
            {
              needsHolds: ['underhook knee-crook.R', 'clamp shoulder.R'],
              steps: [
                step('Pull the knee in, kick the shoulder down, sit up to the waist.', {
                  release: ['armL'],
                  take: ['armL wrap waist.C'],
                  signs: { 'own.torso': 'seated', 'top.posture': 'broken' },
                  seconds: 3,
                }),
              ],
              cues: ['Pull the leg that holds them up.'],
            },
            {
              none: ['shoulder-lock', 0.4],
              'straighten-arm': ['two-on-one', 0.5, 'knee-line'],
              'drive-forward': ['shoulder-lock-low', 0.35, 'passed'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'shoulder-lock-low',
    'Shoulder lock, top dropped flat',
    {
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: [CLAMP, CROSS_LOCK, 'armL wrap waist.C'],
      signs: {
        'own.torso': 'seated',
        'top.stance': 'all-fours',
        'top.posture': 'broken',
        'top.head': 'pinned',
        'top.elbowR': 'bent-trapped',
        'top.handR': 'trapped',
        'top.back': 'exposed',
      },
      cues: ['Chest over their shoulder blade: no room to roll.'],
      faults: { 'Sits too far forward': 'Hips level with their ear.' },
    },
    [
      look(
        'flat',
        'Finish from the flat',
        ['roll-forward', 'straighten-arm', 'hide-hand'],
        [
          move(
            'finish-flat',
            'Finish with top flat',
            'submission',
            {
              needs: ['top.elbowR=bent-trapped'],
              needsHolds: ['clamp shoulder.R', 'wrap waist'],
              steps: [
                step('Hips away in a small circle, both legs bent.', { seconds: 3 }),
                step('Lean in slowly until the tap.', { after: [1], seconds: 3 }),
              ],
              hazards: ['shoulder-lock'],
              cues: ['Hips away, chest in.'],
            },
            {
              none: ['submission', 0.6],
              'roll-forward': ['top-side', 0.55],
              'straighten-arm': ['top-side', 0.4],
              'hide-hand': ['submission', 0.4],
            },
          ),
          move(
            'back-from-lock',
            'Leave the lock for the back',
            'back-take',
            {
              needs: ['top.back=exposed'],
              steps: [
                step('Let go of the sleeve, seat belt over the shoulder and under the arm.', {
                  release: ['handR', 'armL'],
                  take: ['armR+armL harness chest.C'],
                  seconds: 2,
                }),
                step('Take the leg off the shoulder and put in the first hook.', {
                  release: ['legL'],
                  take: ['footL hook thigh.L'],
                  after: [1],
                  seconds: 3,
                }),
              ],
              cues: ['Harness before hooks.'],
            },
            {
              none: ['back', 0.4],
              'roll-forward': ['top-side', 0.45],
              'straighten-arm': ['back', 0.45],
              'hide-hand': ['back', 0.5],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'lock-sat-out',
    'Shoulder lock, top sat out beside',
    {
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: [CLAMP, CROSS_LOCK, 'armL wrap waist.C'],
      signs: {
        'own.torso': 'seated',
        'top.stance': 'seated',
        'top.facing': 'turned-right',
        'top.elbowR': 'bent-trapped',
        'top.handR': 'trapped',
        'top.posture': 'leaning',
      },
      cues: ['They sat down: now you stand up.'],
    },
    [
      look(
        'come-up',
        'Come up over them',
        ['turn-in', 'hide-hand'],
        [
          move(
            'up-to-side',
            'Come up to the side',
            'sweep',
            {
              needsHolds: ['wrap waist'],
              steps: [step('Push off the free foot, chest on their chest, lock kept.', { seconds: 3 })],
              direction: 135,
              mechanics: ['technical stand-up'],
              cues: ['Chest before legs.'],
            },
            {
              none: ['top-side', 0.6],
              'turn-in': ['top-guard', 0.45, 'seated'],
              'hide-hand': ['top-side', 0.6],
            },
          ),
          move(
            'up-to-mount',
            'Step over to mount, lock still on',
            'sweep',
            {
              steps: [
                step('Free leg over the belly, sit on the hips, elbow still behind the knee.', {
                  seconds: 4,
                }),
              ],
              direction: 135,
              cues: ['Heavy hips first, finish later.'],
            },
            { none: ['top-mount', 0.35], 'hide-hand': ['top-mount', 0.35] },
          ),
        ],
      ),
    ],
  ),

  position(
    'lock-stepped-over',
    'Shoulder lock, top stepped over the head',
    {
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: [CLAMP, CROSS_LOCK],
      signs: {
        'own.torso': 'side-L',
        'top.stance': 'standing',
        'top.legL': 'stepped-over',
        'top.facing': 'turned-right',
        'top.elbowR': 'bent-trapped',
        'top.handR': 'trapped',
        'top.posture': 'leaning',
      },
      drift: 'passed',
      cues: ['A foot over the head is a foot in your hands.'],
    },
    [
      look(
        'follow',
        'Follow the turn',
        ['posture-up', 'drop-knees'],
        [
          move(
            'catch-leg',
            'Catch the stepping leg and come up',
            'sweep',
            {
              steps: [
                step('Both arms round the leg that stepped, knees under you.', {
                  release: ['handR'],
                  take: ['armL+armR wrap shin.L'],
                  seconds: 2,
                }),
                step('Stand up into them and run them over.', { release: ['legL'], seconds: 3 }),
              ],
              direction: 210,
              mechanics: ['single-leg finish'],
              cues: ['Ear on the thigh, look up.'],
            },
            { none: ['top-side', 0.4], 'posture-up': ['top-side', 0.35], 'drop-knees': ['top-side', 0.45] },
          ),
          move(
            'roll-through',
            'Roll through and belly down',
            'submission',
            {
              needs: ['top.elbowR=bent-trapped'],
              needsHolds: ['clamp shoulder.R'],
              steps: [
                step('Look under your own arm and roll over the shoulder, lock closed.', { seconds: 3 }),
                step('Hips to the mat slowly until the tap.', { after: [1], seconds: 3 }),
              ],
              hazards: ['shoulder-lock'],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              cues: ['Partner rolls with you or taps: never against.'],
            },
            {
              none: ['submission', 0.3],
              'posture-up': ['shoulder-lock-tall', 0.4, 'knee-line'],
              'drop-knees': ['submission', 0.35],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'lock-knee-belly',
    'Knee on the belly across the shoulder lock',
    {
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: ['legL clamp shoulder.R shallow', CROSS_LOCK],
      topHolds: ['legR press own:waist.C'],
      signs: {
        'own.torso': 'on-back',
        'top.line': 'hip-R',
        'top.stance': 'half-kneeling',
        'top.weight': 'forward',
        'top.handR': 'trapped',
      },
      drift: 'passed',
      cues: ['Breathe out, elbow under the knee, then move.'],
      faults: { 'Pushes the knee with straight arms': 'Forearm under the shin, hips away.' },
    },
    [
      look(
        'knee-off',
        'Take the knee off',
        ['drive-forward', 'posture-up'],
        [
          move(
            'frame-knee',
            'Forearm under the shin, hip out',
            'retention',
            {
              steps: [
                step('Forearm under the shin, hips away, foot back to the far hip.', {
                  take: ['armL frame shin.R', 'footR place hip.L'],
                  seconds: 3,
                }),
                step('Leg off the shoulder, hook behind the near knee, hand to the mat.', {
                  release: ['legL', 'armL'],
                  take: ['footL hook knee-crook.R', 'handL post mat'],
                  after: [1],
                  seconds: 1,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Move the hips, not the knee.'],
            },
            {
              none: ['cross-sleeve', 0.5, 'passed'],
              'drive-forward': ['cross-sleeve', 0.35, 'passed'],
              'posture-up': ['cross-sleeve', 0.6, 'knee-line'],
            },
          ),
          move(
            'scoop-x',
            'Scoop the posted leg into X',
            'retention',
            {
              steps: [
                step('Arm round the near ankle, turn under, hooks on the far leg.', {
                  release: ['legL'],
                  take: ['armL wrap ankle.R', 'footR hook knee-crook.L', 'footL hook thigh.L'],
                  seconds: 4,
                }),
              ],
              cues: ['The knee on you is a leg beside your ear.'],
            },
            {
              none: ['x-guard', 0.35, 'passed'],
              'drive-forward': ['x-guard', 0.25, 'passed'],
              'posture-up': ['x-guard', 0.5, 'knee-line'],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),

  position(
    'legs-locked',
    'Top hugs both legs',
    {
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: [CROSS_LOCK, 'handL cup head.C'],
      topHolds: ['armL+handL wrap own:thigh.C'],
      signs: {
        'own.torso': 'side-L',
        'top.handR': 'trapped',
        'top.handL': 'gripping',
        'top.posture': 'leaning',
        'top.head': 'low',
        'top.stance': 'kneeling',
      },
      drift: 'passed',
      cues: ['Push the head to where the hips are not.'],
    },
    [
      look(
        'free-legs',
        'Free the top leg',
        ['drive-forward', 'posture-up'],
        [
          move(
            'pummel-leg',
            'Push the head, pummel a foot in',
            'retention',
            {
              needsHolds: ['cup head'],
              steps: [
                step('Push the head to the far side, hips away, top foot to the hip.', {
                  take: ['footR place hip.L'],
                  seconds: 3,
                }),
                step('Hand back to the mat, hook behind the knee.', {
                  release: ['handL'],
                  take: ['handL post mat', 'footL hook knee-crook.R'],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape', 'leg pummel'],
              cues: ['Head away, then foot in.'],
            },
            {
              none: ['cross-sleeve', 0.45, 'passed'],
              'drive-forward': ['cross-sleeve', 0.35, 'passed'],
              'posture-up': ['cross-sleeve', 0.6],
            },
          ),
          move(
            'back-over-top',
            'Climb over the hugging arm',
            'back-take',
            {
              needs: ['top.head=low'],
              steps: [
                step('Sit up over the back, harness from above.', {
                  release: ['handL', 'handR'],
                  take: ['armR+armL harness chest.C'],
                  seconds: 3,
                }),
                step('Hip over, first hook.', { after: [1], take: ['footR hook thigh.R'], seconds: 2 }),
              ],
              cues: ['Harness before hooks.'],
            },
            { none: ['back', 0.25], 'drive-forward': ['back', 0.2, 'passed'] },
          ),
        ],
        'seen',
      ),
    ],
  ),

  position(
    'x-guard',
    'X-guard under a tall top',
    {
      aliases: ['X', 'guarda X'],
      systems: ['cross-sleeve'],
      level: 'intermediate',
      holds: ['armL wrap ankle.R', CROSS_LOCK, 'footR hook knee-crook.L', 'footL hook thigh.L'],
      signs: {
        'own.torso': 'on-back',
        'own.hips': 'raised',
        'top.stance': 'standing',
        'top.posture': 'upright',
        'top.legR': 'light',
        'top.handR': 'trapped',
      },
      drift: 'knee-line',
      cues: ['Hips off the mat, their foot on your shoulder.', 'Two feet work on one leg.'],
      faults: { 'Hips on the mat': 'Lift until their far foot is light.' },
    },
    [
      look(
        'stretch',
        'Stretch the far leg',
        ['post-far', 'drive-forward', 'widen-base'],
        [
          move(
            'x-stand',
            'Stretch, come up with the leg',
            'sweep',
            {
              needs: ['top.stance=standing'],
              steps: [
                step('Stretch the far leg until both their hands go down.', { seconds: 2 }),
                step('Near leg stays in the arm, stand up behind it.', {
                  release: ['footR', 'footL'],
                  after: [1],
                  seconds: 3,
                }),
              ],
              direction: 120,
              mechanics: ['technical stand-up'],
              variants: [
                {
                  id: 'up-on-leg',
                  name: 'Stand up with the leg',
                  when: {},
                  why: 'Works at every height; they hop and you walk.',
                },
                {
                  id: 'long-stretch',
                  name: 'Long legs: stretch to the splits',
                  when: { build: 'long legs' },
                  why: 'Long legs open the base until it breaks, and you need not stand up.',
                  steps: [
                    step('Straighten both legs slowly against the far thigh.', { seconds: 2 }),
                    step('Turn to the knees under the near leg as they sit.', {
                      release: ['footR', 'footL'],
                      after: [1],
                      seconds: 3,
                    }),
                  ],
                },
              ],
              houseVariant: 'up-on-leg',
              fits: [
                fit('limbs', 'own', 'long', 2, 'The stretch alone takes the base away.'),
                fit('mass', 'partner', 'heavy', -1, 'Heavy hips on top of the hooks are hard to lift.'),
              ],
              cues: ['Lift, then stretch, then stand.'],
            },
            {
              none: ['top-side', 0.5],
              'post-far': ['top-side', 0.55],
              'drive-forward': ['top-guard', 0.35, 'knee-line'],
              'widen-base': ['top-side', 0.4],
            },
          ),
          move(
            'x-tip',
            'Pull the sleeve, tip over the near side',
            'sweep',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Pull the cuff to the own hip and turn the hooks to that side.', { seconds: 2 }),
                step('Come up on top of the near leg.', { release: ['footR', 'footL'], seconds: 2 }),
              ],
              direction: 90,
              cues: ['They reach for a hand that you hold.'],
            },
            {
              none: ['top-side', 0.4],
              'post-far': ['top-side', 0.4],
              'drive-forward': ['top-mount', 0.3, 'knee-line'],
            },
          ),
        ],
      ),
    ],
  ),
];
