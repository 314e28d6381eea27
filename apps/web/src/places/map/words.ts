type Shown = string | number;

/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // ChartLegend
  thickOften: 'thick: comes up often',
  thickMany: 'thick: many answers',
  dashedFails: 'dashed: when it fails',
  dottedWait: 'dotted: if you wait',
  ringHole: 'ring: a hole',
  figurePoints: 'figure on a card: points a round from there; a sweep is 2',
  // FilterChoice
  systemsChart: 'Systems in the chart',
  failedMovesChart: 'Failed moves in the chart',
  // MapMenu
  removedMapCanGive: (name: Shown) => `Removed the map “${name}”. You can give it back for 30 days.`,
  importMapFile: 'Import a map file…',
  addBook: 'Add from the book…',
  readGuardBook: 'Read a guard book…',
  removedMapsClasses: 'Removed maps and classes…',
  // MapPlace
  newReactionWhatDoes: 'New reaction: what does top do?',
  viewMap: 'View of the map',
  mapLinesText: 'The map as lines of text',
  historyWhoChangedWhat: 'History: who changed what',
  // Teaching
  somebodyRemovedAddressBelongs:
    'Somebody removed it, or the address belongs to another map. Choose a system above.',
  noPositionSystemYet: 'No position in this system yet',
  nothingFitsFilters: 'Nothing fits the filters',
  startWhereRoundsStart:
    'Start where your rounds start. Name the position, say what bottom holds, then what top does about it.',
  writeLinesWouldSay: 'Or write it in lines, as you would say it:',
  // BoardCellView
  holeCostsPointsRound: (pointsText: Shown) => `This hole costs ${pointsText} points a round`,
  // BoardFoot
  howBoardLaidOut: 'How the board is laid out',
  tablePosition: 'One table a position',
  // BoardLine
  noMovesYetPress: 'No moves yet. Press + to write the first.',
  // CellEditor
  whereMayLead: 'Where it may lead',
  // ReactionDialog
  whatTopDoes: (name: Shown) => `What top does in “${name}”`,
  addMoveFirstThen: 'Add a move first. Then say what top does about it.',
  // RowHead
  startsSameWay: (name: Shown) => `Starts the same way: ${name}`,
  // answerText
  therePositionAlreadyLeave: (name: Shown) =>
    `There is a position “${name}” already: leave the word new out.`,
  nothingCalledNewPosition: (text: Shown, quoteName: Shown, asChance: Shown) =>
    `Nothing is called “${text}”. For a new position write new ${quoteName}.${asChance}`,
  // AddFromBook
  addBook2: 'Add from the book',
  addedBook: 'Added from the book',
  // BookChanges
  whatBookChanges: 'What the book changes',
  // BookDialog
  bookHasMistakesNothing: 'The book has mistakes. Nothing was changed.',
  readGuardBook2: 'Read a guard book',
  findingsBook: 'Findings in the book',
  // CurrentsChart
  chartGuardSystems: 'Chart of the guard systems',
  // FindingsPane
  checkDidNotFinish: 'The check did not finish. It runs again after your next change.',
  // HistoryPane
  mapAlreadyThen: 'The map is already as it was then.',
  mapBackRevision: (revision: Shown) => `The map is back at revision ${revision}.`,
  nameHistory: 'Your name in the history',
  most60Characters: 'At most 60 characters.',
  changesStillBeingSaved: 'Your changes are still being saved.',
  // LinesPane
  linesSystem: 'Lines of the system',
  // BodiesPart
  oneLimbTwoHolds: 'One limb, two holds:',
  // BodyFitPart
  howFitsOtherBodies: 'How it fits other bodies',
  computedLimbLengthsWeight:
    'Computed from limb lengths and weight. What you write about builds below still counts.',
  // CommonFields
  calledAcrossMat: 'Called across the mat',
  otherNamesCommas: 'Other names, with commas',
  // EndingSheet
  movesEndSo: 'Moves that end so',
  everyMoveEndsSo: 'For every move that ends so.',
  anotherMoveEndsSo: 'Another move that ends so',
  // ExchangeSheet
  giveChance0100: 'Give a chance from 0 to 100 %.',
  // LookPart
  whenChooseMove: 'When you choose the move',
  whatTopSeesDo: 'What top sees you do',
  whatTopDoesAbout: (name: Shown) => `What top does about: ${name}`,
  addWhatTopDoes: 'Add what top does',
  ourWordsHere: 'Our words for this position:',
  howPartnerGivesHere: (reactionName: Shown) => `How a partner gives ${reactionName} here`,
  noteLook: 'Note on what top sees',
  // MechanicSheet
  howMuchTime: 'How much at a time',
  howDone: 'How it is done',
  saidClass: 'As it is said in class',
  whatPartnerDoes: 'What the partner does',
  cuesOneLine: 'Cues, one a line',
  // MechanicsField
  whatBodyDoes: 'What the body does',
  mechanicsMap: 'Mechanics of the map',
  // MoveSheet
  finishSlowlyReleaseTap: 'Finish slowly; release at the tap of hand, foot or voice.',
  whatShowsSkill: 'What shows that it is skill',
  whenWhoeverCaughtTaps: 'When whoever is caught taps',
  waysOut: 'Ways out of it',
  whichWayDoFall: 'Which way do they fall?',
  // NeedsEditor
  anotherSignNeeds: 'Another sign it needs',
  // PictureHintsPart
  pictureNotRight: 'The picture is not right?',
  draggingArrowKeysTurn: 'Dragging and arrow keys turn',
  // PositionSheet
  whatMostRoomsCall: 'What most rooms call it',
  roundsStartHereWeight: 'Rounds start here (weight)',
  nearSideTops: 'Near side is top’s',
  pointsWaitingHere: 'Points for waiting here',
  topBackThreeSeconds: 'On top or on the back, three seconds.',
  passFlattenThemThree: 'Pass, or flatten them, three seconds.',
  gameHereBottomWins: 'A game from here: bottom wins',
  bottomWinsTimeToo: 'Bottom wins by time, too',
  nameSystem: (name: Shown) => `Name of the system “${name}”`,
  // ReactionNeeds
  limbsTopMustFree: 'Limbs of top that must be free',
  holdsStop: 'Holds that stop it',
  // ReactionSheet
  howBottomFeelsComing: 'How bottom feels it coming',
  howPartnerGivesDrill: 'How a partner gives it in a drill',
  holdsTopTakes: 'Holds that top takes',
  holdsTopLetsGo: 'Holds that top lets go of',
  nowhereYetAddPosition: 'Nowhere yet. Add it to a position on the Board.',
  // Sheet
  removedWhatDepends: (name: Shown) => `Removed ${name} and what depends on it.`,
  duplicatePositionMoves: 'Duplicate this position, with its moves',
  duplicatePositionMirrored: 'Duplicate this position mirrored',
  duplicatePositionMirroredMoves: 'Duplicate this position mirrored, with its moves',
  addClass: 'Add it to a class',
  noLongerMapUndo: 'It is no longer in the map. Undo brings it back.',
  // StepsEditor
  holdsOrderStep: (number: Shown) => `Holds and order of step ${number}`,
  stepSaidClass: (number: Shown) => `Step ${number} as it is said in class`,
  stepLetsGo: (number: Shown) => `Step ${number} lets go with`,
  // VariantsEditor
  nameVariation: 'Name of the variation',
  teachInsteadMoveNever: 'You teach this instead of the move, never both',
};
