type Shown = string | number;

/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // Chains
  noChainGetsThere: 'No chain gets there against what top usually does.',
  bottomMakesTheseMoves: 'Bottom makes these moves; top answers as the plan expects.',
  // Dilemmas
  theseStartSameTop:
    'These start the same, and top cannot stop them all. The figure is what mixing them brings over your best single one.',
  noDilemmasYetWherever:
    'No dilemmas yet. Wherever you start, one reaction stops everything. Add a second move that beats that reaction.',
  whatTrainWaitFeel: 'What to train: wait, feel, then choose',
  whatTrainSoStart: 'What to train so that they start the same',
  startSame: (what: Shown) => `They start the same: ${what}.`,
  nothingWrittenMakesThem:
    'Nothing written makes them start the same yet. Start both from the same grips and the same pull.',
  drillWherePartLet: 'Drill to where they part, and let the partner call it:',
  // Holes
  noHolesUnderThese: 'No holes under these rules.',
  holesWhoseAnswerCounts: 'Holes whose answer counts',
  pointsRoundFirstMinute:
    'Points a round for the first minute of drilling. At most three answers of one move.',
  whereMinuteDrillingPays: 'Where a minute of drilling pays',
  guessesMatterMost: 'Guesses that matter most',
  workedOutAnswerHere: 'Worked out with an answer here',
  // HundredRounds
  whatBecomesHundredRounds: 'What becomes of a hundred rounds',
  // Insights
  whatFixFirst: 'What to fix first',
  whatLook: 'What to look at',
  // PositionPlan
  roundHere: 'A round from here:',
  planGoesCirclesHere:
    'The plan goes in circles here; only the clock ends it. Give one of its answers an ending.',
  theseRulesLeaveNo: 'These rules leave you no move here.',
  waitFeelAnsweringWhat: (pointsText: Shown) =>
    `Wait and feel: answering what top does brings ${pointsText} points more than the best single attack.`,
  dilemmaMixingBringsPoints: (pointsText: Shown) =>
    `A dilemma: mixing brings ${pointsText} points more than the best single attack. Train them from the same grips until they look the same.`,
  waitingBestHere: 'Waiting is best here.',
  // Rests
  whatRoundLosesIf: 'What a round loses if you cannot get these grips.',
  whatRoundLosesWithout: 'What a round loses without this move.',
  whatRoundGainsIf: 'What a round gains if top never does this.',
  whatRoundLosesIf2: 'What a round loses if you spare this joint.',
  whatRoundLoses: 'What a round loses',
  // FiveSentences
  carries: (move: Shown, place: Shown, points: Shown) =>
    `“${move}” from “${place}” carries your game. Without it a round loses ${points} points.`,
  hurtsMost: (hurt: Shown, points: Shown) => `What hurts most: ${hurt}. It costs ${points} points a round.`,
  closeHole: (hole: Shown, points: Shown) =>
    `Close this hole first: ${hole}. An answer brings ${points} points a round.`,
  drillFirst: (answer: Shown, points: Shown) =>
    `Drill this first this month: ${answer}. Its first minute brings ${points} points a round.`,
  nothingToDrill: 'No drill stands out: every answer is practised or never comes up.',
  restsOn: (tenths: number) =>
    tenths >= 10
      ? 'So far every figure is your guess. Count tries on the Mat to check them.'
      : tenths === 0
        ? 'Nearly all of these figures were counted on the mat.'
        : `About ${tenths} in 10 of these figures ${tenths === 1 ? 'is' : 'are'} your guess. The rest was counted on the mat.`,
  // RoundStoryPane
  roundShort: 'A round in short',
  noMoveHereEver: 'No move from here ever wins. Give one of them an ending.',
  noSingleMoveWithout: 'No single move. Without any one of them another does as well.',
  nothingTopDoesHurts: 'Nothing top does hurts more than the rest.',
  closeHoleFirst: 'Close this hole first',
  noAnswerHereWould: 'No answer here would change the result.',
  allFiguresPointsRound:
    'All figures are points a round; a sweep is 2. Tap a line to see where its figure comes from.',
  // ScenarioBar
  saveWhatIfUnder: 'Save this what-if under a name',
  removeWhatIf: (name: Shown) => `Remove the what-if “${name}”`,
  removedWhatIf: (name: Shown) => `Removed the what-if “${name}”.`,
  saveWhatIf: 'Save this what-if as',
  // TakeAlong
  holesWhatCost: 'Holes by what they cost',
  saveFile: 'Save as a file',
  // TopSheet
  topsPlanAgainstPerfect:
    'Top’s plan against perfect play. Low is good for top. What bottom shows most comes first.',
  mapDoesNotSay: 'The map does not say what top does yet.',
  // TradeChart
  trustPointsAgainstHabits: (what: Shown, pointsText: Shown, pointsText2: Shown) =>
    `At ${what} % trust: ${pointsText} points against the habits, ${pointsText2} against a perfect top`,
  // Values
  againstOpponentsHabits: (pointsText: Shown) => `${pointsText} against this opponent’s habits. `,
  ifPlayPerfectlyKeep: (pointsText: Shown) => `${pointsText} if only they play perfectly. `,
  // WeighProgress
  stoppedSeeResultBefore: 'Stopped. You see the result from before.',
  // planWords
  habitsWorth: (points: Shown) => `With their habits that is worth ${points}.`,
  topDoesBestWhen: 'Top does best when',
  mapDoesNotSay2: 'The map does not say what top does.',
  showSameStartWhatever: (shown: Shown, mix: Shown, top: Shown, leaves: Shown) =>
    `Show ${shown} from the same start, ${mix}. Whatever stops one gives you the other. ${top} ${leaves}`,
  noAnswerYetSo: (what: Shown, pointsText: Shown) =>
    `${what}: no answer yet, so it counts as failed, ${pointsText}.`,
  worksIfFailsPoints: (
    what: Shown,
    timesInTen: Shown,
    landingWords: Shown,
    fails: Shown,
    pointsText: Shown,
  ) =>
    `${what}. It works ${timesInTen}: ${landingWords}. If it fails: ${fails}. That is ${pointsText} points.`,
  // sharesOf
  giveNumbers0Up: 'Give numbers from 0 up.',
  // storyWords
  withoutRoundLosesMuch: (name: Shown, name2: Shown) =>
    `“${name}” from “${name2}”: without it a round loses this much.`,
  ifKeepEnd: (what: Shown, endingWords: Shown, bad: Shown) =>
    `If you keep to it, ${what} end ${endingWords}${bad}.`,
  // useWhatIf
  theMapAsIt: 'The map as it is',
  // OpponentPane
  savedWhatIfUses: (alias: Shown) => `A saved what-if uses ${alias}. Remove that first.`,
  giveOpponentMadeUp:
    'Give an opponent a made-up name and say what they do. The plan then uses their habits, as far as you are sure of them.',
  howSure: 'How sure you are',
  howOftenSaw: 'From how often you saw it:',
  newOpponentUnderMade: 'New opponent, under a made-up name',
  // WhatIfPane
  submissionWorth: 'A submission is worth',
  roundGoes: 'The round goes on',
  movesLoadLeftOut: 'Moves that load it are left out. A licensed clinician decides who may train.',
  withoutMapSubmissionsCounts: 'Without it, a map of submissions counts every sweep as nothing.',
};
