import { useEffect } from 'react';
import { Link, NavLink, useLocation, useNavigate } from 'react-router';
import { Menu } from '../edit/Menu';
import { useMaybeSnapshot } from '../season/SeasonContext';
import { useAccount } from '../screens/account/useAccount';
import { PARTS, STEPS } from './steps';
import { useAhead } from './useAhead';
import s from './shell.module.css';

interface Props {
  scheme: 'light' | 'dark';
  toggle: () => void;
  season: number | null;
}

/** The work's steps as labels stuck in the soil, and the way to everything else. */
export function TopBar({ scheme, toggle, season }: Props) {
  const navigate = useNavigate();
  const snapshot = useMaybeSnapshot();
  const { data: account } = useAccount();
  const items = [
    { key: '/seasons', label: 'Your seasons' },
    { key: '/shed', label: 'The shed' },
    { key: '/prices', label: 'Your prices' },
    { key: '/account', label: account?.trial === false ? 'Your account' : 'Keep this garden' },
    { key: '/cautions', label: 'Safety' },
    { key: '/words', label: 'What the words mean' },
    { key: 'scheme', label: scheme === 'dark' ? 'Light theme' : 'Dark theme' },
  ];
  return (
    <>
      <a className={s.skip} href="#work">
        Skip to the content
      </a>
      <header className={s.top}>
        <p className={s.brand}>
          <Link to="/">
            Jolly <b>Penny</b>
          </Link>
        </p>
        {season !== null && <Steps season={season} />}
        <Menu items={items} choose={(key) => (key === 'scheme' ? toggle() : void navigate(key))}>
          <button type="button" className={s.seasonName} data-menu>
            {snapshot?.entry?.demo === true && <span className={s.part}>Example</span>}
            {snapshot ? (snapshot.season?.name ?? '…') : (account?.email ?? 'Your garden')} <span aria-hidden="true">▾</span>
          </button>
        </Menu>
      </header>
      <div className={s.soil} />
    </>
  );
}

function Steps({ season }: { season: number }) {
  const { pathname } = useLocation();
  const name = useMaybeSnapshot()?.season?.name;
  const ahead = useAhead(season);
  const here = STEPS.find(({ path }) => pathname.startsWith(`/seasons/${season}/${path}`)) ?? STEPS[0];
  useEffect(() => {
    document.title = [here?.name, name, 'Jolly Penny'].filter(Boolean).join(' · ');
  }, [here, name]);
  const parts = PARTS.map(({ name: part, steps }) => (
    <li key={part}>
      <span className={s.part} id={`part-${part}`}>
        {part}
      </span>
      <ol aria-labelledby={`part-${part}`}>
        {steps.map(({ path, name }) => (
          <li key={path}>
            <NavLink
              to={`/seasons/${season}/${path}`}
              className={path === here?.path ? 'here' : undefined}
              aria-current={path === here?.path ? 'step' : undefined}
              {...ahead(path)}
            >
              {name}
            </NavLink>
          </li>
        ))}
      </ol>
    </li>
  ));
  return (
    <nav aria-label="Steps">
      <ol className={s.labels}>{parts}</ol>
      <details className={s.labelsNarrow} key={pathname}>
        <summary>{here?.name}</summary>
        <ol>{parts}</ol>
      </details>
    </nav>
  );
}
