import { useHotkeys } from 'react-hotkeys-hook';
import { setApparel } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { ApparelToggle } from './ApparelToggle.tsx';

interface Props {
  above?: string;
  /** Whether G turns it over. */
  withKey?: boolean;
}

/** With the jacket or without, as every place goes by. */
export function ApparelChoice({ above, withKey = false }: Props) {
  const dispatch = useAppDispatch();
  const apparel = useAppSelector(({ settings }) => settings.apparel);
  useHotkeys('g', () => void dispatch(setApparel(apparel === 'gi' ? 'no-gi' : 'gi')), {
    useKey: true,
    enabled: withKey,
  });
  return (
    <ApparelToggle
      value={apparel}
      onChange={(value) => dispatch(setApparel(value))}
      {...(above !== undefined && { above })}
    />
  );
}
