import { type Finding, type Severity } from '@aftersquall/core/check';
import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { CircleAlert, Info, TriangleAlert, Wrench } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../../components/addresses.ts';
import { SelectField } from '../../../components/fields/SelectField.tsx';
import { RulesChoice } from '../../../components/RulesChoice.tsx';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import type { Spot } from '../board/useSpot.ts';
import styles from '../map.module.scss';
import type { Selection, SheetKind } from '../selection.ts';
import { say } from '../words.ts';

interface Props {
  map: GuardMap;
  findings: readonly Finding[];
  fresh: boolean;
  /** They could not be worked out. */
  failed: boolean;
  onJump: (selection: Selection, spot?: Spot) => void;
}

const SEVERITIES: { severity: Severity; name: string; icon: typeof Info }[] = [
  { severity: 'error', name: 'Errors', icon: CircleAlert },
  { severity: 'warning', name: 'Warnings', icon: TriangleAlert },
  { severity: 'note', name: 'Notes', icon: Info },
];
/** So many of one kind are shown at first; more than so few are folded together. */
const SHOWN = 60;
const FOLDED_FROM = 3;

const keyOf = ({ code, place, sentence }: Finding): string => `${code} ${place.id} ${place.path} ${sentence}`;

/** Findings of one kind together, in the order in which the kinds come. */
function byCode(findings: readonly Finding[]): { code: string; some: Finding[] }[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) groups.set(finding.code, [...(groups.get(finding.code) ?? []), finding]);
  return [...groups].map(([code, some]) => ({ code, some }));
}

/** Everything that deserves a look, by severity: where it is, what it says, how it can be mended. */
export function FindingsPane({ map, findings, fresh, failed, onJump }: Props) {
  const codes = [...new Set(findings.map(({ code }) => code))].sort();
  const [code, setCode] = useState('');
  const [whole, setWhole] = useState<string>();
  const shown = findings.filter((finding) => !code || finding.code === code);
  return (
    <>
      <div className={styles['pane-fields']}>
        <RulesChoice />
        <SelectField
          label="Show"
          value={codes.includes(code) ? code : ''}
          choices={[
            { value: '', name: `all ${findings.length}` },
            ...codes.map((value) => ({ value, name: value.replaceAll('-', ' ') })),
          ]}
          onChange={setCode}
        />
      </div>
      {failed && <p className="hazard">{say.checkDidNotFinish}</p>}
      {findings.length === 0 && fresh && !failed && <p>Nothing to fix.</p>}
      {SEVERITIES.map(({ severity, name, icon: Icon }) => {
        const list = shown.filter((finding) => finding.severity === severity);
        if (list.length === 0) return null;
        return (
          <section key={severity} aria-label={name} className={`${styles['finding-group']} ${severity}`}>
            <h3>
              <Icon size={15} aria-hidden /> {name} <span className="soft">{list.length}</span>
            </h3>
            {byCode(list).map(({ code: kind, some }) =>
              some.length <= FOLDED_FROM ? (
                some.map((finding) => (
                  <FindingRow key={keyOf(finding)} map={map} finding={finding} onJump={onJump} />
                ))
              ) : (
                <details key={kind} className={styles['finding-kind']} open={Boolean(code)}>
                  <summary>
                    {kind.replaceAll('-', ' ')} <span className="soft">{some.length}</span>
                  </summary>
                  {some.slice(0, whole === kind ? some.length : SHOWN).map((finding) => (
                    <FindingRow key={keyOf(finding)} map={map} finding={finding} onJump={onJump} />
                  ))}
                  {some.length > SHOWN && whole !== kind && (
                    <button type="button" className="btn btn-sm btn-plain" onClick={() => setWhole(kind)}>
                      Show all {some.length}
                    </button>
                  )}
                </details>
              ),
            )}
          </section>
        );
      })}
    </>
  );
}

const SHEETS: ReadonlySet<string> = new Set<SheetKind>([
  'position',
  'move',
  'reaction',
  'exchange',
  'mechanic',
  'ending',
]);

/** Where things are shown that have no sheet. */
const PLACE_OF: Record<string, ((map: string, id: string) => string) | undefined> = {
  system: (map, id) => `${mapAddress(map)}?system=${id}`,
  chain: (map) => mapAddress(map, 'weigh?see=chains'),
  opponent: (map) => mapAddress(map, 'weigh?see=opponent'),
  scenario: (map) => mapAddress(map, 'weigh?see=what-if'),
};

function FindingRow({ map, finding, onJump }: Pick<Props, 'map' | 'onJump'> & { finding: Finding }) {
  const dispatch = useAppDispatch();
  const { place, sentence, mend, command } = finding;
  const address = PLACE_OF[place.kind]?.(map.id, place.id);
  const jump = () => {
    const kind = place.kind as SheetKind;
    const selection = { kind, id: place.id };
    const move = finding.code === 'hole' ? indexMap(map).move.get(place.id) : undefined;
    onJump(selection, move && { row: move.id, column: place.path ?? 'none' });
  };
  return (
    <div className={styles.finding}>
      {address ? (
        <Link to={address}>{sentence}</Link>
      ) : SHEETS.has(place.kind) ? (
        <button type="button" onClick={jump}>
          {sentence}
        </button>
      ) : (
        <span>{sentence}</span>
      )}
      <div className={styles.mend}>
        <span>{mend}</span>
        {command && (
          <button type="button" className="btn btn-sm btn-plain" onClick={() => dispatch(changeMap(command))}>
            <Wrench size={13} aria-hidden /> Fix it
          </button>
        )}
      </div>
    </div>
  );
}
