import { Modal } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { PLACES } from './places.ts';
import { say } from './words.ts';

const EVERYWHERE: [string, string][] = [
  ...PLACES.map(({ key, name }): [string, string] => [key, `Go to ${name}`]),
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['/', 'Find anything'],
  ['?', 'These keys'],
];
const HERE: Record<string, [string, string][]> = {
  map: [
    ['B', 'Board, or chart'],
    ['N', 'New position'],
    ['F', say.fitWholeChart],
    ['Esc', say.closeWhatOpenedLast],
    ['Arrows', say.boardCellCell],
    ['type', say.boardFillCellEnter],
    ['+', say.boardNewMoveHere],
    ['&', say.boardNewMoveStarts],
    ['|', say.boardSomethingElseTop],
    ['@', 'Board: new position'],
    ['Space', say.boardOpenWhatCell],
    ['Del', say.boardRemoveAnswer],
  ],
  balance: [['Arrows', say.centreMassLeanTop]],
  read: [
    ['F', say.flipLeftRight],
    ['G', say.giNoGi],
    ['T', say.sameMomentTop],
    ['Esc', 'One step back'],
  ],
  weigh: [
    ['T', say.topsSheetBottomsPlan],
    ['G', say.giNoGi],
  ],
  classes: [
    ['Alt ←', say.timeLineBlockEarlier],
    ['Alt →', say.timeLineBlockLater],
    ['+', say.timeLineBlockLonger],
    ['−', say.timeLineBlockShorter],
    ['Alt D', say.timeLineBlockOnce],
    ['Alt S', say.timeLineBlockTwo],
    ['Del', say.timeLineRemoveBlock],
    ['← → ↑ ↓', say.termClassDayWeek],
  ],
};

/** The keys of the place one is in, and those that work everywhere. */
export function KeysHelp({ show, onHide }: { show: boolean; onHide: () => void }) {
  const [, area, second, third] = useLocation().pathname.split('/');
  const place = area === 'map' ? third || 'map' : second;
  const rows = [...(HERE[place ?? ''] ?? []), ...EVERYWHERE];
  return (
    <Modal show={show} onHide={onHide} animation={false} restoreFocus={false} aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title id="keys-title" as="h2">
          Keys
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <table className="table table-sm mb-0">
          <tbody>
            {rows.map(([key, does]) => (
              <tr key={key}>
                <th scope="row" style={{ width: '9rem' }}>
                  <kbd>{key}</kbd>
                </th>
                <td>{does}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Modal.Body>
    </Modal>
  );
}
