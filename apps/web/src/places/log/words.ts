type Shown = string | number;

/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // EvidencePart
  nobodyTriedAnythingAgainst:
    'Nobody tried anything against resistance in this period. Reps with a helping partner do not count.',
  theseOneAthletesTries: 'These are one athlete’s tries. The map uses those of the whole group.',
  canUndoGuessCounts: 'You can undo it. Your guess counts as six tries.',
  useCountedResults: (lineOf: Shown) => `Use the counted results for ${lineOf}`,
  // FaultForm
  faultSaw: 'A fault you saw',
  faultsMap: 'Faults of the map',
  // FaultsPart
  noFaultsPeriodOne: 'No faults in this period. One tap on the Mat counts one.',
  // ImportTrials
  allLinesReadTries: 'All lines read. Tries you sent before are not counted twice.',
  // KeptPart
  nothingTaughtPeriod: 'Nothing was taught in this period.',
  mostFadedFirst: (who: Shown) =>
    `What ${who} forgets first. A drilled move counts as held, unless you mark it lost, patchy or sharp.`,
  // LogPlace
  partLog: 'Part of the log',
  noRecordsPeriod: 'No records in this period.',
  // NextPart
  notReachedWholeGroup: 'Not reached, the whole group',
  lastClassReachedEverything: 'The last class reached everything.',
  fixFirstWholeGroup: 'Fix first, the whole group',
  noFaultsCountedLately: 'No faults counted lately.',
  nobodyTriedAnythingAgainst2: 'Nobody tried anything against resistance yet.',
  // RecallPart
  tenPicturesThreeMinutes:
    'Ten pictures in three minutes, on any screen. A nickname is enough. It shows what they know, never how well they do it.',
  // RollForm
  rollLineLine: 'A roll, line by line',
  triesRoll: 'Tries in this roll',
  // SessionSheet
  recordUndone: 'This record was undone.',
  serverDoesNotHave: 'The server does not have it yet.',
  recordClass: 'Record of the class',
  noteClass: 'A note on the class',
  // SessionsPart
  twoTabletsRanClass: 'Two tablets ran this class. Both records are kept.',
  pickClassFinishRecord: 'Pick a class to finish its record.',
  // TryForm
  answersMap: 'Answers of the map',
};
