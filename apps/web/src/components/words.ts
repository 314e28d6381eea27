type Shown = string | number;

/** The sentences of these parts, to be read and corrected in one sitting. */
export const say = {
  // Explained
  whatLinesMean: 'What the lines of the chart mean',
  placeTonight:
    'Tonight shows your next class, what last time left, and what to work on. Start with Run or Change.',
  placeChart: 'Your guards from where rounds start (left) to how they end (right). Tap a card to open it.',
  placeBoard: 'Each row is a move, each column what top does. Write your answer in the cell.',
  placeHandbook: 'Your system as a page to read and print. Tap a name to go to it.',
  placeRead: 'Say where you are and what top did: you get your answers. Tap a picture first.',
  placeWeigh: 'What your map is worth and what to fix first. Read the five sentences, then tap a picture.',
  placeBalance: 'Which way top falls, and what still holds them up. Choose a sweep first.',
  placeLessons: 'Plan a class in one tap, then change what you like. Start with a proposal.',
  placeTerm: 'Plan your classes for weeks ahead. First say when your classes are.',
  placeLog: 'What you counted on the mat, and what the next class should start with.',
  // Explained
  whatTopSeesMoves:
    'What top sees: moves that start the same way share it, so top cannot tell which one comes.',
  holeTopDoesHave: 'A hole: top does this, and you have written no answer.',
  firstFigureEveryHole: 'First figure: every hole counts as a failed move. Second: as if you had an answer.',
  setUpTakesBetter: 'A set-up takes you to a better position. It does not finish or sweep by itself.',
  baitDoWhatTop: 'A bait: you do it for what top does next.',
  gripsMustNotLose: 'The grips you must not lose. Without one of them you are somewhere else.',
  buildsTallShortHeavy: 'Builds: tall or short, heavy or light. An answer says whom it suits.',
  // FiguresChoice
  whatCountedMat: 'Chosen with what was counted on the mat.',
  guessesWhatCounted: 'Chosen with your guesses and what was counted.',
  whereFiguresCome: 'Where the figures come from',
  // FileIssues
  whatWrongFile: 'What is wrong in the file',
  // LevelChoice
  levelHowOftenBoth: 'Level: how often both pick the better answer',
  // MovementPicture
  hereThere: 'From here to there',
  howFarAlongMovement: 'How far along the movement is',
  // NewAthlete
  takenChooseAnotherNickname: (name: Shown) => `${name} is taken. Choose another nickname.`,
  isInTheClub: (name: Shown) => `${name} is in the club.`,
  nicknameSomebodyNew: 'Nickname of somebody new',
  // RemovedDialog
  removedThingsStayHere: 'Removed things stay here for 30 days. Give one back and its history comes with it.',
  // RulesChoice
  eventsCurrentRuleBook: 'The event’s current rule book decides.',
  // SaveState
  serverDoesNotAnswer: 'The server does not answer.',
  browserCannotStoreAnything:
    'This browser cannot store anything (a private window?). Keep this page open until it says “Saved”.',
  notStoredDeviceKeep: (count: Shown) => `${count} not stored on this device. Keep this page open.`,
  // TurnablePicture
  dragTurnUseArrow: 'Drag to turn, or use the arrow keys',
  showBestView: 'Show the best view',
  someHoldsHiddenHere: 'Some holds are hidden from here',
  programDrawsSketchHolds: 'The program draws this sketch from the holds.',
  // UndoButtons
  redoCtrlShiftZ: (what: Shown) => `Redo: ${what} (Ctrl Shift Z)`,
  // Worth
  pointsRoundHereSweep: (levelWords: Shown) =>
    `Points a round from here with ${levelWords}. A sweep is 2 points.`,
  // BodyPlan
  bothBodiesTopFacing: 'Both bodies, top facing us, bottom below',
  // ContactDot
  twoThingsOnce: (name: Shown) => `${name}, two things at once`,
  // HoldDetails
  howDeepMarks: 'How deep, and marks',
  // HoldsPlan
  apparelPlan: 'Apparel on the plan',
  tapHandFootThen: 'Tap a hand or foot, then what it holds. Tap a body part to say what you see.',
  // LookedAt
  lookingMirrorImageEdit: 'You are looking at the mirror image. Edit it on its own side, with the gi.',
  // SignChoices
  nothingMarkThere: 'Nothing to mark there.',
  // BookSystems
  guardSystemsBook: 'Guard systems of the book',
  // FallbacksField
  ifCannotGet: 'If you cannot get it',
  sideWhatTakenInstead: 'Side of what is taken instead',
  whatTakenInstead: 'What is taken instead',
  // FaultsField
  whatFaultLetsTop: (number: Shown) => `What fault ${number} lets top do`,
  addWhatFaultLets: (number: Shown) => `Add what fault ${number} lets top do`,
  // LoadsField
  tapOnceSomeLoad: 'Tap once for some load, twice for hard, again for none',
  // SavedField
  typedBeforeNotSaved: 'You typed this before and it is not saved yet.',
  // readMapFile
  fileNotMapHas: 'This file is not a map, or it has mistakes.',
  // HoldScoreView
  showWithoutJacket: 'Show with or without the jacket',
  leftRightThoseSide: 'Left and right are those of the side as written.',
  // Proposals
  whatLogAsks: 'What the Log asks for',
  whereLeftOff: 'Where you left off',
  whatMapAsks: 'What the map asks for',
  nextTerm: 'Next in the term',
};
