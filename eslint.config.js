import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(...tseslint.configs.strict, {
  files: ['web/src/**/*.{ts,tsx}'],
  plugins: { 'react-hooks': hooks },
  rules: { ...hooks.configs.recommended.rules, '@typescript-eslint/no-explicit-any': 'error' },
});
