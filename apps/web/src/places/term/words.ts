type Shown = string | number;

/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // TermCalendar
  dragClassAnotherDay: 'Drag a class to another day, or move it with the arrow keys.',
  // TermForm
  dayWeek: 'Day of the week',
  minutesClass: 'Minutes of the class',
  addPlaceStart: 'Add a place to start from …',
  waitChooseMapsFigures: (missing: Shown) =>
    `${missing} Wait for it, or choose the map’s figures in “New class”.`,
  firstSayWhenClasses: 'First say when your classes are.',
  mapHasNoMoves: 'The map has no moves yet. Write some in the Map, then plan a term from them.',
  allTheseDaysHave: 'All these days have a class. Start later or plan more weeks.',
  // TermPlace
  serverDoesNotAnswer: 'The server does not answer. The calendar file needs it. Try again later.',
  // keepTerm
  classesCalendar: (count: Shown, rest: Shown) => `${count} classes are in the calendar.${rest}`,
  // usePlanning
  stoppedNothingChanged: 'Stopped: nothing was changed.',
};
