import {
  BookOpenText,
  ChartNoAxesColumn,
  House,
  ListOrdered,
  type LucideIcon,
  NotebookPen,
  Scale,
  Timer,
  Waypoints,
} from 'lucide-react';
import {
  classAddress,
  logAddress,
  mapAddress,
  matAddress,
  termAddress,
  tonightAddress,
} from '../components/addresses.ts';

interface Place {
  key: string;
  name: string;
  icon: LucideIcon;
  address: (map: string) => string;
  end: boolean;
  /** Where else one is in this place. */
  also?: string;
}

/** The places that work today, with the key that goes to each and where it is for a map. */
export const PLACES: readonly Place[] = [
  { key: '0', name: 'Tonight', icon: House, address: () => tonightAddress, end: true },
  { key: '1', name: 'Map', icon: Waypoints, address: (map: string) => mapAddress(map), end: true },
  {
    key: '2',
    name: 'Read',
    icon: BookOpenText,
    address: (map: string) => mapAddress(map, 'read'),
    end: false,
  },
  {
    key: '3',
    name: 'Weigh',
    icon: ChartNoAxesColumn,
    address: (map: string) => mapAddress(map, 'weigh'),
    end: false,
  },
  {
    key: '4',
    name: 'Balance',
    icon: Scale,
    address: (map: string) => mapAddress(map, 'balance'),
    end: false,
  },
  {
    key: '5',
    name: 'Lessons',
    icon: ListOrdered,
    address: () => classAddress(),
    end: false,
    also: termAddress,
  },
  { key: '6', name: 'Mat', icon: Timer, address: () => matAddress(), end: false },
  { key: '7', name: 'Log', icon: NotebookPen, address: () => logAddress, end: false },
];
