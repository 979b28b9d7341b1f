import { ConfigProvider } from 'antd';
import { lazy, Suspense, useEffect, useLayoutEffect } from 'react';
import { Navigate, Outlet, Route, Routes, useLocation, useParams } from 'react-router';
import { dropEarlyWords } from '../season/fromPage';
import { SeasonProvider } from '../season/SeasonContext';
import { useSeasons } from '../screens/seasons/useSeasons';
import { words } from '../api/client';
import { nonce } from '../api/nonce';
import { NoConnection } from './NoConnection';
import { ScreenGuard } from './ScreenGuard';
import { fetchAhead, screens } from './screens';
import { TopBar } from './TopBar';
import { themeFor } from '../theme/tokens';
import { useScheme } from '../theme/useScheme';

const ListScreen = lazy(screens.list);
const SeedlingScreen = lazy(screens.seedling);
const SeasonsScreen = lazy(screens.seasons);
const CompareScreen = lazy(screens.compare);
const CalendarScreen = lazy(screens.calendar);
const RaisingScreen = lazy(screens.raising);
const PotsScreen = lazy(screens.pots);
const BenchScreen = lazy(screens.bench);
const ShoppingScreen = lazy(screens.shopping);
const TodayScreen = lazy(screens.today);
const TraysScreen = lazy(screens.trays);
const LogScreen = lazy(screens.log);
const WeatherScreen = lazy(screens.weather);
const ReckoningScreen = lazy(screens.reckoning);
const AdviceScreen = lazy(screens.advice);
const LedgerScreen = lazy(screens.ledger);
const PricesScreen = lazy(screens.prices);
const ShedScreen = lazy(screens.shed);
const GlossaryScreen = lazy(screens.glossary);
const BeginScreen = lazy(screens.begin);
const FirstAnswerScreen = lazy(screens.first);
const GuessesScreen = lazy(screens.guesses);
const CautionsScreen = lazy(screens.cautions);
const account = () => import('../screens/account/AccountScreens');
const AccountScreen = lazy(() => account().then((module) => ({ default: module.AccountScreen })));
const SignInScreen = lazy(() => account().then((module) => ({ default: module.SignInScreen })));
const ForgottenScreen = lazy(() => account().then((module) => ({ default: module.ForgottenScreen })));
const NewPasswordScreen = lazy(() => account().then((module) => ({ default: module.NewPasswordScreen })));

/** After the first screen is drawn, and has had time to ask for what it shows. */
const AHEAD_MS = 2500;

/** Rendered together with the first screen, and so only when that is there. */
function Arrived() {
  const { pathname } = useLocation();
  // From there one is led on to a season's screen, which may not be here yet.
  const arrived = pathname !== '/';
  useLayoutEffect(() => {
    if (arrived) dropEarlyWords();
  }, [arrived]);
  useEffect(() => {
    if (!arrived) return;
    const left = new AbortController();
    const timer = window.setTimeout(() => void fetchAhead(left.signal), AHEAD_MS);
    return () => {
      window.clearTimeout(timer);
      left.abort();
    };
  }, [arrived]);
  return null;
}

export function App() {
  const [scheme, toggle] = useScheme();
  return (
    <ConfigProvider theme={themeFor(scheme)} csp={nonce ? { nonce } : undefined}>
      <ScreenGuard>
        <Suspense fallback={<main className="work" id="work" aria-busy="true" />}>
          <Arrived />
          <Routes>
            <Route path="/seasons/:season" element={<SeasonFrame scheme={scheme} toggle={toggle} />}>
              <Route index element={<Navigate to="compare" replace />} />
              <Route path="list" element={<ListScreen />} />
              <Route path="calendar" element={<CalendarScreen />} />
              <Route path="raising" element={<RaisingScreen />} />
              <Route path="pots" element={<PotsScreen />} />
              <Route path="bench" element={<BenchScreen />} />
              <Route path="compare" element={<CompareScreen />} />
              <Route path="reckoning" element={<ReckoningScreen />} />
              <Route path="advice" element={<AdviceScreen />} />
              <Route path="ledger" element={<LedgerScreen />} />
              <Route path="guesses" element={<GuessesScreen />} />
              <Route path="first" element={<FirstAnswerScreen />} />
              <Route path="methods" element={<Navigate to="../raising" replace />} />
              <Route path="shed" element={<Navigate to="/shed" replace />} />
              <Route path="prices" element={<Navigate to="/prices" replace />} />
              <Route path="shopping" element={<ShoppingScreen />} />
              <Route path="today" element={<TodayScreen />} />
              <Route path="trays" element={<TraysScreen />}>
                <Route path=":tray/:row" element={null} />
              </Route>
              <Route path="weather" element={<WeatherScreen />} />
              <Route path="log" element={<LogScreen />} />
              <Route path="crops/:crop" element={<SeedlingScreen />} />
            </Route>
            <Route element={<PlainFrame scheme={scheme} toggle={toggle} />}>
              <Route path="/" element={<LastSeason />} />
              <Route path="/seasons" element={<SeasonsScreen />} />
              <Route path="/begin" element={<BeginScreen />} />
              <Route path="/prices" element={<PricesScreen />} />
              <Route path="/shed" element={<ShedScreen />} />
              <Route path="/cautions" element={<CautionsScreen />} />
              <Route path="/words" element={<GlossaryScreen />} />
              <Route path="/account" element={<AccountScreen />} />
              <Route path="/sign-in" element={<SignInScreen />} />
              <Route path="/forgotten" element={<ForgottenScreen />} />
              <Route path="/new-password" element={<NewPasswordScreen />} />
              <Route
                path="*"
                element={
                  <main className="work" id="work">
                    <h1>There is no such page</h1>
                    <p>
                      <a href="/">Your garden</a>
                    </p>
                  </main>
                }
              />
            </Route>
          </Routes>
        </Suspense>
      </ScreenGuard>
    </ConfigProvider>
  );
}

interface FrameProps {
  scheme: 'light' | 'dark';
  toggle: () => void;
}

function SeasonFrame(props: FrameProps) {
  const id = Number(useParams().season);
  return (
    <SeasonProvider key={id} id={id}>
      <TopBar {...props} season={id} />
      <Outlet />
    </SeasonProvider>
  );
}

/** What plain pages are called in the window's title. */
const TITLES: Record<string, string> = {
  '/seasons': 'Your seasons',
  '/shed': 'The shed',
  '/prices': 'Your prices',
  '/cautions': 'Safety',
  '/words': 'What the words mean',
  '/account': 'Your garden',
  '/sign-in': 'Sign in',
};

function PlainFrame(props: FrameProps) {
  const { pathname } = useLocation();
  useEffect(() => {
    document.title = [TITLES[pathname], 'Jolly Penny'].filter(Boolean).join(' · ');
  }, [pathname]);
  return (
    <>
      <TopBar {...props} season={null} />
      <NoConnection />
      <Outlet />
    </>
  );
}

/** The start page: the season changed last. */
function LastSeason() {
  const { data, error } = useSeasons();
  if (error)
    return (
      <main className="work" id="work">
        <p role="alert">
          {words(error)} <a href="/">Try again</a>
        </p>
      </main>
    );
  if (!data)
    return (
      <main className="work" id="work" aria-busy="true">
        <p className="quiet">Fetching your season…</p>
      </main>
    );
  const season = data.seasons.find(({ archived }) => !archived);
  return <Navigate to={season ? `/seasons/${season.id}/${season.crops === 0 ? 'list' : 'compare'}` : '/seasons'} replace />;
}
