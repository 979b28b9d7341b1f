import hooks from 'eslint-plugin-react-hooks';
import imports from 'eslint-plugin-import-x';
import tseslint from 'typescript-eslint';

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

export default tseslint.config(...tseslint.configs.strict, {
  files: ['web/src/**/*.{ts,tsx}'],
  plugins: { 'react-hooks': hooks, 'import-x': imports },
  settings: {
    'import-x/resolver-next': [imports.createNodeResolver({ extensions: ['.ts', '.tsx'] })],
    'import-x/extensions': ['.ts', '.tsx'],
  },
  rules: {
    ...hooks.configs.recommended.rules,
    '@typescript-eslint/no-explicit-any': 'error',
    // A screen is made of parts with a name each; what is longer than this reads like none.
    'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
    'import-x/no-cycle': 'error',
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
});
