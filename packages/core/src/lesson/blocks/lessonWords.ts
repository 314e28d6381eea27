/** A title that fits. */
export const clip = (text: string): string => (text.length > 120 ? `${text.slice(0, 119)}…` : text);
