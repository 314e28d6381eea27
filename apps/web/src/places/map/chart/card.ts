/** Width and height of the chart's cards. */
export const CARD = { position: [176, 76], gate: [150, 42], system: [190, 64], outcome: [132, 42] } as const;
