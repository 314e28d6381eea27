type Shown = string | number;

/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // Counting
  countWhatSee: 'Count what you see',
  howMuchTopResists: 'How much top resists',
  wordNote: 'A word of note',
  // MatControls
  goBlock: 'Go to a block',
  brightHall: 'For a bright hall',
  dimHall: 'For a dim hall',
  // MatEnd
  nothingClassDoneSo: 'Nothing of this class was done, so nothing counts as taught.',
  notReachedNextTime: 'Not reached, for next time:',
  // WhoIsHere
  nobodyTickedYetClass: (people: Shown) => `Nobody is ticked yet. The class is planned for ${people}.`,
  // MatPlace
  classRemoved: 'This class was removed.',
  serverDoesNotAnswer: 'The server does not answer, and this tablet has no copy of the class yet.',
  noClassesYetPlan: 'No classes yet. Plan one in Lessons; it then waits here.',
  tabletFullKeepPage: 'This tablet is full. Keep this page open until the class is over.',
  savedTablet: (waiting: Shown, trouble: Shown) => `${waiting} saved on this tablet. ${trouble}`,
  savedTabletWaitingServer: (waiting: Shown) => `${waiting} saved on this tablet, waiting for the server`,
  somebodyChangedClass: 'Somebody changed this class.',
  partnerBottom: 'Partner A on the bottom',
  partnerBBottom: 'Partner B on the bottom',
  partnerCBottom: 'Partner C on the bottom',
  swapPartnerBMoves: 'Swap: partner B moves',
  finishSlowlyReleaseTap: 'Finish slowly. Release at the tap: hand, foot or voice.',
};
