import { Modal } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { PLACES } from './places.ts';

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
    ['F', 'Fit the whole chart'],
    ['Esc', 'Close what was opened last'],
    ['Arrows', 'Board: from cell to cell'],
    ['type', 'Board: fill the cell; Enter goes down, Tab on'],
    ['+', 'Board: new move here'],
    ['&', 'Board: new move that starts the same'],
    ['|', 'Board: something else top does'],
    ['@', 'Board: new position'],
    ['Space', 'Board: open what the cell is about'],
    ['Del', 'Board: remove the answer'],
  ],
  balance: [['Arrows', 'On the centre of mass: lean top']],
  read: [
    ['F', 'Flip left and right'],
    ['G', 'Gi or no-gi'],
    ['T', 'The same moment as top'],
    ['Esc', 'One step back'],
  ],
  weigh: [
    ['T', 'Top’s sheet, or bottom’s plan'],
    ['G', 'Gi or no-gi'],
  ],
  classes: [
    ['Alt ←', 'Time line: the block earlier'],
    ['Alt →', 'Time line: the block later'],
    ['+', 'Time line: the block longer'],
    ['−', 'Time line: the block shorter'],
    ['Alt D', 'Time line: the block once more'],
    ['Alt S', 'Time line: the block in two'],
    ['Del', 'Time line: remove the block'],
    ['← → ↑ ↓', 'Term: the class a day or a week earlier or later'],
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
