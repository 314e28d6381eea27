import { select } from 'd3-selection';
import { type ZoomBehavior, zoom, zoomIdentity } from 'd3-zoom';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { say } from '../words.ts';
import { ChartDrawing } from './ChartDrawing.tsx';
import { type ChartGraph, type ChartNode, isOverview } from './chartGraph.ts';
import styles from './currents.module.scss';
import { edgePaths } from './edgePaths.ts';
import { keepLayout, keptLayout } from './layoutCache.ts';
import { type ChartLayout, layoutChart } from './layoutChart.ts';
import { stackColumns } from './stackColumns.ts';
import type { Tide } from './tide.ts';

interface Props {
  graph: ChartGraph;
  /** What the map is worth, once that is known. */
  tide: Tide | undefined;
  stale: boolean;
  /** What failing leads to steps back. */
  failingFaded: boolean;
  selected: string | undefined;
  onSelect: (position: string | undefined) => void;
  onSystem: (system: string) => void;
}

const MIN_SCALE = 0.08;
const MAX_SCALE = 2;
/** Below this a card cannot be read, so a big chart opens at its entries instead of whole. */
const READABLE = 0.62;
/** Below this pictures are specks: the names stand alone, larger. */
const FAR = 0.45;

/** The map as currents: cards laid out by computation, flowing from entries on the left to outcomes on the right. */
export function CurrentsChart(props: Props) {
  const { graph, tide, stale, failingFaded, selected: position, onSelect, onSystem } = props;
  const selected = position && (graph.cards.get(position) ?? position);
  const svg = useRef<SVGSVGElement>(null);
  const [layout, setLayout] = useState<{ of: ChartGraph; is: ChartLayout }>();
  const [view, setView] = useState({ x: 0, y: 0, k: 1 });
  const behavior = useRef<ZoomBehavior<SVGSVGElement, unknown>>(undefined);

  useEffect(() => {
    let current = true;
    const kept = keptLayout(graph);
    setLayout((last) => (kept || !last ? { of: graph, is: kept ?? stackColumns(graph) } : last));
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
      .scaleExtent([MIN_SCALE, MAX_SCALE])
      .on('zoom', ({ transform }) => setView({ x: transform.x, y: transform.y, k: transform.k }));
    select(svg.current).call(behavior.current).on('dblclick.zoom', null);
  }, []);

  const fit = (whole: boolean) => {
    const element = svg.current;
    if (!element || !layout || !behavior.current) return;
    const { width, height } = element.getBoundingClientRect();
    const all = Math.min(width / (layout.is.width + 40), height / (layout.is.height + 40), 1.15);
    const k = whole ? Math.max(all, MIN_SCALE) : Math.max(all, READABLE);
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
  const paths = useMemo(
    () => (drawn ? edgePaths(graph.edges, drawn.nodes, isOverview(graph)) : undefined),
    [graph, drawn],
  );
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
      className={`${styles.currents} ${selected ? styles['has-selection'] : ''} ${tide && stale ? 'stale' : ''} ${failingFaded ? styles['failing-faded'] : ''} ${view.k < FAR ? styles.far : ''}`}
      aria-label={say.chartGuardSystems}
      aria-busy={!drawn?.computed}
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
      {/* biome-ignore lint/a11y/noStaticElementInteractions: a click beside everything closes the sheet, as Escape does */}
      <rect width="100%" height="100%" fill="url(#swell)" onClick={() => onSelect(undefined)} />
      <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
        {drawn && paths && (
          <ChartDrawing
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
