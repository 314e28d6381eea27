import { Printer } from 'lucide-react';
import { Dropdown } from 'react-bootstrap';
import { PAPERS, type Paper } from './ClassPaper.tsx';

/** Which paper is printed. */
export function PrintChoice({ onPrint }: { onPrint: (paper: Paper) => void }) {
  return (
    <Dropdown>
      <Dropdown.Toggle size="sm" variant="plain">
        <Printer size={14} aria-hidden /> Print
      </Dropdown.Toggle>
      <Dropdown.Menu align="end">
        {(Object.keys(PAPERS) as Paper[]).map((paper) => (
          <Dropdown.Item key={paper} as="button" type="button" onClick={() => onPrint(paper)}>
            {PAPERS[paper]}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
