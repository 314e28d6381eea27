/** ln Γ(x) for x > 0, by Lanczos' series with g = 7 and nine terms, about fifteen digits. */
function logGamma(x: number): number {
  const series = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const t = x + 6.5;
  const sum = series.reduce((all, term, i) => (i === 0 ? term : all + term / (x - 1 + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum);
}

const TINY = 1e-300;

/** The continued fraction of the incomplete beta function, by Lentz' method as Thompson and Barnett changed it. */
function fraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / notNothing(1 - ((a + b) * x) / (a + 1));
  let value = d;
  for (let m = 1; m <= 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / notNothing(1 + even * d);
    c = notNothing(1 + even / c);
    value *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / notNothing(1 + odd * d);
    c = notNothing(1 + odd / c);
    const step = d * c;
    value *= step;
    if (Math.abs(step - 1) < 1e-15) break;
  }
  return value;
}
const notNothing = (x: number): number => (Math.abs(x) < TINY ? TINY : x);

/**
 * The regularised incomplete beta function: the share of Beta(a, b) below x.
 * Source: Press and others, Numerical Recipes, section 6.4 (from memory).
 */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2)
    ? (front * fraction(x, a, b)) / a
    : 1 - (front * fraction(1 - x, b, a)) / b;
}

/** The value below which a share of Beta(a, b) lies, by halving: the function only rises. */
export function betaQuantile(share: number, a: number, b: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (incompleteBeta(middle, a, b) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
