type Shown = string | number;

/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // AddBlock
  whatCanAdd: 'What you can add',
  moveAnswerMovementPosition: 'Move, answer, movement, or a position for a game',
  // Barred
  removeWriteWhyAllow: 'Remove it, or write why you allow it.',
  // BlockPane
  oneGroupThreeTwo: 'One group of three: two work, the third counts faults. They change every turn.',
  againstClasssRulesReason: 'Against this class’s rules. Reason for doing it anyway:',
  howDone: 'How it is done',
  whatKeepsBothSafe: 'What keeps both safe',
  howBeginsAgain: 'How it begins again',
  // ClassPaper
  handoutPocket: 'Handout for the pocket',
  reviewHasNoHandout: 'A review has no handout: it teaches nothing new.',
  thereNoTimeToday: 'There was no time for it today.',
  // ClassSheet
  classChosenCountedResults: 'This class was chosen with counted results. Wait until they are loaded.',
  noLongerMap: 'No longer in the map:',
  mapHasChangedSince: 'The map has changed since then:',
  // LeftOver
  classHasMuchTime: (takes: Shown) => `${takes}, and the class has that much time free now.`,
  lackMakeClassMinutes: (takes: Shown, clock: Shown, minutes: Shown, out: Shown) =>
    `${takes}; you lack ${clock}. Make the class ${minutes} minutes${out}.`,
  // LessonForm
  repsFirstEachLink: 'Reps first: each link by itself, then in a row, rounds last',
  mixedRepsThenChoices: 'Mixed: reps, then choices, then a task',
  taskFirstFewWords: 'Task first: few words, reps for what broke in it, the task again',
  whatWouldHelpMost: 'What would help most',
  mapHasNoMoves: 'The map has no moves yet. Write some in the Map, then plan a class from them.',
  alreadyKnowMoves: (first: Shown, back: Shown, count: Shown) =>
    `${first}, ${back}. They already know ${count} moves.`,
  // LessonTree
  chooseAgainItself: 'Let the program choose again',
  classLiftsRound: (before: Shown, after: Shown) =>
    `This class lifts a round from ${before} to ${after} points.`,
  chainGoesAlong: 'The chain it goes along',
  notClass: 'Not in this class',
  // LessonsPlace
  leftOutAnswersNot: (count: Shown, name: Shown, apparel: Shown) =>
    `Left out ${count} answers of ${name}: they are not played ${apparel}.`,
  whatKindClass: 'What kind of class',
  classRemoved: 'This class was removed.',
  serverDoesNotAnswer: 'The server does not answer, and this device has no copy of the class yet.',
  // ReviewForm
  whatDoWantGo: 'What do you want to go through again?',
  chooseSystemAnswersBelow: 'Choose a system, or answers below.',
  mapHasNoAnswers: 'The map has no answers yet. Write some in the Map, then plan a class from them.',
};
