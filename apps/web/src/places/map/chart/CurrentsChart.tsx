import { wordContext } from '@aftersquall/core';
import { select } from 'd3-selection';
import { type ZoomBehavior, zoom, zoomIdentity } from 'd3-zoom';
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { LimbGlyph } from '../../../components/LimbGlyph.tsx';
import { Worth } from '../../../components/Worth.tsx';
import type { ChartEdge, ChartGraph, ChartNode } from './chartGraph.ts';
import styles from './currents.module.scss';
import { edgePaths, edgeWidth, flowWidth } from './edgePaths.ts';
import { firstLayout, keepLayout, keptLayout } from './layoutCache.ts';
import { type ChartLayout, layoutChart, type Placed } from './layoutChart.ts';
import type { Tide } from './tide.ts';

interface Props {
  graph: ChartGraph;
  /** What the map is worth, once that is known. */
  tide: Tide | undefined;
  stale: boolean;
  selected: string | undefined;
  onSelect: (position: string | undefined) => void;
  onSystem: (system: string) => void;
}

const LEAST = 0.08;
const MOST = 2;
/** Below this a card cannot be read, so a big chart opens at its entries instead of whole. */
const READABLE = 0.62;

/** The map as currents: cards laid out by computation, flowing from entries on the left to outcomes on the right. */
export function CurrentsChart({ graph, tide, stale, selected: position, onSelect, onSystem }: Props) {
  const selected = position && (graph.cards.get(position) ?? position);
  const svg = useRef<SVGSVGElement>(null);
  const [layout, setLayout] = useState<{ of: ChartGraph; is: ChartLayout }>();
  const [view, setView] = useState({ x: 0, y: 0, k: 1 });
  const behavior = useRef<ZoomBehavior<SVGSVGElement, unknown>>(undefined);

  useEffect(() => {
    let current = true;
    const kept = keptLayout(graph);
    setLayout((last) => (kept || !last ? { of: graph, is: kept ?? firstLayout(graph) } : last));
    if (!kept) {
      void layoutChart(graph).then((is) => {
        keepLayout(graph, is);
        if (current) setLayout({ of: graph, is });
      });
    }
    return () => {
      current = false;
    };
  }, [graph]);

  useEffect(() => {
    if (!svg.current) return;
    behavior.current = zoom<SVGSVGElement, unknown>()
      .scaleExtent([LEAST, MOST])
      .on('zoom', ({ transform }) => setView({ x: transform.x, y: transform.y, k: transform.k }));
    select(svg.current).call(behavior.current).on('dblclick.zoom', null);
  }, []);

  const fit = (whole: boolean) => {
    const element = svg.current;
    if (!element || !layout || !behavior.current) return;
    const { width, height } = element.getBoundingClientRect();
    const all = Math.min(width / (layout.is.width + 40), height / (layout.is.height + 40), 1.15);
    const k = whole ? Math.max(all, LEAST) : Math.max(all, READABLE);
    const x = Math.max(20, (width - layout.is.width * k) / 2);
    const y =
      k > all ? Math.max(20, (height - layout.is.height * k) / 2) : (height - layout.is.height * k) / 2;
    behavior.current.transform(select(element), zoomIdentity.translate(x, y).scale(k));
  };
  // Only a layout of another shape moves the view: an edit must not throw the coach about.
  const shape = layout ? `${layout.is.computed} ${layout.of.nodes.map(({ id }) => id).join(' ')}` : '';
  const fitted = useRef('');
  useEffect(() => {
    if (!layout || fitted.current === shape) return;
    fitted.current = shape;
    fit(false);
  });
  useHotkeys('f', () => fit(true), { useKey: true });

  const drawn = layout?.is;
  const paths = useMemo(() => (drawn ? edgePaths(graph.edges, drawn.nodes) : undefined), [graph, drawn]);
  // Handlers are new on every render and mean the same: the drawing must not be made anew for them.
  const handlers = useRef({ onSelect, onSystem });
  handlers.current = { onSelect, onSystem };
  const pick = useCallback((node: ChartNode) => {
    if (node.kind === 'system') handlers.current.onSystem(node.system.id);
    else if (node.kind !== 'outcome') handlers.current.onSelect(node.position.id);
  }, []);

  return (
    <svg
      ref={svg}
      className={`${styles.currents} ${selected ? styles['has-selection'] : ''} ${tide && stale ? 'stale' : ''}`}
      aria-label="Chart of the guard systems"
      role="group"
    >
      <defs>
        <pattern
          id="swell"
          width="120"
          height="34"
          patternUnits="userSpaceOnUse"
          patternTransform={`translate(${view.x} ${view.y}) scale(${view.k})`}
        >
          <path d="M0 17 q15 -9 30 0 t30 0 t30 0 t30 0" className={styles.swell} />
        </pattern>
        <marker
          id="arrow"
          viewBox="0 0 8 8"
          refX="7"
          refY="4"
          markerWidth="7"
          markerHeight="7"
          orient="auto"
          markerUnits="userSpaceOnUse"
        >
          <path d="M0 0 8 4 0 8Z" />
        </marker>
      </defs>
      <rect width="100%" height="100%" fill="url(#swell)" onClick={() => onSelect(undefined)} />
      <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
        {drawn && paths && (
          <Drawing
            graph={graph}
            tide={tide}
            places={drawn.nodes}
            paths={paths}
            selected={selected}
            onPick={pick}
          />
        )}
      </g>
    </svg>
  );
}

interface DrawingProps {
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
const Drawing = memo(function Drawing({ graph, tide, places, paths, selected, onPick }: DrawingProps) {
  const [pointed, setPointed] = useState<string>();
  const lit = pointed ?? selected;
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
          beside={places.get(edge.from)?.x === places.get(edge.to)?.x}
        />
      ))}
      {graph.nodes.map((node) => {
        const place = places.get(node.id);
        const state = node.id === selected ? 'selected' : near.nodes.has(node.id) ? 'near' : '';
        return (
          place && (
            <Card
              key={node.id}
              node={node}
              value={node.kind === 'position' ? tide?.values.get(node.id) : undefined}
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

interface EdgeProps {
  edge: ChartEdge;
  /** How often it is gone along in a round, once that is known, and the most of any line. */
  rate: number | undefined;
  most: number;
  path: string | undefined;
  lit: boolean;
  /** Whether it goes to the same column: many of these lie on each other. */
  beside: boolean;
}

function EdgeLine({ edge, rate, most, path, lit, beside }: EdgeProps) {
  if (!path) return null;
  const best = Math.max(0, ...edge.exchanges.map(({ chance }) => chance));
  const words = edge.drift
    ? 'What waiting leads to'
    : `${edge.exchanges.length} ${edge.exchanges.length === 1 ? 'exchange' : 'exchanges'}, best chance ${Math.round(best * 100)} %${rate === undefined ? '' : `, gone along ${rate.toFixed(2)} times a round`}`;
  return (
    <path
      d={path}
      className={`edge ${edge.drift ? styles.drift : ''} ${edge.to.startsWith('outcome:') ? styles.ending : ''} ${beside ? 'beside' : ''} ${lit ? styles.lit : ''}`}
      strokeWidth={edge.drift ? 1.4 : rate === undefined ? edgeWidth(edge) : flowWidth(rate, most)}
      markerEnd="url(#arrow)"
    >
      <title>{words}</title>
    </path>
  );
}

interface CardProps {
  node: ChartNode;
  /** Points, once that is known. */
  value: number | undefined;
  place: Placed;
  state: string;
  onPick: (node: ChartNode) => void;
  onPoint: ((id: string | undefined) => void) | undefined;
}

const holeWords = (count: number): string => `${count} ${count === 1 ? 'hole' : 'holes'}`;

function Card({ node, value, place, state, onPick, onPoint }: CardProps) {
  const { x, y, width, height } = place;
  if (node.kind === 'outcome') {
    const sign = { own: '▲', top: '▼', even: '◆' }[node.good];
    return (
      <g className={`${styles.outcome} ${node.good} ${state}`} transform={`translate(${x} ${y})`}>
        <rect width={width} height={height} rx={height / 2} />
        <foreignObject width={width} height={height}>
          <div className={styles['outcome-text']}>
            <span aria-hidden>{sign}</span> {node.name}
          </div>
        </foreignObject>
      </g>
    );
  }
  const open = node.kind === 'position' ? node.holes.length : node.kind === 'system' ? node.holes : 0;
  const entry =
    node.kind === 'system' ? node.entry : node.kind === 'position' && (node.position.entry ?? 0) > 0;
  return (
    <g transform={`translate(${x} ${y})`} className={`card-group ${node.kind} ${state}`}>
      {open > 0 && (
        <g className="hole" transform={`translate(${width} ${height - 14})`}>
          <path d="M0 0h7m5 0h5" />
          <circle cx="23" r="5" />
          <title>{`${open} ${open === 1 ? 'reaction has' : 'reactions have'} no answer here`}</title>
        </g>
      )}
      <foreignObject width={width} height={height}>
        <button
          type="button"
          className={`position-card ${entry ? styles['is-entry'] : ''} ${node.kind === 'system' && node.gate ? styles['is-gate'] : ''}`}
          aria-pressed={state === 'selected'}
          onClick={() => onPick(node)}
          onPointerEnter={() => onPoint?.(node.id)}
          onPointerLeave={() => onPoint?.(undefined)}
        >
          <span className={styles['row-one']}>
            {node.kind === 'position' && (
              <LimbGlyph holds={node.position.holds} context={wordContext(node.position)} width={40} />
            )}
            <span className="name">{node.kind === 'system' ? node.system.name : node.position.name}</span>
          </span>
          {(node.kind === 'position' || (node.kind === 'system' && !node.gate)) && (
            <span className={styles['row-two']}>
              {entry && <b>start</b>}
              <span>
                {node.kind === 'system'
                  ? `${node.positions} ${node.positions === 1 ? 'position' : 'positions'}`
                  : `${node.moves} ${node.moves === 1 ? 'move' : 'moves'}`}
              </span>
              {value !== undefined && <Worth value={value} />}
              {open > 0 && <span className={styles['open-count']}>{holeWords(open)}</span>}
            </span>
          )}
        </button>
      </foreignObject>
    </g>
  );
}
