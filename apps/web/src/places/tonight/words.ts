/** The sentences of this place, to be read and corrected in one sitting. */
export const say = {
  // TonightPlace
  emptyMap: 'This map is empty. Start with the position your rounds start from.',
  // NextClass
  noClass: 'You have no class planned. Take one of these, or plan another.',
  nothingToTeach: 'The map has no moves yet. Write some on the Map, then plan a class from them.',
  people: (count: number, usual: number | undefined) =>
    usual === undefined
      ? `Planned for ${count}.`
      : `Planned for ${count}; ${usual} usually ${usual === 1 ? 'comes' : 'come'}.`,
  teaches: (names: string) => `You teach ${names}.`,
  // ToFinish
  allDone: 'Nothing is left over.',
  nobodyTicked: (name: string) => `Say who was at “${name}”`,
  noTries: (name: string) => `Write down what you saw at “${name}”`,
  seen: (fault: string, name: string, times: number) =>
    `“${fault}” in ${name}: ${times} ${times === 1 ? 'time' : 'times'} in four weeks`,
  notReached: (move: string, position: string) => `Not reached last time: ${move}, ${position}`,
  // ThisMonth
  weighing: 'Playing the rounds …',
  nothingHurts: 'Nothing top does hurts more than the rest. Plan what you like.',
  hurts: (hurt: string) => `This hurts your people most: ${hurt}.`,
  costs: (points: string) => `It costs ${points} points a round. A sweep is 2 points.`,
  hole: (hole: string) => `You have no answer yet: ${hole}.`,
  closing: (points: string) => `An answer there would bring ${points} points a round. A sweep is 2 points.`,
};
