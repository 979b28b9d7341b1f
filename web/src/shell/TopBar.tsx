import { Dropdown } from 'antd';
import { useContext, useSyncExternalStore } from 'react';
import { Link, NavLink, useLocation, useNavigate } from 'react-router';
import { SeasonContext } from '../season/SeasonContext';
import type { SeasonStore } from '../season/SeasonStore';
import { useAccount } from '../screens/account/useAccount';
import { STEPS } from './steps';

interface Props { scheme: 'light' | 'dark'; toggle: () => void; season: number | null }

/** The work's steps as labels stuck in the soil, and the way to everything else. */
export function TopBar({ scheme, toggle, season }: Props) {
  const navigate = useNavigate();
  const store = useContext(SeasonContext);
  const { data: account } = useAccount();
  const items = [
    { key: '/seasons', label: 'Your seasons' }, { key: '/account', label: account?.trial === false ? 'Your account' : 'Keep this garden' },
    { key: '/cautions', label: 'Take care' }, { key: 'scheme', label: scheme === 'dark' ? 'Light colours' : 'Dark colours' },
  ];
  return (
    <>
      <a className="skip" href="#work">To the work</a>
      <header className="top">
        <p className="brand"><Link to="/">Jolly <b>Penny</b></Link></p>
        {season !== null && <Steps season={season} />}
        <Dropdown trigger={['click']} menu={{ items, onClick: ({ key }) => (key === 'scheme' ? toggle() : void navigate(key)) }}>
          <button type="button" className="season-name" data-menu>{store ? <SeasonName store={store} /> : account?.email ?? 'Your garden'} <span aria-hidden="true">▾</span></button>
        </Dropdown>
      </header>
      <div className="soil" />
    </>
  );
}

function SeasonName({ store }: { store: SeasonStore }) {
  return useSyncExternalStore(store.subscribe, () => store.get().season?.name ?? '…');
}

function Steps({ season }: { season: number }) {
  const { pathname } = useLocation();
  const here = STEPS.find(({ path }) => pathname.startsWith(`/seasons/${season}/${path}`)) ?? STEPS[0];
  const links = STEPS.map(({ path, name }, index) => (
    <li key={path}><NavLink to={`/seasons/${season}/${path}`} className={path === here?.path ? 'here' : ''} aria-current={path === here?.path ? 'step' : undefined}><small>{index + 1}</small> {name}</NavLink></li>
  ));
  return (
    <nav aria-label="Steps">
      <ol className="labels">{links}</ol>
      <details className="labels-narrow" key={pathname}><summary>{here?.name}</summary><ol>{links}</ol></details>
    </nav>
  );
}
