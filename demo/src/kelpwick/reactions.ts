import { reaction } from '../author.ts';

/** What opponents do, written for the side on which the right arm of top is the one being held. */
export const reactions = [
  reaction('strip-collar', 'Strips the collar grip', 'arms & grips', {
    aliases: ['breaks the collar', 'quebra a gola'],
    breaks: ['grip collar.R'],
    changes: { 'top.posture': 'upright', 'top.elbowR': 'open' },
    feel: 'Both of their hands come to your wrist and the sleeve elbow leaves the ribs.',
    script: 'Two hands on the wrist, shrug up and push it off in one go; leave the sleeve arm where it is.',
  }),
  reaction('pull-sleeve', 'Pulls the sleeve hand free', 'arms & grips', {
    aliases: ['strips the sleeve'],
    breaks: ['* sleeve.R'],
    changes: { 'top.handR': 'free', 'top.elbowR': 'tucked' },
    feel: 'The wrist turns thumb-down and the elbow snaps back to the hip.',
    script: 'Turn the thumb down and pull the elbow to the hip, once and sharply.',
  }),
  reaction('straighten-arm', 'Straightens the trapped arm', 'arms & grips', {
    changes: { 'top.elbowR': 'straight' },
    feel: 'The bend goes out of the elbow and the hand reaches past your hip.',
    script: 'Reach the trapped hand towards the far wall and keep it long.',
    hazards: ['elbow-lock'],
  }),
  reaction('hide-hand', 'Hides the hand in the belt', 'arms & grips', {
    aliases: ['grabs the own belt'],
    changes: { 'top.handR': 'gripping' },
    feel: 'The hand disappears under the belly and nothing moves when you lift.',
    script: 'Hold your own belt, or your shorts without a jacket, and wait.',
  }),
  reaction('posture-up', 'Postures up tall', 'posture & height', {
    aliases: ['stands tall', 'postura'],
    changes: { 'top.stance': 'standing', 'top.posture': 'upright', 'top.head': 'high', 'top.weight': 'back' },
    feel: 'The head goes away from you and the hips come under the shoulders.',
    script: 'Look up, step up to your feet if you are on the knees, and lift through the chest.',
  }),
  reaction('stands-up', 'Stands up', 'posture & height', {
    changes: { 'top.stance': 'standing', 'top.posture': 'leaning' },
    feel: 'A foot comes up beside your hip and the knee leaves the mat.',
    script: 'One foot, then the other; keep your hands where they are.',
  }),
  reaction('drop-knees', 'Drops to the knees', 'posture & height', {
    aliases: ['flattens', 'drops flat'],
    changes: {
      'top.stance': 'all-fours',
      'top.posture': 'broken',
      'top.head': 'low',
      'top.weight': 'centred',
    },
    feel: 'The hips sink and both knees touch down beside you.',
    script: 'Sink both knees and lower the chest; let the shoulder go with it.',
  }),
  reaction('drive-forward', 'Drives forward', 'pressure & direction', {
    aliases: ['stacks', 'smashes in'],
    changes: { 'top.weight': 'forward', 'top.posture': 'leaning', 'top.range': 'chest' },
    feel: 'The weight comes onto your feet and the chest gets near your knees.',
    script: 'Walk the toes in and lean; give weight, not speed.',
  }),
  reaction('sit-back', 'Sits back on the heels', 'pressure & direction', {
    changes: { 'top.weight': 'back', 'top.posture': 'upright', 'top.stance': 'kneeling' },
    feel: 'Your grips go tight and the knees get light.',
    script: 'Sit on the heels and pull your elbows in.',
  }),
  reaction('step-back', 'Steps back out of reach', 'pressure & direction', {
    changes: { 'top.weight': 'back', 'top.posture': 'upright' },
    feel: 'Your arms get long and the feet slide off the hips.',
    script: 'Two short steps back, hips away, hands where they are.',
  }),
  reaction('post-far', 'Posts the far hand', 'posting & base', {
    changes: { 'top.handL': 'posted', 'top.elbowL': 'straight' },
    feel: 'The far hand leaves you and the mat shakes on that side.',
    script: 'Put the free hand wide on the mat, fingers away from you, elbow soft.',
  }),
  reaction('widen-base', 'Widens the base', 'posting & base', {
    changes: { 'top.base': 'wide', 'top.kneeL': 'outward', 'top.kneeR': 'outward' },
    feel: 'The knees slide apart and the hips get lower.',
    script: 'Slide both knees out a hand and sit low.',
  }),
  reaction('step-leg-out', 'Steps the near leg out', 'legs & hips', {
    aliases: ['pulls the leg back'],
    breaks: ['* knee-crook.R'],
    changes: { 'top.legR': 'light' },
    feel: 'The knee you hold straightens and gets light.',
    script: 'Take the near leg straight back and set it a step behind.',
  }),
  reaction('lock-legs', 'Locks our legs together', 'legs & hips', {
    aliases: ['hugs both legs'],
    topTakes: ['armL+handL wrap own:thigh.C'],
    changes: { 'top.handL': 'gripping', 'top.posture': 'leaning' },
    feel: 'An arm goes round both thighs and your knees are squeezed to each other.',
    script: 'Hug both thighs with the free arm and put your ear on the hip.',
  }),
  reaction('sit-out', 'Sits out beside', 'turning & rolling', {
    changes: { 'top.stance': 'seated', 'top.facing': 'turned-right', 'top.weight': 'centred' },
    feel: 'The hips swing through on your blind side and the shoulder gets light.',
    script: 'Bring the near leg through and sit beside your partner, facing the same way.',
  }),
  reaction('roll-forward', 'Rolls forward', 'turning & rolling', {
    aliases: ['somersaults out'],
    changes: { 'top.weight': 'forward', 'top.head': 'low' },
    feel: 'The head tucks and the far foot pushes off.',
    script: 'Only when asked: tuck the chin, roll over the trapped shoulder slowly, and land on the back.',
    hazards: ['shoulder-lock'],
  }),
  reaction('turn-in', 'Turns in to face', 'turning & rolling', {
    changes: { 'top.facing': 'square' },
    feel: 'The far shoulder comes round towards you.',
    script: 'Come to the near elbow and turn your chest to your partner.',
  }),
  reaction('step-over', 'Steps over the head', 'passing attempts', {
    changes: { 'top.legL': 'stepped-over', 'top.facing': 'turned-right' },
    feel: 'A foot passes your face and the light goes.',
    script: 'Step the far foot over the face slowly, toes well clear, and stand.',
  }),
  reaction('knee-belly', 'Puts a knee on the belly', 'passing attempts', {
    topTakes: ['legR press own:waist.C'],
    changes: { 'top.line': 'hip-R', 'top.stance': 'half-kneeling', 'top.weight': 'forward' },
    feel: 'A shin slides over your hip and the breath goes.',
    script: 'Slide the shin across the belly and post the other foot; half your weight, no more.',
  }),
  reaction('knee-cut', 'Cuts the near knee through', 'passing attempts', {
    aliases: ['knee slice'],
    changes: { 'top.line': 'knee-R', 'top.weight': 'forward', 'top.kneeR': 'inward' },
    feel: 'A knee points across your thigh and the shin starts to slide.',
    script: 'Point the near knee across the thigh and slide to the first line; stop there.',
  }),
];
