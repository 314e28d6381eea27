import { BookOpenText, ChartNoAxesColumn, ListOrdered, Scale, Timer, Waypoints } from 'lucide-react';

/** The places that work today, with the key that goes to each. */
export const PLACES = [
  { key: '1', path: 'map', name: 'Map', icon: Waypoints },
  { key: '2', path: 'read', name: 'Read', icon: BookOpenText },
  { key: '3', path: 'weigh', name: 'Weigh', icon: ChartNoAxesColumn },
  { key: '4', path: 'balance', name: 'Balance', icon: Scale },
  { key: '5', path: 'drills', name: 'Drills', icon: ListOrdered },
  { key: '6', path: 'mat', name: 'Mat', icon: Timer },
] as const;
