import { fit, look, move, position, step } from '../author.ts';

const COLLAR = 'handR grip collar.R deep | neck.C';
const SLEEVE = 'handL grip sleeve.R.cuff';
const BOTH = 'handL+handR two-on-one sleeve.R.cuff deep';

/** Seated and on the back, grips on the collar and the sleeve. */
export const collarAndSleeve = [
  position(
    'seated',
    'Seated, hand fighting',
    {
      aliases: ['seated guard', 'butt scoot', 'guarda sentada'],
      systems: ['collar-and-sleeve'],
      entry: 3,
      holds: [],
      signs: { 'own.torso': 'seated', 'top.range': 'out-of-reach', 'top.handR': 'free' },
      drift: 'knee-line',
      cues: ['Chin down, one hand always between you and them.', 'First grip wins: sleeve before collar.'],
      faults: { 'Leans back on both hands': 'One hand posts, the other one fights.' },
    },
    [
      look(
        'reach',
        'Reach for the sleeve',
        ['pull-sleeve', 'stands-up'],
        [
          move(
            'win-grips',
            'Win the sleeve, then the collar',
            'connect',
            {
              needs: ['top.range=gripping|out-of-reach'],
              steps: [
                step('Catch the cuff from below with the same-side hand and close the fist.', {
                  take: [SLEEVE],
                  seconds: 2,
                }),
                step('Bring the elbow back and feed the other hand deep behind the collar.', {
                  take: [COLLAR],
                  seconds: 2,
                }),
                step('Lie back, a foot on each hip.', {
                  take: ['footL place hip.R', 'footR place hip.L'],
                  signs: { 'own.torso': 'on-back', 'top.range': 'gripping' },
                  seconds: 1,
                }),
              ],
              variants: [
                {
                  id: 'thumb-in',
                  name: 'Thumb inside the collar',
                  when: { apparel: 'gi' },
                  why: 'Deepest grip, and the choke is there at once.',
                },
                {
                  id: 'four-fingers',
                  name: 'Four fingers inside, thumb out',
                  when: { apparel: 'gi' },
                  why: 'Quicker to win and easier to let go of; a better handle for pulling.',
                },
              ],
              cues: ['Close the cuff into a fold before you pull.'],
              faults: { 'Reaches with both hands at once': 'One hand wins, the other follows.' },
            },
            {
              none: ['collar-sleeve', 0.65],
              'pull-sleeve': ['seated', 0.55, 'knee-line'],
              'stands-up': ['collar-sleeve-standing', 0.55, 'seated'],
            },
          ),
          move(
            'two-to-sleeve',
            'Both hands to the near sleeve',
            'connect',
            {
              steps: [
                step('Both hands on the same cuff, pull it to the hip and lie back behind it.', {
                  take: [BOTH, 'footL place hip.R', 'footR place hip.L'],
                  signs: { 'own.torso': 'on-back', 'top.range': 'gripping' },
                  seconds: 3,
                }),
              ],
              cues: ['Two hands beat one every time.'],
            },
            {
              none: ['two-on-one', 0.6],
              'pull-sleeve': ['seated', 0.6, 'knee-line'],
              'stands-up': ['two-on-one', 0.45, 'seated'],
            },
          ),
        ],
      ),
      look(
        'drag',
        'Take the arm across',
        ['drive-forward', 'post-far'],
        [
          move(
            'arm-drag',
            'Arm drag to the back',
            'back-take',
            {
              aliases: ['drag'],
              steps: [
                step('Cup behind the upper arm and pull it past your chest.', {
                  take: ['handL cup upper-arm.R'],
                  seconds: 2,
                }),
                step('Hips out to that side, chest to the shoulder blade.', { seconds: 2 }),
                step('Harness first, then the first hook.', {
                  release: ['handL'],
                  take: ['armL+armR harness chest.C'],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Move yourself past the arm, not the arm past you.'],
            },
            {
              none: ['back', 0.35],
              'drive-forward': ['back', 0.45, 'knee-line'],
              'post-far': ['back', 0.25],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'collar-sleeve',
    'Collar and sleeve, top kneeling',
    {
      aliases: ['collar sleeve', 'gola e manga'],
      systems: ['collar-and-sleeve'],
      entry: 3,
      holds: [COLLAR, SLEEVE, 'footL place hip.R', 'footR place hip.L'],
      signs: { 'own.torso': 'on-back', 'top.handR': 'gripping', 'top.posture': 'leaning' },
      drift: 'knee-line',
      cues: [
        'Knees to the chest whenever they come near.',
        'The sleeve arm never rests: it pulls or it pushes.',
      ],
      faults: {
        'Feet flat on the hips with straight legs': 'Toes out, knees bent: the legs are springs.',
        'Collar elbow wide': 'Elbow to the ribs, wrist straight.',
      },
    },
    [
      look(
        'pull',
        'Pull on the collar',
        ['strip-collar', 'posture-up', 'post-far'],
        [
          move(
            'collar-drag',
            'Collar drag',
            'provoke',
            {
              needsHolds: ['* collar.R'],
              steps: [
                step('Pull the collar to the mat beside your hip while the hips leave to the other side.', {
                  seconds: 3,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Drag to where you were, not to where you are.'],
            },
            {
              none: ['back', 0.3],
              'strip-collar': ['two-on-one', 0.7],
              'posture-up': ['collar-sleeve-standing', 0.65],
              'post-far': ['two-on-one', 0.5],
            },
          ),
          move(
            'join-sleeve',
            'Collar hand joins on the sleeve',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Collar hand free, both hands on the cuff at the belt.', {
                  release: ['handL'],
                  take: [BOTH],
                  seconds: 2,
                }),
                step('Both feet to the hips, elbows bent.', { seconds: 1 }),
              ],
              cues: ['They put two hands on one grip; now put two on one of theirs.'],
            },
            {
              none: ['two-on-one', 0.6],
              'strip-collar': ['two-on-one', 0.75],
              'posture-up': ['two-on-one', 0.5, 'collar-sleeve-standing'],
              'post-far': ['two-on-one', 0.6],
            },
          ),
          move(
            'cross-choke',
            'Cross-collar choke',
            'submission',
            {
              aliases: ['cross choke', 'estrangulamento cruzado'],
              needs: ['top.stance=kneeling', '?top.posture=leaning|broken'],
              needsHolds: ['grip collar.R'],
              steps: [
                step('Pull their head down below yours with the deep hand.', {
                  signs: { 'top.posture': 'broken', 'top.head': 'low' },
                  seconds: 3,
                }),
                step('Second hand under the first, into the other lapel.', {
                  release: ['handL'],
                  take: ['handL grip lapel.L'],
                  after: [1],
                  seconds: 2,
                }),
                step('Elbows to the ribs, draw the fists apart slowly.', { after: [2], seconds: 3 }),
              ],
              hazards: ['strangle'],
              cues: ['Head first, second hand after.', 'Squeeze with the back, not with the hands.'],
              faults: { 'Second hand reaches before the head is down': 'Break the posture first.' },
            },
            {
              none: ['submission', 0.3],
              'strip-collar': ['two-on-one', 0.65],
              'posture-up': ['collar-sleeve-standing', 0.7],
              'post-far': ['submission', 0.35],
            },
          ),
        ],
      ),
      look(
        'tilt',
        'Hips out, knee across',
        ['widen-base', 'sit-back', 'drive-forward'],
        [
          move(
            'scissor',
            'Scissor sweep',
            'sweep',
            {
              aliases: ['tesoura'],
              needs: ['top.stance=kneeling'],
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Pull the collar and the sleeve up, so that the weight comes over your shin.', {
                  seconds: 2,
                }),
                step('Shin across the belt line, the other leg flat on the mat behind the knee.', {
                  release: ['footL', 'footR'],
                  take: ['legR shield chest.C', 'legL press knee.R'],
                  seconds: 2,
                }),
                step('Cut the legs past each other and follow up into mount.', { seconds: 2 }),
              ],
              direction: 60,
              mechanics: ['scissor', 'hip escape'],
              cues: [
                'Load them first: no weight, no sweep.',
                'The sleeve goes to your hip: no hand to post.',
              ],
              faults: { 'Kicks without a load': 'Pull until their chin is over your knee.' },
            },
            {
              none: ['top-mount', 0.45],
              'widen-base': ['top-side', 0.35],
              'sit-back': ['top-guard', 0.4],
              'drive-forward': ['leg-underhook', 0.35, 'knee-line'],
            },
          ),
          move(
            'swing-to-lock',
            'Swing to the shoulder lock',
            'connect',
            {
              aliases: ['omoplata entry'],
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Foot into the biceps and push the arm long, hips out the same way.', {
                  release: ['footL'],
                  take: ['footL place upper-arm.R'],
                  seconds: 2,
                }),
                step('Swing the leg over the shoulder from below, let go of the collar.', {
                  release: ['footL', 'handR'],
                  take: ['legL clamp shoulder.R'],
                  seconds: 2,
                }),
                step('Sit up beside, arm round the waist.', {
                  release: ['handL', 'footR'],
                  take: ['armL wrap waist.C', 'handR grip sleeve.R.cuff'],
                  after: [2],
                  signs: {
                    'own.torso': 'seated',
                    'top.posture': 'broken',
                    'top.elbowR': 'bent-trapped',
                    'top.handR': 'trapped',
                  },
                  seconds: 2,
                }),
              ],
              fits: [
                fit('limbs', 'own', 'long', 1, 'A long leg reaches over the shoulder from further away.'),
              ],
              cues: ['Their elbow stays behind your knee.'],
            },
            {
              none: ['shoulder-lock', 0.4],
              'widen-base': ['shoulder-lock', 0.4],
              'sit-back': ['collar-sleeve', 0.7],
              'drive-forward': ['shoulder-lock', 0.5, 'knee-line'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'collar-sleeve-standing',
    'Collar and sleeve, top standing',
    {
      systems: ['collar-and-sleeve'],
      entry: 2,
      holds: [COLLAR, SLEEVE, 'footL place upper-arm.R', 'footR place hip.L'],
      signs: {
        'own.torso': 'on-back',
        'own.hips': 'raised',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.handR': 'gripping',
      },
      drift: 'knee-line',
      cues: ['Hips off the mat, always.', 'One foot pushes while one hand pulls.'],
      faults: { 'Lets the foot fall off the biceps': 'Toes turned out, foot curls round the arm.' },
    },
    [
      look(
        'push-pull',
        'Push the hip, pull the collar',
        ['strip-collar', 'step-back', 'drive-forward'],
        [
          move(
            'tripod',
            'Tripod sweep',
            'sweep',
            {
              needs: ['top.stance=standing'],
              steps: [
                step('Collar hand drops to the far ankle, same side as the foot on the hip.', {
                  release: ['handR'],
                  take: ['handR cup ankle.L'],
                  seconds: 2,
                }),
                step('The other foot slides down and hooks behind the near ankle.', {
                  release: ['footL'],
                  take: ['footL hook ankle.R'],
                  seconds: 1,
                }),
                step('Push the hip, pull both ankles, come up behind the feet.', { seconds: 2 }),
              ],
              direction: 180,
              mechanics: ['technical stand-up'],
              cues: ['Push at the belt, pull at the heels.'],
            },
            {
              none: ['top-guard', 0.4],
              'strip-collar': [
                'top-guard',
                0.5,
                'two-on-one',
                'The stripped hand is already on its way to the ankle.',
              ],
              'step-back': ['hook-collar-sleeve', 0.5],
              'drive-forward': ['x-guard', 0.35, 'knee-line'],
            },
          ),
          move(
            'overhead',
            'Overhead sweep',
            'sweep',
            {
              aliases: ['balloon sweep', 'balão'],
              needs: ['top.stance=standing', '?top.weight=forward'],
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Both feet to the hips, knees to the chest, scoot under.', {
                  release: ['footL'],
                  take: ['footL place hip.R'],
                  seconds: 2,
                }),
                step('Pull the grips to the ears, lift, and roll with them over the free shoulder.', {
                  seconds: 2,
                }),
              ],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              mechanics: ['shoulder roll'],
              cues: ['Go under, then up; never just up.'],
              faults: { 'Throws over the head instead of the shoulder': 'Look to one side, chin tucked.' },
            },
            {
              none: ['top-mount', 0.2],
              'strip-collar': ['two-on-one', 0.6],
              'step-back': ['collar-sleeve-standing', 0.8, 'knee-line'],
              'drive-forward': ['top-mount', 0.45, 'knee-line'],
            },
          ),
        ],
      ),
      look(
        'biceps',
        'Press the biceps, open the elbow',
        ['pull-sleeve', 'posture-up', 'knee-cut'],
        [
          move(
            'shoot-triangle',
            'Shoot the triangle',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Push the held arm to their belly with the biceps foot.', { seconds: 1 }),
                step('The other leg goes over the far shoulder, cut the angle, lock the legs.', {
                  release: ['footL', 'footR'],
                  take: ['legR clamp neck.C', 'legL clamp own:ankle.R'],
                  signs: { 'top.posture': 'broken' },
                  seconds: 3,
                }),
              ],
              mechanics: ['hip lift', 'angle cut'],
              fits: [
                fit('limbs', 'own', 'compact', -1, 'The lock closes late round a wide shoulder.'),
                fit('limbs', 'own', 'long', 2, 'The lock is on before they posture.'),
              ],
              cues: ['One arm in, one arm out, before the legs close.'],
            },
            {
              none: ['triangle', 0.4],
              'pull-sleeve': ['seated', 0.6, 'knee-line'],
              'posture-up': ['triangle', 0.25],
              'knee-cut': ['triangle', 0.35, 'knee-line'],
            },
          ),
          move(
            'swing-to-lock-standing',
            'Swing to the shoulder lock, top standing',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Hips up and out, leg from the biceps over the shoulder.', {
                  release: ['footL', 'handR'],
                  take: ['legL clamp shoulder.R shallow'],
                  seconds: 2,
                }),
                step('Hook the near leg with the arm as you turn under, cross grip on the sleeve.', {
                  release: ['handL'],
                  take: ['armL underhook knee-crook.R', 'handR grip sleeve.R.cuff'],
                  signs: { 'own.torso': 'on-shoulder' },
                  seconds: 2,
                }),
              ],
              cues: ['Hold the leg before they stand tall.'],
            },
            {
              none: ['shoulder-lock-tall', 0.4],
              'pull-sleeve': ['seated', 0.55, 'knee-line'],
              'posture-up': ['shoulder-lock-tall', 0.45],
              'knee-cut': ['shoulder-lock', 0.4, 'knee-line'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'two-on-one',
    'Two hands on one sleeve',
    {
      aliases: ['two-on-one'],
      systems: ['collar-and-sleeve', 'cross-sleeve'],
      holds: [BOTH, 'footL place hip.R', 'footR place hip.L'],
      signs: {
        'own.torso': 'on-back',
        'top.elbowR': 'open',
        'top.handR': 'trapped',
        'top.posture': 'leaning',
      },
      drift: 'seated',
      cues: ['The cuff lives at your belt.', 'Both feet make room for the arm to come across.'],
      faults: { 'Holds with straight arms': 'Elbows bent, cuff at the belt.' },
    },
    [
      look(
        'across',
        'Take the arm across',
        ['pull-sleeve', 'posture-up', 'drive-forward'],
        [
          move(
            'hand-over',
            'Hand over to the cross grip',
            'connect',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('The cross hand keeps the cuff; the other hand lets go and posts behind the hip.', {
                  release: ['handL'],
                  take: ['handL post mat'],
                  seconds: 1,
                }),
                step('Hip out to the arm side, foot behind the near knee.', {
                  release: ['footL'],
                  take: ['footL hook knee-crook.R'],
                  signs: { 'own.angle': 'left' },
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Pull with two, then hold with one.'],
              faults: { 'Lets go before the arm is across': 'Cuff past your own far hip first.' },
            },
            {
              none: ['cross-sleeve', 0.75],
              'pull-sleeve': ['seated', 0.6, 'knee-line'],
              'posture-up': ['cross-sleeve', 0.6],
              'drive-forward': ['leg-underhook', 0.5, 'knee-line'],
            },
          ),
          move(
            'sleeve-drag',
            'Drag past to the back',
            'back-take',
            {
              needsHolds: ['* sleeve.R'],
              steps: [
                step('Pull the cuff to the far hip and scoot out beside the shoulder.', {
                  release: ['footL'],
                  seconds: 2,
                }),
                step('Harness first.', {
                  release: ['handL', 'handR', 'footR'],
                  take: ['armL+armR harness chest.C'],
                  seconds: 2,
                }),
                step('Then the hooks.', {
                  take: ['footL hook thigh.L', 'footR hook thigh.R'],
                  after: [2],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Harness before hooks.'],
            },
            {
              none: ['back', 0.3],
              'pull-sleeve': ['seated', 0.6, 'knee-line'],
              'posture-up': ['cross-sleeve', 0.5],
              'drive-forward': ['back', 0.4, 'knee-line'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'triangle',
    'Triangle locked',
    {
      aliases: ['triângulo', 'sankaku'],
      systems: ['collar-and-sleeve'],
      level: 'intermediate',
      holds: [
        'legR clamp neck.C keep',
        'legL clamp own:ankle.R',
        'handR grip collar.R | head.C',
        'handL grip sleeve.R.cuff',
      ],
      signs: {
        'own.torso': 'on-back',
        'top.posture': 'broken',
        'top.handR': 'trapped',
        'top.head': 'low',
        'top.stance': 'kneeling',
      },
      drift: 'passed',
      cues: ['Angle first, then squeeze.', 'Knee behind the heel: lock over the shin, not over the toes.'],
      faults: { 'Locks over the toes': 'Pull the shin in and re-lock at the ankle crease.' },
    },
    [
      look(
        'squeeze',
        'Cut the angle',
        ['posture-up', 'drive-forward'],
        [
          move(
            'triangle-finish',
            'Finish the triangle',
            'submission',
            {
              needs: ['top.posture=broken|leaning'],
              needsHolds: ['clamp neck'],
              steps: [
                step('Pull the shin across, turn to see the ear, bring the head down.', { seconds: 3 }),
                step('Squeeze slowly until the tap.', { seconds: 3, after: [1] }),
              ],
              hazards: ['strangle'],
              mechanics: ['angle cut'],
              cues: ['Look into their ear.'],
            },
            {
              none: ['submission', 0.5],
              'posture-up': ['shoulder-lock-tall', 0.35],
              'drive-forward': ['submission', 0.35, 'passed'],
            },
          ),
          move(
            'triangle-armlock',
            'Arm lock from the triangle',
            'submission',
            {
              needs: ['?top.elbowR=straight'],
              steps: [
                step('Hips up against the elbow, thumb up, knees tight.', { seconds: 3 }),
                step('Lift slowly until the tap.', { seconds: 3, after: [1] }),
              ],
              hazards: ['elbow-lock'],
              cues: ['The thumb shows where the elbow bends.'],
            },
            {
              none: ['submission', 0.35],
              'posture-up': ['submission', 0.4],
              'drive-forward': ['submission', 0.2, 'passed'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'knee-line',
    'Pass begun: knee past the near leg',
    {
      aliases: ['knee slice begun'],
      systems: ['collar-and-sleeve', 'cross-sleeve'],
      leadSide: 'R',
      holds: ['armL frame shoulder.R', 'legR shield hip.L'],
      topHolds: ['handL grip own:knee.R'],
      signs: {
        'own.torso': 'side-R',
        'top.line': 'knee-R',
        'top.weight': 'forward',
        'top.kneeR': 'inward',
        'top.posture': 'leaning',
      },
      drift: 'passed',
      cues: ['Knee and elbow of the same side touch.', 'Turn towards them, never away.'],
      faults: { 'Turns the hips away': 'Bottom hip flat, top knee in.' },
    },
    [
      look(
        'frame',
        'Frame and bring the knee back',
        ['drive-forward', 'knee-cut'],
        [
          move(
            'knee-in',
            'Knee shield back in',
            'retention',
            {
              steps: [
                step('Frame on the shoulder, hip out, knee to the elbow.', {
                  signs: { 'own.kneeElbowR': 'connected' },
                  seconds: 2,
                }),
                step('Feet back to the hips, sit up behind the frame.', {
                  release: ['armL', 'legR'],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Make the hole first, then put the knee in it.'],
            },
            {
              none: ['seated', 0.6, 'passed'],
              'drive-forward': ['recovered', 0.45, 'passed'],
              'knee-cut': ['seated', 0.35, 'passed'],
            },
          ),
          move(
            'under-hook-leg',
            'Under the cutting leg',
            'retention',
            {
              needsHolds: ['frame shoulder'],
              steps: [
                step('Let the shoulder come, scoop the near leg and turn under it.', {
                  release: ['armL'],
                  take: ['armL underhook knee-crook.R'],
                  seconds: 3,
                }),
                step('Leg on the shoulder, foot to the far hip, free hand to the cuff.', {
                  release: ['legR'],
                  take: ['legL press shoulder.R', 'footR place hip.L', 'handR grip sleeve.R.cuff'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              cues: ['Late is too late: go while the knee still slides.'],
            },
            {
              none: ['leg-underhook', 0.35, 'passed'],
              'drive-forward': ['leg-underhook', 0.45, 'passed'],
              'knee-cut': ['leg-underhook', 0.4, 'passed'],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),
];
