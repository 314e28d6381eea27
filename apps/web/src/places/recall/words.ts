/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // RecallPlace
  thesePicturesNotHere: 'These pictures are not here. Ask your coach for the link again.',
  tenPicturesThreeMinutes: 'Ten pictures, three minutes. Pick a nickname.',
  willSeeWrongOnes: 'You will see the wrong ones again first. Now do it on the mat.',
  answersKeptHereUntil: 'Your answers are kept here until the server is back.',
};
