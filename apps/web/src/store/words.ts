type Shown = string | number;

/** The sentences of these parts, to be read and corrected in one sitting. */
export const say = {
  // api
  serverDoesNotAnswer: 'The server does not answer.',
  serverCouldNotDo: 'The server could not do that. Try again later.',
  // engine
  documentNotOpen: 'The document is not open.',
  couldNotUndone: (what: Shown, message: Shown) => `“${what}” could not be undone: ${message}.`,
  couldNotRedone: (what: Shown, message: Shown) => `“${what}” could not be redone: ${message}.`,
  somebodyElseChangedSame: 'Somebody else changed the same thing.',
  serverRefusedSavedDevice: (what: Shown) =>
    `The server refused “${what}”. It is saved on this device, under Aside.`,
  // openMap
  noMapOpen: 'No map is open.',
  // useFigures
  countedResultsLoadingUntil: 'The counted results are loading. Until then you see your guesses.',
  countedResultsDoNot: 'The counted results do not load. You see your guesses.',
  // records
  programCannotReadServers:
    'The program cannot read the server’s answer. Your records are saved on this tablet.',
  // useMakeClass
  countedResultsNotLoaded:
    'The counted results are not loaded. Try again when the server answers, or choose “the map’s figures”.',
};
