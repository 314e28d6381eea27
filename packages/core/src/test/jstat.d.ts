/** What the tests use of the statistics library they check against; it ships no types. */
declare module 'jstat' {
  interface Distribution {
    inv(share: number, a: number, b: number): number;
  }
  const jstat: { normal: Distribution; beta: Distribution; ibeta(x: number, a: number, b: number): number };
  export default jstat;
}
