import { Archive, CircleHelp, Moon, Search, Sun } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useHotkeys } from 'react-hotkeys-hook';
import { Navigate, NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { RemovedDialog } from '../components/RemovedDialog.tsx';
import { useListDocumentsQuery } from '../store/api.ts';
import { selectAsking, selectEdited } from '../store/documents/documentsSlice.ts';
import { redoChange, undoChange } from '../store/documents/engine.ts';
import { useDocument } from '../store/documents/useDocument.ts';
import { selectMapId } from '../store/openMap.ts';
import { setTheme, showMap } from '../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { useTheme } from '../theme/useTheme.ts';
import { AsideDialog, useAside } from './AsideDialog.tsx';
import { CannotAsk } from './CannotAsk.tsx';
import { ConflictDialog } from './ConflictDialog.tsx';
import { Finder } from './Finder.tsx';
import { KeysHelp } from './KeysHelp.tsx';
import { Notices } from './Notices.tsx';
import { PLACES } from './places.ts';
import styles from './shell.module.scss';
import { say } from './words.ts';

/** The rail, the place beside it, and what belongs to every place: keys, conflicts, what was just done. */
export function Shell() {
  const { mapId, ready, none } = useMapId();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const session = useDocument('map', mapId);
  const edited = useAppSelector(selectEdited);
  const asking = useAppSelector(selectAsking);
  const theme = useTheme();
  const place = useRef<HTMLElement>(null);
  const [help, setHelp] = useState(false);
  const [finding, setFinding] = useState(false);
  const aside = useAside();
  const [showAside, setShowAside] = useState(false);
  const [removed, setRemoved] = useState(false);

  useHotkeys(
    PLACES.map(({ key }) => key),
    (event) => {
      const place = PLACES.find(({ key }) => key === event.key);
      if (place && mapId) navigate(place.address(mapId));
    },
  );
  // By what a key writes, not by where it lies: layouts differ.
  const written = { preventDefault: true, useKey: true };
  useHotkeys('?', () => setHelp(true), { ...written, ignoreModifiers: true });
  const find = () => {
    setHelp(false);
    setFinding(true);
  };
  useHotkeys('/', find, { ...written, ignoreModifiers: true });
  useHotkeys('mod+z', () => edited && dispatch(undoChange(edited.address)), written);
  useHotkeys('mod+shift+z, mod+y', () => edited && dispatch(redoChange(edited.address)), written);

  // Everything of the club's works with a map: the first one is named first.
  if (none) return <Navigate to="/" replace />;
  return (
    <div className={styles.shell}>
      <button type="button" className={styles['skip-link']} onClick={() => place.current?.focus()}>
        Skip to the place
      </button>
      <nav className={styles.rail} aria-label="Places">
        <img className={styles.emblem} src="/icon.svg" alt="Aftersquall" width={34} height={34} />
        {mapId &&
          PLACES.map(({ name, icon: Icon, key, address, end, also }) => (
            <NavLink
              key={name}
              to={address(mapId)}
              end={end}
              title={`${name} (${key})`}
              className={({ isActive }) => (isActive || pathname === also ? 'active' : '')}
            >
              <Icon size={20} aria-hidden />
              {name}
            </NavLink>
          ))}
        <button type="button" className="foot" title="Find anything (/)" onClick={find}>
          <Search size={18} aria-hidden />
          Find
        </button>
        {aside.length > 0 && (
          <button type="button" onClick={() => setShowAside(true)}>
            <Archive size={18} aria-hidden />
            Aside {aside.length}
          </button>
        )}
        <button type="button" onClick={() => setHelp(true)}>
          <CircleHelp size={18} aria-hidden />
          Keys
        </button>
        <button type="button" onClick={() => dispatch(setTheme(theme === 'dark' ? 'light' : 'dark'))}>
          {theme === 'dark' ? <Sun size={18} aria-hidden /> : <Moon size={18} aria-hidden />}
          {theme === 'dark' ? 'Light' : 'Dark'}
        </button>
      </nav>
      <main className={styles.place} ref={place} tabIndex={-1}>
        {session?.state === 'missing' ? (
          <div className="teach">
            <h1>{session.online ? say.mapCannotOpened : say.serverDoesNotAnswer2}</h1>
            <p>{session.online ? session.trouble : say.deviceHasNoCopy}</p>
            {session.waiting.length > 0 && <p>{say.changesKeptDevice}</p>}
            <div className="d-flex gap-2">
              {session.online && (
                <button type="button" className="btn btn-plain" onClick={() => setRemoved(true)}>
                  Was it removed?
                </button>
              )}
              <a className="btn btn-plain" href="/">
                Go to the maps there are
              </a>
            </div>
          </div>
        ) : (
          ready && session?.shown && <Outlet />
        )}
      </main>
      <Notices onAside={() => setShowAside(true)} />
      {asking?.conflict && (
        <ErrorBoundary
          key={asking.conflict.key}
          fallbackRender={({ resetErrorBoundary }) => (
            <CannotAsk session={asking} conflict={asking.conflict!} onDone={resetErrorBoundary} />
          )}
        >
          <ConflictDialog session={asking} conflict={asking.conflict} />
        </ErrorBoundary>
      )}
      {showAside && <AsideDialog all={aside} onHide={() => setShowAside(false)} />}
      {finding && session?.shown && <Finder map={session.shown} onHide={() => setFinding(false)} />}
      {removed && <RemovedDialog onHide={() => setRemoved(false)} />}
      <KeysHelp show={help && !finding} onHide={() => setHelp(false)} />
    </div>
  );
}

/** The map in the address; for the places of the club the one that was there last, else the first there is. */
function useMapId(): { mapId: string | undefined; ready: boolean; none: boolean } {
  const { mapId } = useParams();
  const dispatch = useAppDispatch();
  const last = useAppSelector(selectMapId);
  const { data: maps } = useListDocumentsQuery({ params: { kind: 'map' } }, { skip: mapId !== undefined });
  const known = maps?.some(({ id }) => id === last) ? last : maps?.[0]?.id;
  const wanted = mapId ?? known;
  useEffect(() => {
    if (wanted !== undefined) dispatch(showMap(wanted));
  }, [dispatch, wanted]);
  // The places read the map that was shown last: they wait until it is the wanted one.
  return {
    mapId: wanted,
    ready: wanted !== undefined && wanted === last,
    none: wanted === undefined && maps?.length === 0,
  };
}
