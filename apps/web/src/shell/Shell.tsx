import './shell.scss';
import { CircleHelp, Moon, Search, Sun } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { NavLink, Outlet, useNavigate, useParams } from 'react-router';
import { openMap, redoChange, selectSession, told, undoChange } from '../store/mapSession.ts';
import { setTheme } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { ConflictDialog } from './ConflictDialog.tsx';
import { Finder } from './Finder.tsx';
import { KeysHelp } from './KeysHelp.tsx';
import { PLACES } from './places.ts';
import { RemovedMap } from './RemovedMap.tsx';
import { useTheme } from './useTheme.ts';

/** The rail, the place beside it, and what belongs to every place: keys, conflicts, the offer to undo. */
export function Shell() {
  const { mapId = '' } = useParams();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const session = useAppSelector(selectSession);
  const theme = useTheme();
  const [help, setHelp] = useState(false);
  const [finding, setFinding] = useState(false);

  useEffect(() => {
    if (session.id !== mapId) void dispatch(openMap(mapId));
  }, [dispatch, mapId, session.id]);

  useHotkeys(
    PLACES.map(({ key }) => key),
    (event) => {
      const place = PLACES.find(({ key }) => key === event.key);
      if (place) navigate(`/${mapId}/${place.path}`);
    },
  );
  // By what a key writes, not by where it lies: layouts differ.
  const written = { preventDefault: true, useKey: true };
  useHotkeys('?', () => setHelp(true), { ...written, ignoreModifiers: true });
  useHotkeys('/', () => setFinding(true), { ...written, ignoreModifiers: true });
  useHotkeys('mod+z', () => dispatch(undoChange()), written);
  useHotkeys('mod+shift+z, mod+y', () => dispatch(redoChange()), written);

  return (
    <div className="shell">
      <nav className="rail" aria-label="Places">
        <img className="emblem" src="/icon.svg" alt="Aftersquall" width={34} height={34} />
        {PLACES.map(({ path, name, icon: Icon, key }) => (
          <NavLink key={path} to={`/${mapId}/${path}`} title={`${name} (${key})`}>
            <Icon size={20} aria-hidden />
            {name}
          </NavLink>
        ))}
        <button type="button" className="foot" title="Find anything (/)" onClick={() => setFinding(true)}>
          <Search size={18} aria-hidden />
          Find
        </button>
        <button type="button" onClick={() => setHelp(true)}>
          <CircleHelp size={18} aria-hidden />
          Keys
        </button>
        <button type="button" onClick={() => dispatch(setTheme(theme === 'dark' ? 'light' : 'dark'))}>
          {theme === 'dark' ? <Sun size={18} aria-hidden /> : <Moon size={18} aria-hidden />}
          {theme === 'dark' ? 'Light' : 'Dark'}
        </button>
      </nav>
      <main className="place">
        {session.state === 'missing' ? (
          <div className="teach">
            <h1>This map cannot be opened</h1>
            <p>{session.trouble}</p>
            <a href="/">Go to the maps there are</a>
          </div>
        ) : (
          session.map && <Outlet />
        )}
      </main>
      {session.lately && (
        <div className="toasts" role="status">
          <span>{session.lately}</span>
          <button type="button" className="btn btn-sm" onClick={() => dispatch(undoChange())}>
            Undo
          </button>
          <button
            type="button"
            className="btn-close btn-close-white"
            aria-label="Close"
            onClick={() => dispatch(told(undefined))}
          />
        </div>
      )}
      <RemovedMap />
      {session.conflict && <ConflictDialog conflict={session.conflict} />}
      {finding && session.map && <Finder map={session.map} onHide={() => setFinding(false)} />}
      <KeysHelp show={help} onHide={() => setHelp(false)} />
    </div>
  );
}
