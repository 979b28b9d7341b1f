import hooks from 'eslint-plugin-react-hooks';
import imports from 'eslint-plugin-import-x';
import tseslint from 'typescript-eslint';
import { queryKeys } from './web/query-keys.js';
import { seasonArithmetic } from './web/season-arithmetic.js';

// The rooms of web/src, each of which uses only those before it.
const ROOMS = [
  'api',
  'words',
  'charts',
  'theme',
  'files',
  'hooks',
  'season',
  'edit',
  'workings',
  'till',
  'page',
  'screens',
  'shell',
];

// Pictures are laid out by what they show.
const DRAWN = [
  'charts/PennyStack.tsx',
  'screens/compare/StackRow.tsx',
  'screens/growlist/SiteStrip.tsx',
  'screens/pots/Jar.tsx',
  'screens/pots/PotMeasures.tsx',
  'screens/raising/Ground.tsx',
  'screens/reckoning/BeliefTrack.tsx',
  'screens/reckoning/Bridge.tsx',
  'screens/reckoning/SurePart.tsx',
  'screens/trays/Tray.tsx',
  'screens/trays/useTrays.ts',
];
// What is ticked and counted while the server is away is added up on the device.
const OFFLINE = ['season/purchases.ts', 'season/useLog.ts', 'screens/today/DayHead.tsx', 'screens/today/jobFacts.ts'];
// A litre in another unit.
const UNITS = ['words/units.ts'];

export default tseslint.config(
  ...tseslint.configs.strict,
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: {
      'react-hooks': hooks,
      'import-x': imports,
      jolly: { rules: { 'season-arithmetic': seasonArithmetic, 'query-keys': queryKeys } },
    },
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    settings: {
      'import-x/resolver-next': [imports.createNodeResolver({ extensions: ['.ts', '.tsx'] })],
      'import-x/extensions': ['.ts', '.tsx'],
    },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-explicit-any': 'error',
      // A screen is made of parts with a name each; what is longer than this reads like none.
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      'jolly/season-arithmetic': 'error',
      'jolly/query-keys': 'error',
      'import-x/no-restricted-paths': [
        'error',
        {
          zones: ROOMS.slice(0, -1).map((room, n) => ({
            target: `./web/src/${room}`,
            from: ROOMS.slice(n + 1).map((later) => `./web/src/${later}`),
            message: `${room} stands before it (eslint.config.js says in which order).`,
          })),
        },
      ],
    },
  },
  {
    files: [...DRAWN, ...OFFLINE, ...UNITS].map((file) => `web/src/${file}`),
    rules: { 'jolly/season-arithmetic': 'off' },
  },
  { files: ['web/src/**/*.test.{ts,tsx}'], rules: { 'jolly/query-keys': 'off' } },
);
