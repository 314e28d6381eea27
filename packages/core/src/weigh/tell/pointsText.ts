/** Points as they are shown: with a true minus sign, and no minus before a nought. */
export function pointsText(points: number, digits = 2): string {
  const text = Math.abs(points).toFixed(digits);
  return points < 0 && Number(text) > 0 ? `−${text}` : text;
}

/** The same with a plus before what is more than nought. */
export function signedPoints(points: number, digits = 2): string {
  const text = pointsText(points, digits);
  return points > 0 && Number(text) > 0 ? `+${text}` : text;
}

/** A figure below a hundredth with a digit more, so that it does not read as nothing. */
export const smallPointsText = (points: number): string =>
  pointsText(points, Math.abs(points) < 0.01 ? 3 : 2);
