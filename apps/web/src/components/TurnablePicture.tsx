import { holdWords, pictureWords, wordContext } from '@aftersquall/core/body';
import { type Position } from '@aftersquall/core/model';
import { type PosePicture, type View } from '@aftersquall/core/pose';
import { RotateCcw } from 'lucide-react';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { PICTURE, usePicture } from '../workers/pictures.ts';
import { IconButton } from './IconButton.tsx';
import { PositionPicture } from './PositionPicture.tsx';
import styles from './positionPicture.module.scss';
import { say } from './words.ts';

interface Props {
  position: Position;
  width: number;
  /** The hold that is pointed at and who is told, where others point at it too. */
  pointed?: string | undefined;
  onPoint?: (hold: string | undefined) => void;
  /** A body that is turned by dragging, instead of the view; told by how many degrees once it is let go. */
  turning?: 'own' | 'top' | undefined;
  onTurned?: (degrees: number) => void;
  /** Keeps a view for everybody. */
  onKeepView?: ((view: View) => void) | undefined;
}

/** Degrees that a picture turns by at once: it is drawn anew for each. */
const STEP = 15;
/** Pixels of a drag for a degree. */
const PIXELS = 1.6;
const LOWEST = 5;
const HIGHEST = 75;

const stepped = (degrees: number): number => Math.round(degrees / STEP) * STEP;

/** The picture of a position, large, turned by dragging it or by the arrow keys; or one of its bodies is. */
export function TurnablePicture(props: Props) {
  const { position, width, turning, onTurned, onKeepView } = props;
  const [ownPointed, setOwnPointed] = useState<string>();
  const pointed = props.onPoint ? props.pointed : ownPointed;
  const setPointed = props.onPoint ?? setOwnPointed;
  const [degrees, setDegrees] = useState(0);
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
    if (turning) return setDegrees(stepped((event.clientX - x) / PIXELS));
    turn(
      from.azimuth - (event.clientX - x) / PIXELS,
      from.elevation + Math.round((event.clientY - y) / PIXELS / 5) * 5,
    );
  };
  const onEnd = () => {
    drag.current = undefined;
    if (degrees !== 0) onTurned?.(degrees);
    setDegrees(0);
  };
  const onKey = (event: KeyboardEvent) => {
    if (!view) return;
    const by = { ArrowLeft: [STEP, 0], ArrowRight: [-STEP, 0], ArrowUp: [0, 10], ArrowDown: [0, -10] }[
      event.key
    ];
    if (!by) return;
    event.preventDefault();
    if (turning) return by[0] === 0 ? undefined : onTurned?.(-by[0]!);
    turn(view.azimuth + by[0]!, view.elevation + by[1]!);
  };
  const context = wordContext(position);
  const own = position.holds.find(({ id }) => id === pointed);
  const top = position.topHolds.find(({ id }) => id === pointed);
  const said = degrees
    ? `${turning === 'own' ? 'bottom' : 'top'} turned by ${degrees}°`
    : own
      ? holdWords(own, context)
      : top && `top: ${holdWords(top, context, 'top')}`;
  const { width: w, height: h } = PICTURE.large;
  return (
    <div className={styles.turnable}>
      <button
        type="button"
        className={styles.grip}
        aria-label={`Turn the picture: ${pictureWords(position)}`}
        title={say.dragTurnUseArrow}
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
        <div className={styles['of-view']}>
          {onKeepView && (
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() => {
                onKeepView(turned);
                setTurned(undefined);
              }}
            >
              Keep this view
            </button>
          )}
          <IconButton bare label={say.showBestView} onClick={() => setTurned(undefined)}>
            <RotateCcw size={16} aria-hidden />
          </IconButton>
        </div>
      )}
      {!turned && view && usual?.contacts.some(({ hidden }) => hidden) && (
        <button
          type="button"
          className={`btn btn-sm btn-plain ${styles['of-view']}`}
          title={say.someHoldsHiddenHere}
          onClick={() => turn(view.azimuth + 180, view.elevation)}
        >
          From the other side
        </button>
      )}
      {said && <p className={styles.said}>{said}</p>}
      <small className="soft">
        {say.programDrawsSketchHolds}
        {usual?.uncertain && ` This one is uncertain: ${whyUncertain(position, usual)}.`}
      </small>
    </div>
  );
}

/** What it is that cannot be had, in words. */
function whyUncertain(position: Position, { worst }: PosePicture): string {
  const hold = worst && [...position.holds, ...position.topHolds].find(({ id }) => id === worst.id);
  if (!hold) return 'every hold reaches, but only with the bodies bent to their limits';
  const by = position.holds.includes(hold) ? 'own' : 'top';
  return `“${holdWords(hold, wordContext(position), by)}” is ${Math.round(worst.distance * 100)} cm off`;
}
