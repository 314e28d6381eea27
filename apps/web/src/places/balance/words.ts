/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // BalanceAnswer
  topHasNothingLeft: 'Top has nothing left to post with on this side.',
  topAlreadyFallingWay: 'Top is already falling that way.',
  pushHigherLowTop: 'Push higher: this low, top slides before tipping.',
  // BalancePlace
  noSweepSetHand: 'No sweep: set by hand',
  matAbove: 'The mat from above',
  topAboveMat: 'Top from above on the mat',
  directionPushDegrees: 'Direction of the push, in degrees',
  stanceCompare: 'The stance to compare with',
  // SideView
  topSidePushGoing: 'Top from the side, the push going right',
  // StandControls
  balanceRestSpeedTiming: 'Balance at rest. Speed, timing and friction are left out.',
  // SweepPicture
  bothBodiesPushGoing: 'Both bodies, the push going right',
  // MatView
  centreMassDragLean: 'Centre of mass: drag it, or lean top with the arrow keys',
};
