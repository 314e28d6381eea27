import { fit, look, move, position, step } from '../author.ts';

const HEEL = 'handL grip trousers.R.cuff | heel.R';
const FAR_SLEEVE = 'handR grip sleeve.L.cuff';
const NEAR_SLEEVE = 'handL grip sleeve.R.cuff';
const FAR_COLLAR = 'handR grip collar.L deep | neck.C';
const HOOK = 'footL hook thigh.R';
const FAR_HIP = 'footR place hip.L';
const FAR_KNEE = 'footR place knee.L';

/** The hook round the outside of the near leg: one position for each set of grips, and the deep form. */
export const outsideHook = [
  position(
    'hook-heel-sleeve',
    'Outside hook, heel and far sleeve',
    {
      aliases: ['outside hook', 'guarda de gancho por fora', 'De La Riva'],
      systems: ['outside-hook'],
      entry: 2,
      holds: [HEEL, FAR_SLEEVE, HOOK, FAR_KNEE],
      signs: {
        'own.torso': 'on-back',
        'own.angle': 'left',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.handL': 'gripping',
      },
      drift: 'hook-cut',
      cues: [
        'Toes of the hook turned out, heel glued to the thigh.',
        'Hips towards the hooked leg, never flat in front of it.',
      ],
      faults: {
        'Hook sleeps under the knee':
          'Pull the heel and climb the hook until the toes touch the inner thigh.',
        'Free foot floats': 'It pushes the knee, the hip or the arm: somewhere it always works.',
      },
    },
    [
      look(
        'push-away',
        'Push the far knee away',
        ['clear-hook', 'step-back', 'kneel-down', '~pull-sleeve'],
        [
          move(
            'hook-backward',
            'Sit them backwards over the hook',
            'sweep',
            {
              needsHolds: ['hook thigh.R'],
              steps: [
                step('Pull the far sleeve across the belt while the far foot pushes the knee.', {
                  seconds: 2,
                }),
                step('Heel stays in the hand; kick the hook and sit up behind it.', {
                  release: ['footR'],
                  seconds: 2,
                }),
                step('Come up on the held leg, hand on the mat behind.', {
                  release: ['handR', 'footL'],
                  after: [2],
                  seconds: 2,
                }),
              ],
              direction: 150,
              mechanics: ['technical stand-up'],
              cues: ['They cannot step with a heel you hold.'],
              faults: {
                'Lets the heel go while standing up': 'The leg nearer the mat is held until you are up.',
              },
            },
            {
              none: ['top-guard', 0.4],
              'clear-hook': ['hook-inside', 0.4, 'hook-cut'],
              'step-back': ['top-guard', 0.35, 'seated-standing'],
              'kneel-down': ['butterfly-one', 0.45],
              '~pull-sleeve': ['hook-collar-sleeve', 0.45, 'seated-standing'],
            },
          ),
          move(
            'hook-deepen',
            'Climb into the deep hook',
            'connect',
            {
              needsHolds: ['hook thigh.R'],
              steps: [
                step('Far sleeve pulls them over you; hips slide under the near leg.', { seconds: 2 }),
                step('Hook climbs to the far hip, the arm hugs the shin.', {
                  release: ['footL', 'handL', 'footR'],
                  take: ['footL hook hip.L deep', 'armL wrap shin.R', 'handL grip own:thigh.L'],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Hips under their knee before the hook climbs.'],
            },
            {
              none: ['hook-deep', 0.55],
              'clear-hook': ['hook-inside', 0.35, 'hook-cut'],
              'step-back': ['slx', 0.35, 'hook-heel-sleeve'],
              'kneel-down': ['butterfly-one', 0.4],
              '~pull-sleeve': ['hook-deep', 0.35],
            },
          ),
        ],
      ),
      look(
        'under-them',
        'Pull the sleeve and load them',
        ['drive-forward', 'knee-cut'],
        [
          move(
            'hook-to-slx',
            'Drop under into single-leg X',
            'connect',
            {
              steps: [
                step('Pull the sleeve to the ear so that the weight comes over the hips.', { seconds: 1 }),
                step('Hook comes inside the knee, other foot to the near hip, arm round the ankle.', {
                  release: ['footL', 'footR', 'handL', 'handR'],
                  take: ['armL wrap ankle.R', 'footL place hip.R', 'footR hook knee-crook.R'],
                  signs: { 'own.hips': 'raised', 'own.angle': 'square' },
                  seconds: 2,
                }),
              ],
              cues: ['Elbow deep behind the heel before the feet change.'],
            },
            {
              none: ['slx', 0.5],
              'drive-forward': ['slx', 0.6, 'hook-cut'],
              'knee-cut': ['hook-inside', 0.35, 'hook-cut'],
            },
          ),
          move(
            'hook-overhead',
            'Load and turn them over the shoulder',
            'sweep',
            {
              needs: ['?top.weight=forward'],
              needsHolds: ['* sleeve.L'],
              steps: [
                step('Far foot from the knee to the hip, knees to the chest.', {
                  release: ['footR'],
                  take: ['footR place hip.L'],
                  seconds: 1,
                }),
                step('Lift with both legs, pull the sleeve to the mat beside the ear, follow over.', {
                  release: ['handL'],
                  seconds: 3,
                }),
              ],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              mechanics: ['shoulder roll'],
              cues: ['Look at your own hip, roll over one shoulder.'],
            },
            {
              none: ['top-mount', 0.2],
              'drive-forward': ['top-mount', 0.4, 'hook-cut'],
              'knee-cut': ['hook-inside', 0.3, 'hook-cut'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'hook-collar-sleeve',
    'Outside hook, collar and near sleeve',
    {
      aliases: ['outside hook with the collar'],
      systems: ['outside-hook', 'collar-and-sleeve'],
      entry: 1,
      holds: [FAR_COLLAR, NEAR_SLEEVE, HOOK, FAR_HIP],
      signs: {
        'own.torso': 'on-back',
        'own.angle': 'left',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.handR': 'trapped',
      },
      drift: 'hook-cut',
      cues: ['Collar pulls down, hook pulls forward, hip foot pushes: all three at once.'],
      faults: { 'Pulls the collar with the arm alone': 'Elbow to the own hip, the back does the work.' },
    },
    [
      look(
        'break-down',
        'Break the posture',
        ['posture-up', 'clear-hook', '~strip-collar'],
        [
          move(
            'hook-swing',
            'Swing the hook leg over to the shoulder lock',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Hook to the biceps, arm pushed long, hips out to that side.', {
                  release: ['footL'],
                  take: ['footL place upper-arm.R'],
                  seconds: 2,
                }),
                step('Leg over the shoulder, let go of the collar, hook the near leg with the arm.', {
                  release: ['footL', 'handR', 'handL', 'footR'],
                  take: [
                    'legL clamp shoulder.R shallow',
                    'handR grip sleeve.R.cuff',
                    'armL underhook knee-crook.R',
                  ],
                  signs: { 'own.torso': 'on-shoulder', 'own.hips': 'raised', 'top.elbowR': 'bent-trapped' },
                  seconds: 3,
                }),
              ],
              fits: [
                fit(
                  'limbs',
                  'own',
                  'long',
                  1,
                  'The hook leg reaches the shoulder without the hip moving far.',
                ),
              ],
              cues: ['Push the arm first: an elbow by the ribs cannot be locked.'],
            },
            {
              none: ['shoulder-lock-tall', 0.4],
              'posture-up': ['shoulder-lock-tall', 0.4],
              'clear-hook': ['collar-sleeve-standing', 0.55, 'hook-cut'],
              '~strip-collar': ['shoulder-lock-tall', 0.35, 'hook-both-sleeves'],
            },
          ),
          move(
            'hook-collar-drag',
            'Drag them past the hook',
            'back-take',
            {
              needsHolds: ['* collar.L'],
              steps: [
                step('Foot off the hip, pull collar and sleeve to the mat beside you.', {
                  release: ['footR'],
                  seconds: 2,
                }),
                step('Sit up behind the shoulder: harness first.', {
                  release: ['handL', 'handR'],
                  take: ['armL+armR harness chest.C'],
                  seconds: 2,
                }),
                step('Hooks when the harness is closed.', {
                  release: ['footL'],
                  take: ['footL hook thigh.L', 'footR hook thigh.R'],
                  after: [2],
                  seconds: 2,
                }),
              ],
              cues: ['They take the step, you take the seat.'],
            },
            {
              none: ['back', 0.25],
              'posture-up': ['collar-sleeve-standing', 0.6],
              'clear-hook': ['back', 0.3, 'hook-cut'],
              '~strip-collar': ['hook-both-sleeves', 0.55],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'hook-both-sleeves',
    'Outside hook, both sleeves',
    {
      aliases: ['outside hook double sleeve'],
      systems: ['outside-hook'],
      holds: [NEAR_SLEEVE, FAR_SLEEVE, HOOK, 'footR place upper-arm.L'],
      signs: {
        'own.torso': 'on-back',
        'own.angle': 'left',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.handL': 'trapped',
        'top.handR': 'trapped',
      },
      drift: 'hook-heel-sleeve',
      cues: ['Two hands they cannot post with, one leg they cannot move.'],
      faults: { 'Both arms bent at once': 'One arm long with the foot in it, the other elbow at the ribs.' },
    },
    [
      look(
        'stretch-far',
        'Stretch the far arm',
        ['~pull-sleeve', 'clear-hook', 'drive-forward'],
        [
          move(
            'sleeves-turn-over',
            'Turn them over the stretched arm',
            'sweep',
            {
              needsHolds: ['* sleeve.L'],
              steps: [
                step('Foot in the far biceps straightens; pull the near sleeve to the hip.', { seconds: 2 }),
                step('Kick the hook up and roll towards the stretched arm, both sleeves kept.', {
                  seconds: 2,
                }),
              ],
              direction: 280,
              mechanics: ['pendulum'],
              cues: ['They fall on the side with no hand: you hold it.'],
            },
            {
              none: ['top-side', 0.4],
              '~pull-sleeve': ['hook-heel-sleeve', 0.55],
              'clear-hook': ['top-side', 0.3, 'hook-cut'],
              'drive-forward': ['top-mount', 0.4, 'hook-cut'],
            },
          ),
          move(
            'sleeves-triangle',
            'Shoot the triangle over the stretched arm',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              needs: ['top.posture=leaning|broken'],
              steps: [
                step('Near hand pushed to the belly, biceps foot kicks through over the far shoulder.', {
                  release: ['footR'],
                  take: ['legR clamp neck.C'],
                  seconds: 2,
                }),
                step('Hook leg leaves and locks over the shin; head down.', {
                  release: ['footL', 'handR'],
                  take: ['legL clamp own:ankle.R', 'handR grip collar.R'],
                  signs: { 'top.posture': 'broken', 'top.head': 'low', 'top.stance': 'kneeling' },
                  seconds: 2,
                }),
              ],
              fits: [fit('limbs', 'own', 'compact', -1, 'The leg does not reach past a wide shoulder.')],
              cues: ['One arm in, one arm out, then close.'],
            },
            {
              none: ['triangle', 0.35],
              '~pull-sleeve': ['hook-heel-sleeve', 0.5],
              'clear-hook': ['triangle', 0.3, 'hook-cut'],
              'drive-forward': ['triangle', 0.4, 'hook-cut'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'hook-deep',
    'Deep outside hook',
    {
      aliases: ['deep hook', 'gancho profundo'],
      systems: ['outside-hook'],
      level: 'intermediate',
      holds: ['footL hook hip.L deep', 'armL wrap shin.R', 'handL grip own:thigh.L', FAR_SLEEVE],
      signs: {
        'own.torso': 'on-shoulder',
        'own.angle': 'left',
        'own.hips': 'raised',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
        'top.handL': 'gripping',
      },
      drift: 'hook-heel-sleeve',
      cues: ['Their knee points where your hook wants: outside.', 'The shin lives on your shoulder.'],
      faults: { 'Hips behind the leg': 'Hips under the knee, then the hook is deep.' },
    },
    [
      look(
        'off-balance',
        'Pull them over the hook',
        ['sit-down', 'post-far', 'turn-knee-in'],
        [
          move(
            'deep-spin-back',
            'Turn under to the back',
            'back-take',
            {
              aliases: ['inverted back take'],
              needsHolds: ['hook hip.L'],
              steps: [
                step('Pull the sleeve down, roll over the near shoulder, hips up behind theirs.', {
                  signs: { 'own.torso': 'inverted' },
                  seconds: 3,
                }),
                step('Hand to the belt or the waist, hips behind theirs.', {
                  release: ['handR', 'handL', 'armL'],
                  take: ['handR grip belt.C | waist.C'],
                  seconds: 2,
                }),
                step('Come up on the hip: harness before hooks.', {
                  release: ['handR', 'footL'],
                  take: ['armL+armR harness chest.C'],
                  after: [2],
                  seconds: 2,
                }),
              ],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              mechanics: ['inversion'],
              fits: [
                fit('flexibility', 'own', 'stiff', -2, 'The neck carries what the back does not bend.'),
                fit('mass', 'partner', 'heavy', -1, 'A heavy seat lands on a folded back.'),
              ],
              cues: ['Weight on the shoulders, never on the neck.'],
              faults: { 'Rolls over the neck': 'Look at the own knee; stop and post if they sit.' },
            },
            {
              none: ['back', 0.3],
              'sit-down': ['back', 0.4, 'entangle-outside'],
              'post-far': ['back', 0.35],
              'turn-knee-in': ['hook-heel-sleeve', 0.55, 'hook-cut'],
            },
          ),
          move(
            'deep-sit-up',
            'Sit up and take the leg over',
            'sweep',
            {
              steps: [
                step('Pull the far sleeve under the near thigh and hand it over.', { seconds: 2 }),
                step('Sit up on the elbow, shin on the shoulder, drive them to the far hip.', {
                  release: ['footL'],
                  seconds: 2,
                }),
              ],
              direction: 150,
              mechanics: ['technical stand-up'],
              cues: ['The arm that would post is already tied to the leg.'],
            },
            {
              none: ['top-side', 0.35],
              'sit-down': ['top-guard', 0.45],
              'post-far': ['top-side', 0.3],
              'turn-knee-in': ['hook-heel-sleeve', 0.5, 'hook-cut'],
            },
          ),
        ],
      ),
      look(
        'take-leg',
        'Turn to the leg',
        ['stands-up', 'turn-knee-in'],
        [
          move(
            'deep-to-outside',
            'Bring both legs outside',
            'entry',
            {
              steps: [
                step('Free leg comes over the thigh, hook slides out: both knees pinch the same leg.', {
                  release: ['footL', 'handR', 'handL'],
                  take: ['legL clamp thigh.R', 'legR clamp knee.R'],
                  signs: { 'top.kneeLineR': 'caught', 'top.stance': 'seated' },
                  seconds: 2,
                }),
                step('Shin from the shoulder to the armpit, elbow tight.', {
                  release: ['armL'],
                  take: ['armL wrap ankle.R'],
                  after: [1],
                  seconds: 1,
                }),
              ],
              cues: ['Pinch the knee first, reach for the foot after.'],
            },
            {
              none: ['entangle-outside', 0.45],
              'stands-up': ['slx', 0.45, 'hook-heel-sleeve'],
              'turn-knee-in': ['entangle-outside', 0.3, 'hook-cut'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'hook-inside',
    'Inside hook against the knee cut',
    {
      aliases: ['reverse hook', 'gancho por dentro', 'reverse De La Riva'],
      systems: ['outside-hook'],
      holds: [
        'footR hook knee-crook.R',
        'handL grip trousers.R.knee | knee-crook.R',
        'armR frame shoulder.L',
      ],
      signs: {
        'own.torso': 'side-L',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.weight': 'forward',
        'top.kneeR': 'inward',
      },
      drift: 'hook-cut',
      cues: ['Knee to the elbow on the low side.', 'The hook pulls, the hand pushes the same knee.'],
      faults: { 'Lies flat and waits': 'On the hip, low elbow under you.' },
    },
    [
      look(
        'feel-knee',
        'Feel where the knee goes',
        ['drive-forward', 'step-back', 'knee-cut'],
        [
          move(
            'inside-roll-back',
            'Roll under to the back',
            'back-take',
            {
              aliases: ['inverted roll from the inside hook'],
              needsHolds: ['hook knee-crook.R'],
              steps: [
                step('Let the knee come, dive the frame arm between the legs and roll over the shoulder.', {
                  release: ['armR'],
                  take: ['armR underhook thigh.L'],
                  signs: { 'own.torso': 'inverted' },
                  seconds: 2,
                }),
                step('Hips behind theirs, hand to the waist.', {
                  release: ['handL', 'footR'],
                  take: ['handL cup waist.C'],
                  after: [1],
                  seconds: 2,
                }),
                step('Harness, then hooks.', {
                  release: ['armR', 'handL'],
                  take: ['armL+armR harness chest.C'],
                  after: [2],
                  seconds: 2,
                }),
              ],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              mechanics: ['inversion'],
              fits: [fit('flexibility', 'own', 'stiff', -1, 'Without the roll the hips stay in front.')],
              cues: ['Their pressure is the lift: roll when it comes.'],
            },
            {
              none: ['back', 0.25, 'hook-cut'],
              'drive-forward': ['back', 0.35, 'hook-cut'],
              'step-back': ['hook-heel-sleeve', 0.6],
              'knee-cut': ['back', 0.3, 'hook-cut'],
            },
          ),
          move(
            'inside-recover',
            'Kick the hook and bring the outside leg back',
            'retention',
            {
              steps: [
                step('Hook pulls the knee out, frame pushes, hips away.', { seconds: 2 }),
                step('Outside hook back on, foot to the far knee, heel in the hand, far sleeve.', {
                  release: ['footR', 'handL', 'armR'],
                  take: [HOOK, FAR_KNEE, HEEL, FAR_SLEEVE],
                  signs: { 'own.torso': 'on-back' },
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Hips first, hook second.'],
            },
            {
              none: ['hook-heel-sleeve', 0.55],
              'drive-forward': ['knee-shield', 0.45, 'hook-cut'],
              'step-back': ['hook-heel-sleeve', 0.7],
              'knee-cut': ['knee-shield', 0.45, 'hook-cut'],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),

  position(
    'hook-cut',
    'Outside hook lost, knee cutting',
    {
      aliases: ['knee slice against the outside hook'],
      systems: ['outside-hook', 'half-guard'],
      holds: ['armL frame shoulder.R', 'legR lace knee.R'],
      topHolds: ['armR underhook own:armpit.L'],
      signs: {
        'own.torso': 'side-R',
        'top.stance': 'half-kneeling',
        'top.posture': 'leaning',
        'top.weight': 'forward',
        'top.line': 'knee-R',
        'top.kneeR': 'inward',
      },
      drift: 'passed',
      cues: ['Late: this is the last line. Shoulder off the mat, forearm in the neck.'],
      faults: { 'Turns the back': 'Face them; the low knee meets the low elbow.' },
    },
    [
      look(
        'last-line',
        'Frame and turn in',
        ['drive-forward', 'crossface', 'knee-cut'],
        [
          move(
            'cut-to-shield',
            'Hip out and put the shield in',
            'retention',
            {
              needsHolds: ['frame shoulder.R'],
              steps: [
                step('Frame stiff, hips a hand away, knee over the near shoulder line.', {
                  signs: { 'own.kneeElbowL': 'connected' },
                  take: ['legL shield chest.C'],
                  seconds: 2,
                }),
                step('Low foot behind the ankle, far hand to their wrist.', {
                  release: ['armL', 'legR'],
                  take: ['handL frame shoulder.R', 'footR hook ankle.R', 'handR grip wrist.L'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Space first, knee second.'],
            },
            {
              none: ['knee-shield', 0.5, 'passed'],
              'drive-forward': ['half-flat', 0.5, 'passed'],
              crossface: ['half-flat', 0.55, 'passed'],
              'knee-cut': ['knee-shield', 0.35, 'passed'],
            },
          ),
          move(
            'cut-underhook',
            'Win the underhook and come to the knees',
            'retention',
            {
              steps: [
                step('Frame arm dives under the armpit, head to the chest.', {
                  release: ['armL'],
                  take: ['armL underhook armpit.R'],
                  seconds: 1,
                }),
                step('Knees under you, head up against their ribs.', {
                  take: ['head press chest.C', 'footL hook ankle.R'],
                  release: ['legR'],
                  signs: { 'own.torso': 'kneeling' },
                  after: [1],
                  seconds: 2,
                }),
              ],
              mechanics: ['technical stand-up'],
              cues: ['Under the arm before they are past the hip.'],
            },
            {
              none: ['dogfight', 0.4, 'passed'],
              'drive-forward': ['half-flat', 0.45, 'passed'],
              crossface: ['half-flat', 0.5, 'passed'],
              'knee-cut': ['dogfight', 0.4, 'passed'],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),
];
