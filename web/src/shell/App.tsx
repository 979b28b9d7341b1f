import { App as Antd, ConfigProvider } from 'antd';
import { lazy, Suspense } from 'react';
import { Navigate, Outlet, Route, Routes, useParams } from 'react-router';
import { SeasonProvider } from '../season/SeasonContext';
import { GrowListScreen } from '../screens/growlist/GrowListScreen';
import { SeedlingScreen } from '../screens/seedling/SeedlingScreen';
import { useSeasons } from '../screens/seasons/useSeasons';
import { words } from '../api/client';
import { nonce } from '../api/nonce';
import { TopBar } from './TopBar';
import { themeFor } from '../theme/tokens';
import { useScheme } from '../theme/useScheme';

const SeasonsScreen = lazy(() =>
  import('../screens/seasons/SeasonsScreen').then((module) => ({ default: module.SeasonsScreen })),
);
const CompareScreen = lazy(() =>
  import('../screens/compare/CompareScreen').then((module) => ({ default: module.CompareScreen })),
);
const CalendarScreen = lazy(() =>
  import('../screens/calendar/CalendarScreen').then((module) => ({ default: module.CalendarScreen })),
);
const RaisingScreen = lazy(() =>
  import('../screens/raising/RaisingScreen').then((module) => ({ default: module.RaisingScreen })),
);
const PotsScreen = lazy(() => import('../screens/pots/PotsScreen').then((module) => ({ default: module.PotsScreen })));
const BenchScreen = lazy(() => import('../screens/bench/BenchScreen').then((module) => ({ default: module.BenchScreen })));
const CautionsScreen = lazy(() =>
  import('../screens/cautions/CautionsScreen').then((module) => ({ default: module.CautionsScreen })),
);
const account = () => import('../screens/account/AccountScreens');
const AccountScreen = lazy(() => account().then((module) => ({ default: module.AccountScreen })));
const SignInScreen = lazy(() => account().then((module) => ({ default: module.SignInScreen })));
const ForgottenScreen = lazy(() => account().then((module) => ({ default: module.ForgottenScreen })));
const NewPasswordScreen = lazy(() => account().then((module) => ({ default: module.NewPasswordScreen })));

export function App() {
  const [scheme, toggle] = useScheme();
  return (
    <ConfigProvider theme={themeFor(scheme)} csp={nonce ? { nonce } : undefined}>
      <Antd component={false}>
        <Suspense fallback={<main className="work" aria-busy="true" />}>
          <Routes>
            <Route path="/seasons/:season" element={<SeasonFrame scheme={scheme} toggle={toggle} />}>
              <Route index element={<Navigate to="compare" replace />} />
              <Route path="list" element={<GrowListScreen />} />
              <Route path="calendar" element={<CalendarScreen />} />
              <Route path="raising" element={<RaisingScreen />} />
              <Route path="pots" element={<PotsScreen />} />
              <Route path="bench" element={<BenchScreen />} />
              <Route path="compare" element={<CompareScreen />} />
              <Route path="crops/:crop" element={<SeedlingScreen />} />
            </Route>
            <Route element={<PlainFrame scheme={scheme} toggle={toggle} />}>
              <Route path="/" element={<LastSeason />} />
              <Route path="/seasons" element={<SeasonsScreen />} />
              <Route path="/cautions" element={<CautionsScreen />} />
              <Route path="/account" element={<AccountScreen />} />
              <Route path="/sign-in" element={<SignInScreen />} />
              <Route path="/forgotten" element={<ForgottenScreen />} />
              <Route path="/new-password" element={<NewPasswordScreen />} />
              <Route
                path="*"
                element={
                  <main className="work">
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
      </Antd>
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

function PlainFrame(props: FrameProps) {
  return (
    <>
      <TopBar {...props} season={null} />
      <Outlet />
    </>
  );
}

/** The start page: the season changed last. */
function LastSeason() {
  const { data, error } = useSeasons();
  if (error)
    return (
      <main className="work">
        <p role="alert">
          {words(error)} <a href="/">Try again</a>
        </p>
      </main>
    );
  if (!data)
    return (
      <main className="work" aria-busy="true">
        <p className="quiet">Fetching your season…</p>
      </main>
    );
  const season = data.seasons.find(({ archived }) => !archived);
  return <Navigate to={season ? `/seasons/${season.id}/${season.crops === 0 ? 'list' : 'compare'}` : '/seasons'} replace />;
}
