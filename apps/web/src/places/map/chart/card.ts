import type { ChartNode } from './chartGraph.ts';

const SIZE = {
  position: [176, 76],
  gate: [150, 42],
  system: [268, 152],
  systemGate: [190, 64],
  outcome: [132, 42],
} as const;

/** Width and height of a card on the chart. */
export function cardSize(node: ChartNode): { width: number; height: number } {
  const [width, height] = SIZE[node.kind === 'system' && node.gate ? 'systemGate' : node.kind];
  return { width, height };
}
