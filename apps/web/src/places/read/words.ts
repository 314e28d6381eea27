type Shown = string | number;

/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // PositionWall
  mapEmptyAddPositions: 'This map is empty. Add positions on the Map first.',
  noPositionHasName: 'No position has that name.',
  // ReactionPicker
  findWhatTopDid: 'Find what top did',
  findOneName: (count: Shown) => `Find one of ${count} by its name`,
  nothingCalled: 'Nothing is called that.',
  // ReadPlace
  newPositionMoment: 'New position from a moment',
  positionMoment: 'Position from a moment',
  howSayWhere: 'How to say where you are',
  sameMomentTopSees: 'The same moment as top sees it (T)',
  whatDidTopDo: 'What did top do?',
  firstSayWhere: 'First say where you are.',
  whatHurtsBottomMost: 'What hurts bottom most',
  answersAppearHereBest: 'Your answers appear here, the best one you can do now on top.',
  // TopAnswers
  howOftenBestAnswer: 'How often your best answer fails',
  haveWrittenNoAnswer2: 'You have written no answer.',
  nothingListedTopHere: 'Nothing is listed for top here.',
  // Trail
  savedMap: 'Saved in the map',
  addThemClass: 'Add them to a class',
  // WhereWeAre
  othersSystem: 'Others of the system',
  // Answers
  noAnswerWritten: 'No answer written to this',
  guessNobodyHasCounted: 'Your guess. Nobody has counted it yet.',
  countedMat: 'Counted on the mat',
  guessWhatCounted: 'Your guess and what was counted',
  oneLimbTwoThings: 'One limb, two things:',
  haveNoMovesHere: 'You have no moves here yet. Add one in the Map.',
  whatDoesTopDo: 'What does top do there?',
  haveWrittenNoAnswer: 'You have written no answer here',
  losesGripShouldKeep: 'Loses a grip you should keep:',
  whyHere: 'Why it is here:',
};
