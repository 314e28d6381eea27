type Shown = string | number;

/** The sentences of these parts, to be read and corrected in one sitting. */
export const say = {
  // AsideDialog
  serverDoesNotHave: 'The server does not have these. They stay on this device until you remove them.',
  nothingPutAside: 'Nothing is put aside.',
  serverStillRefuses: 'The server still refuses it:',
  // CannotAsk
  programCouldNotAsk: 'The program could not ask about it.',
  // ConflictDialog
  changedSameTookTheirs: (who: Shown) => `${who} changed the same, and you took theirs for now.`,
  everythingElseYoursSaved: 'Everything else of yours is saved.',
  removedWhatNeeds: (who: Shown, reason: Shown) => `${who} removed what it needs: ${reason}.`,
  // Finder
  positionMoveReactionAny: 'Position, move or reaction, by any of its names',
  nothingHasName: 'Nothing has that name.',
  // FirstMap
  stillRunningWindow: 'Is it still running in its window?',
  mapHoldsGuardsTeach:
    'A map holds the guards you teach: positions, moves, what top does, and your answers. Most coaches keep one map.',
  // KeysHelp
  fitWholeChart: 'Fit the whole chart',
  closeWhatOpenedLast: 'Close what was opened last',
  boardCellCell: 'Board: from cell to cell',
  boardFillCellEnter: 'Board: fill the cell; Enter goes down, Tab on',
  boardNewMoveHere: 'Board: new move here',
  boardNewMoveStarts: 'Board: new move that starts the same',
  boardSomethingElseTop: 'Board: something else top does',
  boardOpenWhatCell: 'Board: open what the cell is about',
  boardRemoveAnswer: 'Board: remove the answer',
  centreMassLeanTop: 'On the centre of mass: lean top',
  flipLeftRight: 'Flip left and right',
  giNoGi: 'Gi or no-gi',
  sameMomentTop: 'The same moment as top',
  topsSheetBottomsPlan: 'Top’s sheet, or bottom’s plan',
  timeLineBlockEarlier: 'Time line: the block earlier',
  timeLineBlockLater: 'Time line: the block later',
  timeLineBlockLonger: 'Time line: the block longer',
  timeLineBlockShorter: 'Time line: the block shorter',
  timeLineBlockOnce: 'Time line: the block once more',
  timeLineBlockTwo: 'Time line: the block in two',
  timeLineRemoveBlock: 'Time line: remove the block',
  termClassDayWeek: 'Term: the class a day or a week earlier or later',
  // NotFetched
  serverDoesNotAnswer: 'The server does not answer, or it has a newer version. Your changes are saved.',
  // NotHere
  pageDidNotOpen: 'This page did not open',
  thereNothingAddress: 'There is nothing at this address',
  somethingWentWrongChanges: 'Something in it went wrong. Your changes are saved.',
  // PlaceTrouble
  ourBugNotMistake:
    'This is our bug, not your mistake. Your changes are saved, and so is what you were typing in Lines.',
  // Shell
  mapCannotOpened: 'This map cannot be opened',
  serverDoesNotAnswer2: 'The server does not answer',
  deviceHasNoCopy: 'This device has no copy of the map yet. It opens when the server is back.',
  changesKeptDevice: 'Your changes to it are kept on this device.',
};
