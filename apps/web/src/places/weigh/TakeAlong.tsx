import { WEIGHING_SHEETS, type WeighingSheet } from '@aftersquall/core/formats';
import { type GuardMap, type WhatIf } from '@aftersquall/core/model';
import { Download } from 'lucide-react';
import { Dropdown } from 'react-bootstrap';
import { say } from './words.ts';

const NAMES: Record<WeighingSheet, string> = {
  values: 'Values and plans',
  holes: say.holesWhatCost,
  top: 'Top’s sheet',
};

/** What was weighed, as files to take along. */
export function TakeAlong({ map, whatIf }: { map: GuardMap; whatIf: WhatIf }) {
  const address = (path: string) =>
    `/api/maps/${map.id}/weighing${path}?whatIf=${encodeURIComponent(JSON.stringify(whatIf))}`;
  return (
    <Dropdown>
      <Dropdown.Toggle size="sm" variant="plain" aria-label={say.saveFile} title={say.saveFile}>
        <Download size={14} aria-hidden />
      </Dropdown.Toggle>
      <Dropdown.Menu align="end">
        {WEIGHING_SHEETS.map((sheet) => (
          <Dropdown.Item key={sheet} href={address(`/${sheet}.csv`)} download={`${map.id}-${sheet}.csv`}>
            {NAMES[sheet]} (CSV)
          </Dropdown.Item>
        ))}
        <Dropdown.Item href={address('')} download={`${map.id}-weighing.json`}>
          All of it (JSON)
        </Dropdown.Item>
      </Dropdown.Menu>
    </Dropdown>
  );
}
