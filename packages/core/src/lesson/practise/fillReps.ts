export interface RepSum {
  reps: number;
  /** Minutes the reps of one block take in all: every turn, every side. */
  minutes: number;
  secondsPerRep: number;
}

/**
 * Give any two of reps, minutes and seconds per rep and the third follows, for `shifts` = turns × sides:
 * minutes × 60 = shifts × reps × secondsPerRep. Reps are whole and never run over the minutes.
 * @throws RangeError unless exactly two are given, each above zero, and at least one rep fits.
 */
export function fillReps(given: Partial<RepSum>, shifts: number): RepSum {
  const { reps, minutes, secondsPerRep } = given;
  const known = [reps, minutes, secondsPerRep].filter((value) => value !== undefined);
  if (known.length !== 2) throw new RangeError('give two of reps, minutes and seconds per rep');
  if (!(shifts >= 1) || known.some((value) => !(value > 0)))
    throw new RangeError('reps, minutes and seconds must be above zero');
  if (minutes === undefined)
    return { reps: reps!, secondsPerRep: secondsPerRep!, minutes: (shifts * reps! * secondsPerRep!) / 60 };
  if (secondsPerRep === undefined)
    return { reps: reps!, minutes, secondsPerRep: (minutes * 60) / (shifts * reps!) };
  const fitting = Math.floor((minutes * 60) / (shifts * secondsPerRep) + 1e-9);
  if (fitting < 1) {
    throw new RangeError(
      `one rep each takes ${Math.ceil((shifts * secondsPerRep) / 60)} minutes, and there are ${minutes}`,
    );
  }
  return { reps: fitting, minutes, secondsPerRep };
}
