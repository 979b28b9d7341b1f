import { ConfigProvider } from 'antd';
import { useSeason, useSeasonId } from '../api/useSeason';
import { SeedlingScreen } from '../screens/seedling/SeedlingScreen';
import { nonce } from './nonce';
import { themeFor } from '../theme/tokens';
import { useScheme } from '../theme/useScheme';

export function App() {
  const [scheme, toggle] = useScheme();
  const id = useSeasonId();
  const season = useSeason(id.data ?? null);
  const error = id.error ?? season.error;
  return (
    <ConfigProvider theme={themeFor(scheme)} csp={nonce ? { nonce } : undefined}>
      <header className="top">
        <p className="brand">Jolly <b>Penny</b></p>
        <nav aria-label="Steps"><ol className="labels"><li aria-current="step"><span>One seedling</span></li></ol></nav>
        <p className="season-name">{season.data?.season.name ?? ''}
          <button type="button" className="scheme" onClick={toggle}>{scheme === 'dark' ? 'Light colours' : 'Dark colours'}</button>
        </p>
      </header>
      <div className="soil" />
      {error && <main className="work"><p role="alert">{error.message}</p><button type="button" onClick={() => window.location.reload()}>Try again</button></main>}
      {!error && !season.data && <main className="work" aria-busy="true"><p>{id.data === null ? 'There is no season here yet.' : 'Fetching your season…'}</p></main>}
      {season.data && <SeedlingScreen state={season.data} />}
    </ConfigProvider>
  );
}
