import { holdWords, type Position, pictureWords, type View, wordContext } from '@aftersquall/core';
import { RotateCcw } from 'lucide-react';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { PICTURE, usePicture } from '../workers/pictures.ts';
import { IconButton } from './IconButton.tsx';
import { PositionPicture } from './PositionPicture.tsx';
import styles from './positionPicture.module.scss';

interface Props {
  position: Position;
  width: number;
}

/** Degrees that a picture turns by at once: it is drawn anew for each. */
const STEP = 15;
/** Pixels of a drag for a degree. */
const PIXELS = 1.6;
const LOWEST = 5;
const HIGHEST = 75;

const stepped = (degrees: number): number => Math.round(degrees / STEP) * STEP;

/** The picture of a position, large, turned by dragging it or by the arrow keys. */
export function TurnablePicture({ position, width }: Props) {
  const [pointed, setPointed] = useState<string>();
  const usual = usePicture(position, { kind: 'large' });
  const [turned, setTurned] = useState<View>();
  const view = turned ?? usual?.view;
  const drag = useRef<{ x: number; y: number; view: View } | undefined>(undefined);
  const turn = (azimuth: number, elevation: number) =>
    setTurned({
      azimuth: ((stepped(azimuth) % 360) + 360) % 360,
      elevation: Math.min(HIGHEST, Math.max(LOWEST, elevation)),
    });
  const onDown = (event: PointerEvent) => {
    if (!view) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, y: event.clientY, view };
  };
  const onMove = (event: PointerEvent) => {
    if (!drag.current) return;
    const { x, y, view: from } = drag.current;
    turn(
      from.azimuth - (event.clientX - x) / PIXELS,
      from.elevation + Math.round((event.clientY - y) / PIXELS / 5) * 5,
    );
  };
  const onEnd = () => {
    drag.current = undefined;
  };
  const onKey = (event: KeyboardEvent) => {
    if (!view) return;
    const by = { ArrowLeft: [STEP, 0], ArrowRight: [-STEP, 0], ArrowUp: [0, 10], ArrowDown: [0, -10] }[
      event.key
    ];
    if (!by) return;
    event.preventDefault();
    turn(view.azimuth + by[0]!, view.elevation + by[1]!);
  };
  const context = wordContext(position);
  const own = position.holds.find(({ id }) => id === pointed);
  const top = position.topHolds.find(({ id }) => id === pointed);
  const said = own ? holdWords(own, context) : top && `top: ${holdWords(top, context, 'top')}`;
  const { width: w, height: h } = PICTURE.large;
  return (
    <div className={styles.turnable}>
      <button
        type="button"
        className={styles.grip}
        aria-label={`Turn the picture: ${pictureWords(position)}`}
        title="Drag to turn, or use the arrow keys"
        style={{ minHeight: (width * h) / w }}
        onPointerDown={onDown}
        onPointerMove={onMove}
        onPointerUp={onEnd}
        onPointerCancel={onEnd}
        onKeyDown={onKey}
      >
        <PositionPicture
          position={position}
          width={width}
          kind="large"
          view={turned}
          contacts="all"
          pointed={pointed}
          onPoint={setPointed}
        />
      </button>
      {turned && (
        <IconButton bare label="As it is seen best" onClick={() => setTurned(undefined)}>
          <RotateCcw size={16} aria-hidden />
        </IconButton>
      )}
      {said && <p className={styles.said}>{said}</p>}
      <small className="soft">
        A sketch computed from the holds, not a photograph of technique.
        {usual?.uncertain &&
          ' This one is uncertain: the holds leave it open, or ask for more than bodies give.'}
      </small>
    </div>
  );
}
