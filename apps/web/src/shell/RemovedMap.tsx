import { useNavigate } from 'react-router';
import { useGiveBackMapMutation } from '../store/api.ts';
import { selectSession, toldOfMap } from '../store/mapSession.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

/** The offer to have a map back that was just removed. */
export function RemovedMap() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { removedMap } = useAppSelector(selectSession);
  const [giveBack] = useGiveBackMapMutation();
  if (!removedMap) return null;
  const undo = async () => {
    const { data } = await giveBack(removedMap.id);
    dispatch(toldOfMap(undefined));
    if (data) navigate(`/${removedMap.id}/map`);
  };
  return (
    <div className="toasts" role="status">
      <span>Removed the map “{removedMap.name}”.</span>
      <button type="button" className="btn btn-sm" onClick={() => void undo()}>
        Undo
      </button>
      <button
        type="button"
        className="btn-close btn-close-white"
        aria-label="Close"
        onClick={() => dispatch(toldOfMap(undefined))}
      />
    </div>
  );
}
