const CENTRE = [
  [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
    2.506628277459239,
  ],
  [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572],
] as const;
const TAIL = [
  [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ],
  [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416],
] as const;

const polynomial = (coefficients: readonly number[], x: number): number =>
  coefficients.reduce((sum, coefficient) => sum * x + coefficient, 0);

/**
 * The value below which a share of the standard normal distribution lies, to nine digits.
 * Source: P. J. Acklam's rational approximation (coefficients from memory; checked against tables in the test).
 */
export function normalQuantile(share: number): number {
  if (share > 0.5) return -normalQuantile(1 - share);
  if (share < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(share));
    return polynomial(TAIL[0], q) / (polynomial(TAIL[1], q) * q + 1);
  }
  const q = share - 0.5;
  const r = q * q;
  return (polynomial(CENTRE[0], r) * q) / (polynomial(CENTRE[1], r) * r + 1);
}
