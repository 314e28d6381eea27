import { format, parseISO } from 'date-fns';
import { ListPlus } from 'lucide-react';
import { Dropdown } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { useListDocumentsQuery } from '../store/api.ts';
import { byDay, headOf } from '../store/classHead.ts';
import { today } from '../store/records/newRecord.ts';
import { classAddress } from './addresses.ts';

interface Props {
  map: string;
  /** What is put in, such as `exchange.hip-bump--none`, one block each. */
  things: readonly string[];
  label: string;
}

/** So many classes are offered, the next ones first. */
const MAX_CLASSES_OFFERED = 8;

/** Puts something of the map into a class, which opens with it. */
export function AddToClass({ map, things, label }: Props) {
  const navigate = useNavigate();
  const { data: classes } = useListDocumentsQuery({ params: { kind: 'class' } });
  const heads = (classes ?? []).map(headOf).filter((plan) => plan.map === map);
  const isPast = ({ when }: (typeof heads)[number]) => when !== undefined && when.date < today();
  const offered = [...heads.filter((one) => !isPast(one)).sort(byDay), ...heads.filter(isPast).sort(byDay)];
  if (offered.length === 0) return null;
  return (
    <Dropdown>
      <Dropdown.Toggle size="sm" variant="plain" aria-label={label} title={label}>
        <ListPlus size={15} aria-hidden />
      </Dropdown.Toggle>
      <Dropdown.Menu align="end">
        <Dropdown.Header>{label}</Dropdown.Header>
        {offered.slice(0, MAX_CLASSES_OFFERED).map(({ id, name, when }) => (
          <Dropdown.Item key={id} onClick={() => navigate(`${classAddress(id)}?add=${things.join(',')}`)}>
            {name}
            {when && <small className="soft"> {format(parseISO(when.date), 'd MMM')}</small>}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
