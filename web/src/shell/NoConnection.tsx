import { useMutationState } from '@tanstack/react-query';
import { useOnline } from '../season/useOnline';
import s from './shell.module.css';

/** On pages outside a season: that the server cannot be reached, and what becomes of what was pressed. */
export function NoConnection() {
  const isOnline = useOnline();
  const waiting = useMutationState({ filters: { predicate: ({ state }) => state.isPaused } }).length;
  return (
    <p className={s.noConnection} role="status" data-part="no-connection">
      {!isOnline && '▲ There is no connection. What you have typed stays here.'}
      {!isOnline && waiting > 0 && ' What you pressed is done as soon as there is one: leave this page open.'}
    </p>
  );
}
