import { contactName } from '@aftersquall/core/body';
import { type Contact } from '@aftersquall/core/model';
import { say } from '../words.ts';
import styles from './bodyPlan.module.scss';
import { byKey } from './byKey.ts';
import { type Body, contactAt } from './geometry.ts';

interface Props {
  body: Body;
  contact: Contact;
  holding: boolean;
  conflict: boolean;
  chosen: boolean;
  onPick: (() => void) | undefined;
  /** Told when it begins and ends to be pointed at. */
  onPoint: ((on: boolean) => void) | undefined;
}

/** What a body can hold with: free, holding, or holding two things at once. */
export function ContactDot({ body, contact, holding, conflict, chosen, onPick, onPoint }: Props) {
  const [x, y] = contactAt(body, contact);
  const limb = contact.length > 3 && /[LR]$/.test(contact);
  if (!limb && !holding && !chosen && !onPick) return null;
  const name = `${body === 'top' ? "top's" : 'our'} ${contactName(contact)}${holding ? ', holding' : ', free'}`;
  return (
    <g
      className={`${styles.contact} ${body} ${limb ? '' : styles.middle} ${holding ? styles.holding : 'free'} ${conflict ? 'conflict' : ''} ${chosen ? 'chosen' : ''}`}
      transform={`translate(${x} ${y})`}
      {...(onPoint && {
        onPointerEnter: () => onPoint(true),
        onPointerLeave: () => onPoint(false),
        onFocus: () => onPoint(true),
        onBlur: () => onPoint(false),
      })}
      {...(onPick && {
        role: 'button',
        tabIndex: 0,
        'aria-label': conflict ? say.twoThingsOnce(name) : name,
        'aria-pressed': chosen,
        onClick: onPick,
        onKeyDown: byKey(onPick),
      })}
    >
      <title>{name}</title>
      {onPick && <circle r={limb ? 15 : 8} className="finger" />}
      {conflict && <circle r="11" className={styles.alarm} />}
      <circle r={limb ? 6.5 : 4.5} />
    </g>
  );
}
