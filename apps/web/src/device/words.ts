/** The sentences of these parts, to be read and corrected in one sitting. */
export const say = {
  // documents
  anotherVersionProgramWrote: 'Another version of the program wrote it, and this one cannot read it.',
};
