import { pictureWords, wordContext } from '@aftersquall/core/body';
import { type Position } from '@aftersquall/core/model';
import { type View } from '@aftersquall/core/pose';
import { useEffect, useRef, useState } from 'react';
import { PICTURE, type PictureKind, type ShownPicture, usePicture } from '../workers/pictures.ts';
import { LimbGlyph } from './LimbGlyph.tsx';
import styles from './positionPicture.module.scss';

interface Props {
  position: Position;
  width: number;
  kind?: PictureKind;
  view?: View | undefined;
  /** Holds whose contacts are shown; none where nothing is said. */
  contacts?: 'all' | readonly string[];
  /** The hold that is pointed at. */
  pointed?: string | undefined;
  onPoint?: ((hold: string | undefined) => void) | undefined;
  /** Drawn although it is not seen on screen: for paper. */
  always?: boolean;
}

/** The picture of a position, computed from its holds; until it is there the glyph of its limbs. */
export function PositionPicture({
  position,
  width,
  kind = 'small',
  view,
  contacts = [],
  pointed,
  onPoint,
  always = false,
}: Props) {
  const frame = useRef<HTMLSpanElement>(null);
  const [seen, setSeen] = useState(always);
  useEffect(() => {
    if (seen || !frame.current) return;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setSeen(true),
      { rootMargin: '150px' },
    );
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, [seen]);
  const picture = usePicture(position, { kind, view, off: !seen });
  const { width: w, height: h } = PICTURE[kind];
  return (
    <span ref={frame} className={styles.picture} style={{ width, height: (width * h) / w }}>
      {picture ? (
        <Drawing
          picture={picture}
          words={pictureWords(position)}
          shown={contacts === 'all' ? undefined : contacts}
          pointed={pointed}
          onPoint={onPoint}
        />
      ) : (
        <LimbGlyph
          holds={position.holds}
          context={wordContext(position)}
          width={Math.min(width * 0.55, 90)}
        />
      )}
    </span>
  );
}

/** In a picture narrower than this words cannot be read. */
const LEGIBLE = 300;

interface DrawingProps {
  picture: ShownPicture;
  words: string;
  /** Contacts shown; all where nothing is said. */
  shown?: readonly string[] | undefined;
  pointed?: string | undefined;
  onPoint?: ((hold: string | undefined) => void) | undefined;
}

/** A picture as SVG. */
export function Drawing({ picture, words, shown, pointed, onPoint }: DrawingProps) {
  const { width, height, paths, contacts, uncertain } = picture;
  return (
    <svg
      className={styles.drawing}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-busy={picture.first}
      aria-label={`${words}${uncertain ? ' The picture is a rough sketch.' : ''}`}
    >
      {paths.map(({ layer, who, d }) => (
        <path
          key={`${layer} ${who}`}
          className={`${styles[layer]} ${who === undefined ? '' : who === 0 ? styles.own : styles.top}`}
          d={d}
        />
      ))}
      {contacts
        .filter(({ id }) => !shown || shown.includes(id))
        .map(({ id, by, x, y, hidden }) => (
          <circle
            key={`${by} ${id}`}
            className={`${styles.contact} ${hidden ? styles.hidden : ''} ${id === pointed ? styles.pointed : ''}`}
            cx={x}
            cy={y}
            r={id === pointed ? 8 : 5}
            onPointerEnter={() => onPoint?.(id)}
            onPointerLeave={() => onPoint?.(undefined)}
          />
        ))}
      {uncertain && width >= LEGIBLE && (
        <text className={styles.uncertain} x={width - 4} y={height - 5}>
          rough sketch
        </text>
      )}
    </svg>
  );
}
