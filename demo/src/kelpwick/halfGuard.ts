import { fit, look, move, position, step } from '../author.ts';

const SHIELD = 'legL shield chest.C';
const LOW_HOOK = 'footR hook ankle.R';
const UNDERHOOK = 'armL underhook armpit.R';
const LOCK = ['handR grip wrist.L', 'armL overhook upper-arm.L', 'handL grip own:wrist.R'];

/** Top's right leg between ours: the shield, the underhook, the shoulder lock and the roll under. */
export const halfGuard = [
  position(
    'knee-shield',
    'Half guard, knee shield',
    {
      aliases: ['shield', 'z guard', 'meia guarda com escudo'],
      systems: ['half-guard'],
      entry: 2,
      holds: [SHIELD, LOW_HOOK, 'handL frame shoulder.R', 'handR grip wrist.L'],
      signs: {
        'own.torso': 'side-R',
        'own.angle': 'right',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
        'top.handL': 'gripping',
      },
      drift: 'half-flat',
      cues: [
        'Shin across the chest, not on the hip: the knee points at the far shoulder.',
        'On the side, always; never on the back.',
      ],
      faults: {
        'Shield hangs on the hip': 'Knee up to the chest line, foot tight to their side.',
        'Far hand sleeps': 'It holds the wrist that wants to crossface.',
      },
    },
    [
      look(
        'pry-in',
        'Frame and sit up to the elbow',
        ['push-shield', 'drive-forward', 'stands-up'],
        [
          move(
            'shield-underhook',
            'Drop the shield, win the underhook',
            'connect',
            {
              aliases: ['knee lever entry'],
              steps: [
                step('Frame hand slips under the armpit as the knee drops to the mat.', {
                  release: ['handL', 'legL'],
                  take: [UNDERHOOK],
                  seconds: 2,
                }),
                step('Head to the chest, second foot to the trapped ankle.', {
                  release: ['footR', 'handR'],
                  take: ['head press chest.C', 'footL hook ankle.R'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Arm in as the knee goes out: never one without the other.'],
            },
            {
              none: ['dogfight', 0.5],
              'push-shield': ['dogfight', 0.45, 'half-flat'],
              'drive-forward': ['half-flat', 0.45],
              'stands-up': ['seated-standing', 0.55],
            },
          ),
          move(
            'shield-lock',
            'Figure-four the crossfacing arm',
            'connect',
            {
              aliases: ['shoulder-lock grip', 'kimura grip', 'chave de ombro'],
              needsHolds: ['grip wrist.L'],
              steps: [
                step('Sit up over the wrist you hold, arm over their upper arm.', {
                  release: ['handL'],
                  take: ['armL overhook upper-arm.L'],
                  seconds: 2,
                }),
                step('Catch the own wrist, elbows tight, shield stays in.', {
                  take: ['handL grip own:wrist.R'],
                  after: [1],
                  signs: { 'top.handL': 'trapped' },
                  seconds: 1,
                }),
              ],
              variants: [
                {
                  id: 'thumbless',
                  name: 'Thumb with the fingers',
                  why: 'Both wrists stay straight and the grip turns with the arm; nothing is left for them to peel.',
                },
                {
                  id: 'thumb-round',
                  name: 'Thumb round the wrist',
                  when: { apparel: 'no-gi', partner: 'sweaty and pulling' },
                  why: 'Holds a slippery wrist for the moment in which the second hand arrives.',
                },
              ],
              houseVariant: 'thumbless',
              cues: ['Their elbow stays glued to your chest.'],
            },
            {
              none: ['half-lock', 0.45],
              'push-shield': ['half-lock', 0.5, 'half-flat'],
              'drive-forward': ['half-lock', 0.35, 'half-flat'],
              'stands-up': ['half-lock', 0.3, 'seated-standing'],
            },
          ),
        ],
      ),
      look(
        'hook-in',
        'Low foot becomes a hook',
        ['drive-forward', 'back-step'],
        [
          move(
            'shield-to-hook',
            'Turn the low foot into a butterfly hook',
            'connect',
            {
              needs: ['top.stance=kneeling|half-kneeling|all-fours'],
              steps: [
                step('Low foot under the trapped thigh, sit up on the elbow.', {
                  release: ['footR'],
                  take: ['footR hook thigh.R'],
                  seconds: 1,
                }),
                step('Underhook in, upper foot takes over as the hook, low shin out on the mat.', {
                  release: ['handL', 'legL', 'footR', 'handR'],
                  take: [UNDERHOOK, 'footL hook thigh.R', 'handR grip wrist.L'],
                  signs: { 'own.torso': 'seated' },
                  seconds: 2,
                }),
              ],
              cues: ['Sit up first: a hook from the back lifts nothing.'],
            },
            {
              none: ['butterfly-one', 0.45],
              'drive-forward': ['butterfly-one', 0.35, 'half-flat'],
              'back-step': ['back-stepped', 0.5, 'half-flat'],
            },
          ),
          move(
            'shield-invert',
            'Roll under the far leg',
            'sweep',
            {
              aliases: ['inverted roll-under'],
              needs: ['top.weight=forward'],
              steps: [
                step('Let the weight come over; hug the far thigh with the low arm.', {
                  release: ['handR'],
                  take: ['armR underhook thigh.L'],
                  signs: { 'own.torso': 'inverted' },
                  seconds: 2,
                }),
                step('Roll over the shoulder towards their head, legs carry the trapped leg over.', {
                  after: [1],
                  seconds: 3,
                }),
              ],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              mechanics: ['inversion'],
              fits: [
                fit('flexibility', 'own', 'stiff', -1, 'The roll stalls half-way and the neck carries it.'),
                fit('mass', 'partner', 'heavy', 1, 'More weight over you is more weight that rolls.'),
              ],
              cues: ['No weight over you, no roll.'],
              faults: { 'Rolls while they sit back': 'Wait until the chest is above your hips.' },
            },
            {
              'drive-forward': ['top-side', 0.4, 'half-flat'],
              'back-step': ['back-stepped', 0.4, 'half-flat'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'dogfight',
    'Half guard, underhook on the knees',
    {
      aliases: ['underhook half', 'dogfight'],
      systems: ['half-guard'],
      holds: [UNDERHOOK, 'head press chest.C', 'footL hook ankle.R'],
      signs: {
        'own.torso': 'kneeling',
        'own.angle': 'right',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
      },
      drift: 'half-flat',
      cues: ['Ear on their ribs, hips under you.', 'The trapped ankle is the whole sweep: keep it.'],
      faults: { 'Head looks at the mat': 'Look up along their side; the head is a third arm.' },
    },
    [
      look(
        'drive-side',
        'Drive into the ribs',
        ['whizzer', 'post-far', 'crossface'],
        [
          move(
            'dog-knee-tap',
            'Reach the far knee and drive',
            'sweep',
            {
              aliases: ['old-school finish', 'knee tap'],
              needsHolds: ['underhook armpit.R'],
              steps: [
                step('Free hand to the far knee.', { take: ['handR cup knee.L'], seconds: 1 }),
                step('Drive over the knee with the shoulder, ankle still hooked.', {
                  after: [1],
                  seconds: 3,
                }),
              ],
              direction: 250,
              mechanics: ['single-leg finish'],
              cues: ['The knee you hold is the leg they fall over.'],
            },
            {
              none: ['top-side', 0.5],
              whizzer: ['top-side', 0.3, 'half-flat'],
              'post-far': ['top-side', 0.35],
              crossface: ['half-flat', 0.5],
            },
          ),
          move(
            'dog-back',
            'Climb to the back',
            'back-take',
            {
              needsHolds: ['underhook armpit.R'],
              steps: [
                step('Underhook reaches the far shoulder, step round behind the hip.', {
                  release: ['head'],
                  seconds: 2,
                }),
                step('Harness closes over the shoulder.', {
                  release: ['armL'],
                  take: ['armL+armR harness chest.C'],
                  after: [1],
                  seconds: 2,
                }),
                step('Leave the ankle, first hook in.', {
                  release: ['footL'],
                  take: ['footL hook thigh.L'],
                  after: [2],
                  seconds: 2,
                }),
              ],
              cues: ['Chest on the shoulder blade before the feet move.'],
            },
            {
              none: ['back', 0.35],
              whizzer: ['dogfight', 0.5, 'half-flat'],
              'post-far': ['back', 0.4],
              crossface: ['half-flat', 0.55],
            },
          ),
          move(
            'dog-roll-whizzer',
            'Roll under the overhook',
            'sweep',
            {
              aliases: ['limp-arm roll'],
              needs: ['?top.weight=forward'],
              steps: [
                step('Hug the far leg behind the knee, sit under the hips.', {
                  release: ['head'],
                  take: ['armR wrap knee-crook.L'],
                  seconds: 2,
                }),
                step('Roll towards the overhook: their own arm pulls them over.', { after: [1], seconds: 2 }),
              ],
              mechanics: ['log roll'],
              cues: ['They hold on to you: use it.'],
            },
            {
              none: ['top-side', 0.25],
              whizzer: ['top-side', 0.45, 'half-flat'],
              'post-far': ['half-flat', 0.4],
              crossface: ['half-flat', 0.5],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'half-flat',
    'Half guard, flattened',
    {
      aliases: ['flat half guard', 'crossfaced half'],
      systems: ['half-guard'],
      holds: ['legL+legR pinch thigh.R', 'armL frame shoulder.R'],
      topHolds: ['armL press own:head.C'],
      signs: {
        'own.torso': 'on-back',
        'top.posture': 'broken',
        'top.weight': 'forward',
        'top.range': 'chest',
        'top.legR': 'trapped',
        'own.kneeElbowL': 'broken',
      },
      drift: 'passed',
      cues: ['Chin to the near shoulder, elbow under you, one small move at a time.'],
      faults: {
        'Pushes the face with straight arms': 'Forearm under the throat, move your own hips instead.',
      },
    },
    [
      look(
        'unflatten',
        'Turn to the side',
        ['drive-forward', 'knee-cut', 'underhook-top'],
        [
          move(
            'flat-shield-back',
            'Hip out, shield back in',
            'retention',
            {
              needsHolds: ['frame shoulder.R'],
              steps: [
                step('Bridge a little, hips out, knee slides in over the hip.', {
                  release: ['legL'],
                  take: ['legL shield chest.C'],
                  signs: { 'own.kneeElbowL': 'connected' },
                  seconds: 2,
                }),
                step('Low foot to the ankle, hands to the shoulder and the crossfacing wrist.', {
                  release: ['armL', 'legR'],
                  take: ['handL frame shoulder.R', 'handR grip wrist.L', LOW_HOOK],
                  after: [1],
                  signs: { 'own.torso': 'side-R' },
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape', 'bridge'],
              cues: ['Head out from the crossface first.'],
            },
            {
              none: ['knee-shield', 0.45],
              'drive-forward': ['half-flat', 0.6, 'passed'],
              'knee-cut': ['hook-cut', 0.5, 'passed'],
              'underhook-top': ['half-flat', 0.55, 'passed'],
            },
          ),
          move(
            'flat-deep',
            'Dig under both hips',
            'connect',
            {
              aliases: ['deep half entry'],
              needs: ['?top.weight=forward'],
              steps: [
                step('Far arm dives between the legs under the trapped thigh, head to the hip.', {
                  release: ['armL'],
                  take: ['armR wrap thigh.R', 'armL wrap thigh.R'],
                  seconds: 2,
                }),
                step('Legs close lower, ear on the far side of the hip.', {
                  release: ['legL', 'legR'],
                  take: ['footL hook ankle.R'],
                  after: [1],
                  signs: { 'own.torso': 'on-shoulder' },
                  seconds: 2,
                }),
              ],
              cues: ['Under the hips, not under the belly.'],
            },
            {
              none: ['half-deep', 0.35],
              'drive-forward': ['half-deep', 0.4, 'passed'],
              'knee-cut': ['half-deep', 0.35, 'passed'],
              'underhook-top': ['half-deep', 0.3, 'passed'],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),

  position(
    'half-deep',
    'Under the hips, thigh hugged',
    {
      aliases: ['deep half'],
      systems: ['half-guard'],
      level: 'intermediate',
      holds: ['armR wrap thigh.R', 'armL wrap thigh.R', 'footL hook ankle.R'],
      signs: {
        'own.torso': 'on-shoulder',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
        'top.weight': 'forward',
      },
      drift: 'half-flat',
      cues: ['Ear glued to the hip; elbows inside.'],
      faults: { 'Leaves the near elbow out': 'Both elbows under the thigh or the arm is taken.' },
    },
    [
      look(
        'turn-hips',
        'Turn the hips under',
        ['sit-back', 'drive-forward', 'step-over'],
        [
          move(
            'deep-waiter',
            'Lift the far foot and turn them back',
            'sweep',
            {
              steps: [
                step('Feet swing out, hips turn, thigh pulled over the head.', { seconds: 2 }),
                step('Arm hooks the far ankle from inside; come up behind.', {
                  release: ['armR'],
                  take: ['armR hook ankle.L'],
                  seconds: 2,
                }),
              ],
              direction: 180,
              mechanics: ['technical stand-up'],
              cues: ['Look at the ceiling behind them.'],
            },
            {
              none: ['top-side', 0.4],
              'sit-back': ['top-side', 0.55],
              'drive-forward': ['half-deep', 0.5, 'half-flat'],
              'step-over': ['half-flat', 0.5, 'passed'],
            },
          ),
          move(
            'deep-out-back',
            'Out of the back door',
            'back-take',
            {
              steps: [
                step('Pull the head through between the legs as the weight goes forward.', { seconds: 2 }),
                step('Up on the knees behind the hips, chest on the back.', {
                  release: ['footL', 'armL', 'armR'],
                  take: ['armL+armR body-lock waist.C'],
                  seconds: 2,
                }),
              ],
              cues: ['They push forward: leave at the back.'],
            },
            {
              none: ['back', 0.25],
              'sit-back': ['half-deep', 0.6],
              'drive-forward': ['back', 0.4, 'half-flat'],
              'step-over': ['half-flat', 0.45, 'passed'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'half-lock',
    'Half guard, shoulder-lock grip',
    {
      aliases: ['kimura half', 'figure-four from half'],
      systems: ['half-guard'],
      level: 'intermediate',
      holds: [...LOCK, SHIELD, LOW_HOOK],
      signs: {
        'own.torso': 'side-R',
        'own.angle': 'right',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
        'top.handL': 'trapped',
        'top.elbowL': 'open',
      },
      drift: 'knee-shield',
      cues: ['The lock steers: it need not finish.', 'Elbow at a right angle, wrist towards their head.'],
      faults: {
        'Pulls the wrist with a straight arm': 'Hug the elbow to the chest and turn with the shoulders.',
      },
    },
    [
      look(
        'steer',
        'Steer with the figure-four',
        ['~roll-forward', '~hide-hand', 'posture-up', 'drive-forward'],
        [
          move(
            'half-lock-finish',
            'Finish the shoulder lock from half',
            'submission',
            {
              needs: ['top.elbowL=open|bent-trapped'],
              needsHolds: ['overhook upper-arm.L'],
              steps: [
                step('Shield becomes a foot on the far hip, hips out to the other side.', {
                  release: ['legL'],
                  take: ['footL place hip.L'],
                  seconds: 2,
                }),
                step('Turn the wrist behind the back, slowly, until the tap.', { after: [1], seconds: 3 }),
              ],
              hazards: ['shoulder-lock'],
              cues: ['Hips away before the wrist moves.', 'Slow: the shoulder gives no warning.'],
            },
            {
              none: ['submission', 0.35],
              '~roll-forward': ['top-side', 0.5],
              '~hide-hand': ['submission', 0.15],
              'posture-up': ['half-lock-up', 0.5],
              'drive-forward': ['submission', 0.2, 'half-flat'],
            },
          ),
          move(
            'half-lock-sweep',
            'Sit up and turn them with the lock',
            'sweep',
            {
              needsHolds: ['overhook upper-arm.L'],
              steps: [
                step('Sit up to the elbow, lift the lock over the head line.', { seconds: 1 }),
                step('Shield lifts, lock pulls them over the arm they cannot post.', {
                  release: ['footR'],
                  seconds: 2,
                }),
              ],
              direction: 300,
              mechanics: ['hip bump'],
              cues: ['The lock takes the post; the knee takes the hip.'],
            },
            {
              none: ['top-side', 0.4],
              '~roll-forward': ['top-side', 0.5],
              '~hide-hand': ['top-side', 0.45],
              'posture-up': ['half-lock-up', 0.45],
              'drive-forward': ['half-flat', 0.45],
            },
          ),
          move(
            'half-lock-roll-under',
            'Roll under with the lock',
            'sweep',
            {
              aliases: ['inverted roll with the figure-four'],
              needs: ['top.weight=forward'],
              steps: [
                step('Weight comes over: look under the own arm and roll, lock kept.', {
                  release: ['legL'],
                  signs: { 'own.torso': 'inverted' },
                  seconds: 2,
                }),
                step('Low foot throws the trapped leg over; land beside, lock still on.', {
                  after: [1],
                  seconds: 2,
                }),
              ],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              mechanics: ['inversion'],
              hazards: ['shoulder-lock'],
              cues: ['Partner rolls with the arm, never against it.'],
            },
            {
              '~roll-forward': ['top-side', 0.45],
              'posture-up': ['half-lock', 0.5],
              '~hide-hand': ['top-side', 0.25],
              'drive-forward': ['top-side', 0.45, 'half-flat'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'half-lock-up',
    'Shoulder-lock grip, top up on the feet',
    {
      systems: ['half-guard'],
      level: 'intermediate',
      holds: [...LOCK, 'footR hook knee-crook.R'],
      signs: {
        'own.torso': 'seated',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.handL': 'trapped',
        'top.elbowL': 'open',
      },
      drift: 'seated-standing',
      cues: ['They lift you: hang on the arm and swing under.'],
    },
    [
      look(
        'hang',
        'Hang on the lock',
        ['drive-forward', '~roll-forward'],
        [
          move(
            'lock-sit-under',
            'Sit under and throw them over',
            'sweep',
            {
              needs: ['?top.weight=forward'],
              needsHolds: ['overhook upper-arm.L'],
              steps: [
                step('Second foot to the hip, seat under theirs.', {
                  take: ['footL place hip.R'],
                  seconds: 1,
                }),
                step('Pull the lock to the mat, lift with both feet, roll over the shoulder.', {
                  after: [1],
                  seconds: 3,
                }),
              ],
              mechanics: ['shoulder roll'],
              cues: ['Lock to the mat first, feet after.'],
            },
            {
              none: ['top-side', 0.3, 'seated-standing'],
              'drive-forward': ['top-side', 0.45, 'half-flat'],
              '~roll-forward': ['top-side', 0.55],
            },
          ),
          move(
            'lock-to-slx',
            'Let the lock go for the near leg',
            'connect',
            {
              steps: [
                step('Slide down the leg, arm round the ankle, foot on the hip.', {
                  release: ['handL', 'armL', 'handR'],
                  take: ['armL wrap ankle.R', 'footL place hip.R'],
                  signs: { 'own.torso': 'on-back', 'own.hips': 'raised' },
                  seconds: 2,
                }),
              ],
              cues: ['An arm let go is a leg won.'],
            },
            {
              none: ['slx', 0.5],
              'drive-forward': ['slx', 0.45, 'half-flat'],
              '~roll-forward': ['top-side', 0.4],
            },
          ),
        ],
      ),
    ],
  ),
];
