import { memo, useMemo, useState } from 'react';
import { ChartCard } from './ChartCard.tsx';
import type { ChartEdge, ChartGraph, ChartNode } from './chartGraph.ts';
import { EdgeLine } from './EdgeLine.tsx';
import type { Placed } from './layoutChart.ts';
import { mainEdges } from './mainEdges.ts';
import type { Tide } from './tide.ts';

interface Props {
  graph: ChartGraph;
  tide: Tide | undefined;
  places: ReadonlyMap<string, Placed>;
  paths: ReadonlyMap<string, string>;
  selected: string | undefined;
  onPick: (node: ChartNode) => void;
}

/** With more cards than this, pointing at one does not light its lines: drawing all of them anew would be felt. */
const MOST_POINTED = 90;

/** Lines and cards. Moving and zooming only turn the group they are in, so this is not drawn again for them. */
export const ChartDrawing = memo(function ChartDrawing({
  graph,
  tide,
  places,
  paths,
  selected,
  onPick,
}: Props) {
  const [pointed, setPointed] = useState<string>();
  const lit = pointed ?? selected;
  const main = useMemo(() => mainEdges(graph, tide), [graph, tide]);
  const names = useMemo(() => new Map(graph.nodes.map((node) => [node.id, node])), [graph]);
  const bestEnd = (id: string): string | undefined => {
    const end = names.get(tide?.bestEnds.get(id) ?? '');
    return end?.kind === 'outcome' ? end.name : undefined;
  };
  const near = useMemo(() => neighbours(graph.edges, lit), [graph.edges, lit]);
  return (
    <>
      {graph.edges.map((edge) => (
        <EdgeLine
          key={edge.id}
          edge={edge}
          rate={tide?.rates.get(edge.id)}
          most={tide?.most ?? 0}
          path={paths.get(edge.id)}
          lit={near.edges.has(edge.id)}
          quiet={!main.has(edge.id)}
          beside={places.get(edge.from)?.x === places.get(edge.to)?.x}
        />
      ))}
      {graph.nodes.map((node) => {
        const place = places.get(node.id);
        const state = node.id === selected ? 'selected' : near.nodes.has(node.id) ? 'near' : '';
        return (
          place && (
            <ChartCard
              key={node.id}
              node={node}
              value={tide?.values.get(node.id)}
              bestEnd={bestEnd(node.id)}
              place={place}
              state={state}
              onPick={onPick}
              onPoint={graph.nodes.length < MOST_POINTED ? setPointed : undefined}
            />
          )
        );
      })}
    </>
  );
});

function neighbours(edges: readonly ChartEdge[], selected: string | undefined) {
  const touching = edges.filter(({ from, to }) => from === selected || to === selected);
  return {
    edges: new Set(touching.map(({ id }) => id)),
    nodes: new Set(touching.flatMap(({ from, to }) => [from, to])),
  };
}
