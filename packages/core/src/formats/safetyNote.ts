/** What stands under every paper and page that teaches a technique. */
export const SAFETY_NOTE =
  'Practise under a qualified coach. The event’s current rule book and the club’s own policy decide what may be done. Finish joint attacks and strangles slowly; let go at the tap.';
