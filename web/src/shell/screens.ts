/** The code of each screen that stands at the end of a path of this name, or is reached from one. */
export const screens = {
  list: () => import('../screens/growlist/ListScreen').then((module) => ({ default: module.ListScreen })),
  seedling: () => import('../screens/seedling/SeedlingScreen').then((module) => ({ default: module.SeedlingScreen })),
  seasons: () => import('../screens/seasons/SeasonsScreen').then((module) => ({ default: module.SeasonsScreen })),
  compare: () => import('../screens/compare/CompareScreen').then((module) => ({ default: module.CompareScreen })),
  calendar: () => import('../screens/calendar/CalendarScreen').then((module) => ({ default: module.CalendarScreen })),
  raising: () => import('../screens/raising/RaisingScreen').then((module) => ({ default: module.RaisingScreen })),
  pots: () => import('../screens/pots/PotsScreen').then((module) => ({ default: module.PotsScreen })),
  bench: () => import('../screens/bench/BenchScreen').then((module) => ({ default: module.BenchScreen })),
  shopping: () => import('../screens/shopping/ShoppingScreen').then((module) => ({ default: module.ShoppingScreen })),
  today: () => import('../screens/today/TodayScreen').then((module) => ({ default: module.TodayScreen })),
  trays: () => import('../screens/trays/TraysScreen').then((module) => ({ default: module.TraysScreen })),
  log: () => import('../screens/log/LogScreen').then((module) => ({ default: module.LogScreen })),
  weather: () => import('../screens/weather/WeatherScreen').then((module) => ({ default: module.WeatherScreen })),
  reckoning: () => import('../screens/reckoning/ReckoningScreen').then((module) => ({ default: module.ReckoningScreen })),
  advice: () => import('../screens/reckoning/AdviceScreen').then((module) => ({ default: module.AdviceScreen })),
  ledger: () => import('../screens/ledger/LedgerScreen').then((module) => ({ default: module.LedgerScreen })),
  prices: () => import('../screens/prices/PricesScreen').then((module) => ({ default: module.PricesScreen })),
  shed: () => import('../screens/shed/ShedScreen').then((module) => ({ default: module.ShedScreen })),
  glossary: () => import('../screens/glossary/GlossaryScreen').then((module) => ({ default: module.GlossaryScreen })),
  begin: () => import('../screens/begin/BeginScreen').then((module) => ({ default: module.BeginScreen })),
  first: () => import('../screens/begin/FirstAnswerScreen').then((module) => ({ default: module.FirstAnswerScreen })),
  guesses: () => import('../screens/guesses/GuessesScreen').then((module) => ({ default: module.GuessesScreen })),
  cautions: () => import('../screens/cautions/CautionsScreen').then((module) => ({ default: module.CautionsScreen })),
};

const idle = () =>
  new Promise<unknown>((done) => ('requestIdleCallback' in window ? requestIdleCallback(done) : setTimeout(done, 50)));

/**
 * Fetches the screens besides the one that is opened, one by one when nothing else is to do, so that they are there without a connection too.
 * What does not come is asked for again where it is opened, and told there.
 */
export async function fetchAhead(left: AbortSignal) {
  for (const screen of Object.values(screens)) {
    await idle();
    if (left.aborted) return;
    await screen().catch(() => undefined);
  }
}
