import { fit, look, move, position, step } from '../author.ts';

const ANKLE = 'armL wrap ankle.R';
const HIP = 'footL place hip.R';

/** Single-leg X, X, and the leg entanglements they lead to, attack and defence. */
export const legs = [
  position(
    'slx',
    'Single-leg X',
    {
      aliases: ['single X', 'one-leg X'],
      systems: ['single-leg-x'],
      level: 'intermediate',
      holds: [ANKLE, HIP, 'footR hook knee-crook.R'],
      signs: {
        'own.torso': 'on-back',
        'own.hips': 'raised',
        'own.angle': 'left',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
      },
      drift: 'seated-standing',
      cues: ['Hips off the mat, knees pinched on one thigh.', 'Never square: look along the leg you hold.'],
      faults: {
        'Knees fall open': 'Squeeze a fist between them: no daylight.',
        'Holds the foot with the hand': 'Elbow behind the heel, hand on the own chest.',
      },
    },
    [
      look(
        'off-balance-leg',
        'Lift and push the held leg',
        ['clear-line', 'drive-forward', 'post-far', 'sit-back'],
        [
          move(
            'slx-stand',
            'Trip them back and stand up with the leg',
            'sweep',
            {
              aliases: ['technical stand-up sweep'],
              needs: ['top.stance=standing'],
              needsHolds: ['wrap ankle.R'],
              steps: [
                step('Hips high, foot pushes the hip, inside foot pulls the knee.', { seconds: 2 }),
                step('They sit; free hand posts, stand up with the ankle still in the arm.', {
                  release: ['footL', 'footR'],
                  take: ['handR post mat'],
                  after: [1],
                  seconds: 3,
                }),
              ],
              direction: 150,
              mechanics: ['technical stand-up'],
              cues: ['The ankle goes up with you: they cannot stand without it.'],
            },
            {
              none: ['top-guard', 0.5],
              'clear-line': ['seated-standing', 0.6],
              'drive-forward': ['x-guard', 0.4, 'hook-cut'],
              'post-far': ['top-guard', 0.5],
              'sit-back': ['top-guard', 0.6],
            },
          ),
          move(
            'slx-to-x',
            'Second foot to the far leg: X',
            'connect',
            {
              needsHolds: ['wrap ankle.R'],
              steps: [
                step('Free hand to the near sleeve, scoot under the hips.', {
                  take: ['handR grip sleeve.R.cuff | wrist.R'],
                  seconds: 1,
                }),
                step('Hip foot to the far thigh, inside hook to the far knee.', {
                  release: ['footL', 'footR'],
                  take: ['footL hook thigh.L', 'footR hook knee-crook.L'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              cues: ['Both feet on one leg, both legs off their base.'],
            },
            {
              none: ['x-guard', 0.5],
              'clear-line': ['seated-standing', 0.5],
              'drive-forward': ['x-guard', 0.55, 'hook-cut'],
              'post-far': ['x-guard', 0.4],
              'sit-back': ['entangle-inside', 0.5],
            },
          ),
          move(
            'slx-sit-them',
            'Sit them down into the inside entanglement',
            'entry',
            {
              needsHolds: ['wrap ankle.R'],
              steps: [
                step('Kick the hip back, knees stay pinched as they land.', {
                  take: ['legL+legR pinch knee.R'],
                  release: ['footR'],
                  signs: { 'top.stance': 'seated', 'top.kneeLineR': 'caught' },
                  seconds: 2,
                }),
              ],
              cues: ['Knees first: an ankle without a knee slips out.'],
            },
            {
              none: ['entangle-inside', 0.45],
              'clear-line': ['seated-standing', 0.55],
              'drive-forward': ['slx', 0.6, 'hook-cut'],
              'post-far': ['entangle-inside', 0.5],
              'sit-back': ['entangle-inside', 0.65],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'entangle-inside',
    'Inside entanglement, straight',
    {
      aliases: ['straight ashi', 'ashi garami'],
      systems: ['leg-entanglement', 'single-leg-x'],
      level: 'intermediate',
      holds: [ANKLE, HIP, 'legL+legR pinch knee.R'],
      signs: {
        'own.torso': 'side-L',
        'top.stance': 'seated',
        'top.posture': 'upright',
        'top.kneeLineR': 'caught',
      },
      drift: 'seated-standing',
      cues: [
        'The knee line is the whole position: pinch above it.',
        'Hip foot stays on the hip: it keeps them from sitting up.',
      ],
      faults: { 'Leans back before the knee is pinched': 'Knees, then elbow, then hips.' },
    },
    [
      look(
        'threaten-foot',
        'Threaten the foot',
        ['clear-line', 'hide-heel', 'stands-up', 'fight-grips'],
        [
          move(
            'straight-ankle',
            'Straight ankle lock',
            'submission',
            {
              aliases: ['straight foot lock', 'chave de pé reta'],
              needsHolds: ['wrap ankle.R', 'pinch knee.R'],
              steps: [
                step('Elbow low behind the heel, shoulder turns towards the mat.', { seconds: 2 }),
                step('Hips forward slowly until the tap.', { after: [1], seconds: 3 }),
              ],
              hazards: ['straight-ankle'],
              variants: [
                {
                  id: 'fist-in-hand',
                  name: 'Own wrist held, fist to the chest',
                  why: 'The forearm blade sits on the tendon and the elbow cannot slide.',
                },
                {
                  id: 'hand-on-shoulder',
                  name: 'Hand on the own shoulder',
                  when: { build: 'long arms' },
                  why: 'The other hand is free to hold the knee line or to post.',
                },
              ],
              houseVariant: 'fist-in-hand',
              cues: ['Squeeze the knees before the arch.'],
            },
            {
              none: ['submission', 0.35],
              'clear-line': ['seated-standing', 0.6],
              'hide-heel': ['entangle-outside', 0.4, 'entangle-inside'],
              'stands-up': ['slx', 0.65],
              'fight-grips': ['submission', 0.2],
            },
          ),
          move(
            'inside-to-crossed',
            'Cross the legs over the thigh',
            'connect',
            {
              needsHolds: ['pinch knee.R'],
              steps: [
                step('Top leg over the thigh to the far hip, knees still closed.', {
                  release: ['legL', 'legR', 'footL'],
                  take: ['legL clamp thigh.R', 'footL place hip.L', 'legR lace knee.R'],
                  seconds: 2,
                }),
                step('Free hand controls the other ankle.', {
                  take: ['handR cup ankle.L'],
                  after: [1],
                  seconds: 1,
                }),
              ],
              hazards: ['knee-reap'],
              cues: ['Other leg held first: two free feet are two ways out.'],
            },
            {
              none: ['entangle-crossed', 0.4],
              'clear-line': ['seated-standing', 0.5],
              'hide-heel': ['entangle-crossed', 0.45],
              'stands-up': ['slx', 0.6],
              'fight-grips': ['entangle-crossed', 0.35],
            },
          ),
          move(
            'inside-come-up',
            'Come up on top of the leg',
            'sweep',
            {
              needsHolds: ['wrap ankle.R'],
              steps: [
                step('Hip foot pushes, free hand posts, hips over the leg.', {
                  release: ['legL', 'legR', 'footL'],
                  take: ['handR post mat'],
                  seconds: 3,
                }),
              ],
              mechanics: ['technical stand-up'],
              cues: ['They hide the foot: take the top instead.'],
            },
            {
              none: ['top-guard', 0.4],
              'clear-line': ['seated-standing', 0.55],
              'hide-heel': ['top-guard', 0.5],
              'stands-up': ['slx', 0.6],
              'fight-grips': ['top-guard', 0.45],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'entangle-outside',
    'Outside entanglement',
    {
      aliases: ['outside ashi', 'both legs outside'],
      systems: ['leg-entanglement'],
      level: 'expert',
      holds: [ANKLE, 'legL clamp thigh.R', 'legR clamp knee.R'],
      signs: {
        'own.torso': 'side-L',
        'top.stance': 'seated',
        'top.kneeLineR': 'caught',
        'top.posture': 'leaning',
      },
      drift: 'seated-standing',
      cues: ['Hips close to theirs, knees pinched: no daylight at the knee.'],
      faults: { 'Feet crossed and easy to peel': 'Bottom foot hides behind the top shin.' },
    },
    [
      look(
        'outside-threat',
        'Threaten and turn the knee',
        ['clear-line', 'roll-with-lock', 'hide-heel', 'counter-foot'],
        [
          move(
            'outside-heel',
            'Twisting heel attack, outside',
            'submission',
            {
              aliases: ['outside heel hook'],
              needsHolds: ['clamp knee.R'],
              needs: ['top.kneeLineR=caught'],
              steps: [
                step('Heel caught in the crook of the elbow, toes in the armpit.', {
                  release: ['armL'],
                  take: ['armL wrap heel.R'],
                  signs: { 'top.heelR': 'exposed' },
                  seconds: 2,
                }),
                step('Catch and stop: in class the heel is caught and let go, never turned.', {
                  after: [1],
                  seconds: 2,
                }),
              ],
              hazards: ['heel-hook'],
              window: 'brief',
              cues: ['Catch and release: the partner says tap before anything turns.'],
              faults: { 'Turns the heel to feel it': 'The knee feels it too late. Catch, show, let go.' },
            },
            {
              none: ['submission', 0.35],
              'clear-line': ['seated-standing', 0.55],
              'roll-with-lock': ['submission', 0.25, 'entangle-mutual'],
              'hide-heel': ['entangle-crossed', 0.35, 'entangle-outside'],
              'counter-foot': ['entangle-mutual', 0.6, 'entangle-defend'],
            },
          ),
          move(
            'outside-to-crossed',
            'Switch under to the crossed legs',
            'connect',
            {
              steps: [
                step('Hold the far ankle, inside leg threads to the far hip.', {
                  release: ['legL'],
                  take: ['handR cup ankle.L', 'footL place hip.L'],
                  seconds: 2,
                }),
                step('Legs cross over the thigh, knee still pinched.', {
                  release: ['legR'],
                  take: ['legL clamp thigh.R', 'legR lace knee.R'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              hazards: ['knee-reap'],
              cues: ['Never open both knees at once.'],
            },
            {
              none: ['entangle-crossed', 0.4],
              'clear-line': ['seated-standing', 0.5],
              'roll-with-lock': ['entangle-crossed', 0.35, 'entangle-mutual'],
              'hide-heel': ['entangle-crossed', 0.45],
              'counter-foot': ['entangle-mutual', 0.6, 'entangle-defend'],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'entangle-crossed',
    'Crossed legs inside the thigh',
    {
      aliases: ['inside position', 'crossed ashi', 'saddle'],
      systems: ['leg-entanglement'],
      level: 'expert',
      holds: [ANKLE, 'legL clamp thigh.R', 'footL place hip.L', 'legR lace knee.R', 'handR cup ankle.L'],
      signs: {
        'own.torso': 'side-L',
        'top.stance': 'seated',
        'top.kneeLineR': 'caught',
        'top.weight': 'back',
      },
      drift: 'entangle-outside',
      cues: ['Hold the other leg before you look for the heel.', 'Hips higher than their knee.'],
      faults: { 'Lets the far leg push off': 'Ankle in the hand or under the thigh, first of all.' },
    },
    [
      look(
        'crossed-threat',
        'Close the knees on the thigh',
        ['hide-heel', 'roll-with-lock', 'fight-grips'],
        [
          move(
            'crossed-heel',
            'Twisting heel attack, inside',
            'submission',
            {
              aliases: ['inside heel hook'],
              needs: ['top.kneeLineR=caught'],
              needsHolds: ['lace knee.R'],
              steps: [
                step('Far ankle tied, heel caught in the elbow.', {
                  release: ['armL'],
                  take: ['armL wrap heel.R'],
                  signs: { 'top.heelR': 'exposed' },
                  seconds: 2,
                }),
                step('Catch and stop: in class the heel is caught and let go, never turned.', {
                  after: [1],
                  seconds: 2,
                }),
              ],
              hazards: ['heel-hook', 'knee-reap'],
              window: 'brief',
              cues: ['Catch and release: nobody turns a heel in class.'],
            },
            {
              none: ['submission', 0.45],
              'hide-heel': ['entangle-crossed', 0.6, 'entangle-outside'],
              'roll-with-lock': ['submission', 0.35, 'entangle-outside'],
              'fight-grips': ['submission', 0.3],
            },
          ),
          move(
            'crossed-knee-bar',
            'Knee bar from the crossed legs',
            'submission',
            {
              needsHolds: ['clamp thigh.R'],
              needs: ['top.kneeLineR=caught'],
              steps: [
                step('Hug the shin to the chest, hips over the knee.', {
                  release: ['armL', 'handR'],
                  take: ['armL+armR wrap shin.R'],
                  seconds: 2,
                }),
                step('Hips forward slowly until the tap.', { after: [1], seconds: 3 }),
              ],
              hazards: ['knee-bar'],
              cues: ['Heel hidden? The knee is still there.'],
            },
            {
              none: ['submission', 0.3],
              'hide-heel': ['submission', 0.4],
              'roll-with-lock': ['submission', 0.25, 'entangle-outside'],
              'fight-grips': ['submission', 0.25],
            },
          ),
          move(
            'crossed-back',
            'Leave the leg for the back',
            'back-take',
            {
              needs: ['?top.facing=turned-left|away'],
              steps: [
                step('They turn to hide: climb over the hip, arm round the waist.', {
                  release: ['armL', 'handR'],
                  take: ['armL wrap waist.C'],
                  seconds: 2,
                }),
                step('Harness, then hooks.', {
                  release: ['armL', 'legL', 'footL', 'legR'],
                  take: ['armL+armR harness chest.C'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              cues: ['The back scores where the leg may be barred.'],
            },
            {
              none: ['back', 0.2],
              'hide-heel': ['back', 0.35],
              'roll-with-lock': ['back', 0.3],
              'fight-grips': ['entangle-crossed', 0.5],
            },
          ),
        ],
      ),
    ],
  ),

  position(
    'entangle-mutual',
    'Mutual entanglement',
    {
      aliases: ['fifty-fifty', 'both in'],
      systems: ['leg-entanglement'],
      level: 'expert',
      holds: [ANKLE, 'legR clamp knee.R', 'legL clamp own:ankle.R'],
      topHolds: ['legL clamp own:knee.R'],
      signs: {
        'own.torso': 'seated',
        'top.stance': 'seated',
        'top.kneeLineR': 'caught',
        'own.kneeLineR': 'caught',
      },
      drift: 'entangle-defend',
      cues: ['Own knee line inside before the feet open.', 'Whoever stands up first, wins the position.'],
      faults: { 'Opens the feet to run': 'Knee inside first; then the feet open by themselves.' },
    },
    [
      look(
        'even',
        'Win the inside and come up',
        ['stands-up', 'counter-foot', 'fight-grips'],
        [
          move(
            'mutual-up',
            'Clear the knee, come up on top',
            'sweep',
            {
              steps: [
                step('Hand on their knee, own knee turns inside and down.', {
                  signs: { 'own.kneeLineR': 'clear' },
                  take: ['handR frame knee.L'],
                  seconds: 2,
                }),
                step('Now the feet open; stand up over the leg you hold.', {
                  release: ['legL', 'legR'],
                  after: [1],
                  seconds: 3,
                }),
              ],
              mechanics: ['technical stand-up'],
              cues: ['Knee, feet, stand: in this order.'],
            },
            {
              none: ['top-guard', 0.4],
              'stands-up': ['top-guard', 0.25, 'entangle-defend'],
              'counter-foot': ['entangle-defend', 0.5, 'submitted'],
              'fight-grips': ['top-guard', 0.35],
            },
          ),
          move(
            'mutual-to-outside',
            'Clear the knee, take both legs outside',
            'connect',
            {
              steps: [
                step('Own knee inside, hand peels their lock.', {
                  signs: { 'own.kneeLineR': 'clear' },
                  take: ['handR grip ankle.L'],
                  seconds: 2,
                }),
                step('Legs over to the outside, knees closed again.', {
                  release: ['legL', 'legR', 'handR'],
                  take: ['legL clamp thigh.R', 'legR clamp knee.R'],
                  after: [1],
                  seconds: 2,
                }),
              ],
              cues: ['Inside knee is safety, outside legs are attack.'],
            },
            {
              none: ['entangle-outside', 0.35],
              'stands-up': ['slx', 0.4, 'entangle-defend'],
              'counter-foot': ['entangle-outside', 0.3, 'entangle-defend'],
              'fight-grips': ['entangle-outside', 0.35],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),

  position(
    'entangle-defend',
    'Our foot is caught',
    {
      aliases: ['leg lock defence'],
      systems: ['leg-entanglement'],
      level: 'intermediate',
      holds: ['handR grip wrist.R'],
      topHolds: ['armR wrap own:ankle.R', 'legL clamp own:knee.R'],
      signs: {
        'own.torso': 'seated',
        'own.kneeLineR': 'caught',
        'own.heelR': 'exposed',
        'top.stance': 'seated',
        'top.handR': 'gripping',
      },
      drift: 'submitted',
      cues: ['Tap early: a knee gives no warning.', 'Turn with the lock, never back into it.'],
      faults: { 'Spins away from the grip': 'Go with the turn, or tap.' },
    },
    [
      look(
        'safe-first',
        'Hide the heel first',
        ['hip-forward', 'fight-grips'],
        [
          move(
            'defend-boot',
            'Flex the foot, hide the heel, clear the knee',
            'retention',
            {
              aliases: ['boot and slip'],
              steps: [
                step('Toes up and foot driven through past the armpit: the heel is gone.', {
                  signs: { 'own.heelR': 'hidden' },
                  seconds: 1,
                }),
                step('Push the top knee down and slide the own knee line inside.', {
                  take: ['handL frame knee.L'],
                  signs: { 'own.kneeLineR': 'clear' },
                  after: [1],
                  seconds: 2,
                }),
                step('Foot out, seat back, hand on the mat, far sleeve or wrist.', {
                  release: ['handL', 'handR'],
                  take: ['handL post mat', 'handR grip sleeve.L.cuff | wrist.L'],
                  after: [2],
                  seconds: 2,
                }),
              ],
              mechanics: ['hip escape'],
              cues: ['Heel, knee, foot: in this order.'],
            },
            {
              none: ['seated-standing', 0.45, 'submitted'],
              'hip-forward': ['entangle-mutual', 0.35, 'submitted'],
              'fight-grips': ['seated-standing', 0.5, 'entangle-defend'],
            },
          ),
          move(
            'defend-turn-with',
            'Roll with the turn and come up',
            'retention',
            {
              steps: [
                step('Go over the own shoulder in the direction of the lock, wrist held.', {
                  signs: { 'own.heelR': 'hidden' },
                  seconds: 2,
                }),
                step('Land on the knees, hips over their legs.', {
                  after: [1],
                  signs: { 'own.kneeLineR': 'clear', 'own.torso': 'kneeling' },
                  seconds: 2,
                }),
              ],
              requires: [{ mechanic: 'forward and backward shoulder roll' }],
              hazards: ['heel-hook'],
              cues: ['Same way as the lock; if in doubt, tap.'],
            },
            {
              none: ['top-guard', 0.25, 'submitted'],
              'hip-forward': ['top-guard', 0.2, 'submitted'],
              'fight-grips': ['top-guard', 0.3, 'entangle-defend'],
            },
          ),
        ],
        'seen',
      ),
    ],
  ),

  position(
    'x-both',
    'X-guard, both hands on the near leg',
    {
      aliases: ['X without the sleeve', 'no-gi X'],
      systems: ['single-leg-x'],
      level: 'intermediate',
      holds: ['armL+armR wrap ankle.R', 'footR hook knee-crook.L', 'footL hook thigh.L'],
      signs: {
        'own.torso': 'on-back',
        'own.hips': 'raised',
        'top.stance': 'standing',
        'top.posture': 'leaning',
        'top.legR': 'trapped',
      },
      drift: 'slx',
      cues: ['Their foot beside your ear, their hips above your face.'],
      faults: { 'Far hook too low': 'Behind the knee, toes turned out: low hooks slide to the ankle.' },
    },
    [
      look(
        'walk-them',
        'Lift and stretch',
        ['clear-line', 'post-far', 'knee-cut'],
        [
          move(
            'xb-stand',
            'Stretch and stand up behind',
            'sweep',
            {
              needs: ['top.stance=standing'],
              steps: [
                step('Both feet push the far leg away until the weight is on you.', { seconds: 2 }),
                step('Shoulder under the near leg, stand up, arms still locked.', {
                  release: ['footL', 'footR'],
                  after: [1],
                  seconds: 3,
                }),
              ],
              direction: 190,
              mechanics: ['technical stand-up'],
              fits: [fit('limbs', 'own', 'long', 1, 'The stretch takes the base from further away.')],
              cues: ['Stretch first; standing is only the end of it.'],
            },
            {
              none: ['top-side', 0.45],
              'clear-line': ['slx', 0.45, 'seated-standing'],
              'post-far': ['top-side', 0.5],
              'knee-cut': ['slx', 0.4, 'hook-cut'],
            },
          ),
          move(
            'xb-to-slx',
            'Drop the far hooks, back to single-leg X',
            'connect',
            {
              steps: [
                step('Outside foot to the near hip, inside hook to the near knee.', {
                  release: ['footL', 'footR', 'armR'],
                  take: ['footL place hip.R', 'footR hook knee-crook.R'],
                  seconds: 2,
                }),
              ],
              cues: ['One foot moves, one foot holds.'],
            },
            {
              none: ['slx', 0.65],
              'clear-line': ['slx', 0.45, 'seated-standing'],
              'post-far': ['slx', 0.6],
              'knee-cut': ['slx', 0.5, 'hook-cut'],
            },
          ),
          move(
            'xb-backtake',
            'Push through to the back',
            'back-take',
            {
              steps: [
                step('Straighten both legs: they turn away over the far leg.', {
                  signs: { 'top.facing': 'turned-left' },
                  seconds: 2,
                }),
                step('Come up behind: waist, then harness.', {
                  release: ['footL', 'footR', 'armL', 'armR'],
                  take: ['armL+armR harness chest.C'],
                  after: [1],
                  seconds: 3,
                }),
              ],
              cues: ['They turn to save the base: follow the hip.'],
            },
            {
              none: ['back', 0.25],
              'clear-line': ['seated-standing', 0.5],
              'post-far': ['back', 0.35],
              'knee-cut': ['hook-cut', 0.5],
            },
          ),
        ],
      ),
    ],
  ),
];
