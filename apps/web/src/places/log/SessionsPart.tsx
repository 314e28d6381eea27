import type { Command, Issue } from '@aftersquall/core/documents';
import type { Club } from '@aftersquall/core/model';
import { Plus } from 'lucide-react';
import { clock } from '../../components/clock.ts';
import { device } from '../../device/device.ts';
import { newKey, newRecord } from '../../store/records/newRecord.ts';
import { keepAndSend } from '../../store/records/records.ts';
import styles from './log.module.scss';
import type { LogPartProps } from './logPart.ts';
import { SessionSheet } from './SessionSheet.tsx';
import { say } from './words.ts';

interface Props extends LogPartProps {
  club: Club | undefined;
  onClub: (command: Command, announce?: string) => Issue[];
  open: string | undefined;
  onOpen: (session: string | undefined) => void;
}

/** Every class that was held, newest first, and the record of one of them. */
export function SessionsPart({ map, practice, date, again, club, onClub, open, onOpen }: Props) {
  const sessions = [...practice.sessions].reverse();
  const begin = async () => {
    const session = newKey();
    await keepAndSend([
      newRecord(
        { map: map.id, session, date },
        {
          kind: 'session',
          name: 'Rolls and matches',
          people: Math.max(1, club?.athletes.length ?? 1),
          minutes: 0,
          athletes: [],
          device: device.name(),
        },
      ),
    ]);
    again();
    onOpen(session);
  };
  return (
    <div className={styles.sessions}>
      <div>
        <button type="button" className="btn btn-sm btn-plain mb-2" onClick={() => void begin()}>
          <Plus size={15} aria-hidden /> Record rolls or a match
        </button>
        <ul className="list-unstyled">
          {sessions.map((one) => (
            <li key={one.session}>
              <button
                type="button"
                className={`${styles.session} ${one.session === open ? styles.on : ''}`}
                aria-pressed={one.session === open}
                onClick={() => onOpen(one.session)}
              >
                <b>{one.name}</b>
                <span className="soft">
                  {one.date}
                  {one.planned > 0 && ` · ${clock(one.ran)} of ${clock(one.planned)}`}
                  {one.blocks > 0 && ` · ${one.reached} of ${one.blocks} blocks`}
                  {one.trials > 0 && ` · ${one.trials} tries`}
                  {one.faults > 0 && ` · ${one.faults} faults`}
                </span>
                {one.twice && <span className="hazard small">{say.twoTabletsRanClass}</span>}
              </button>
            </li>
          ))}
        </ul>
      </div>
      {open ? (
        <SessionSheet key={open} map={map} session={open} club={club} onClub={onClub} onKept={again} />
      ) : (
        <p className="soft">{say.pickClassFinishRecord}</p>
      )}
    </div>
  );
}
