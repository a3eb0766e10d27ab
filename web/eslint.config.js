import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist', 'src/api/contracts.ts', 'src/api/shapes.ts'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  { files: ['src/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: hooks.configs['recommended-latest'].rules },
  { files: ['scripts/**'], languageOptions: { globals: { process: 'readonly', URL: 'readonly' } } },
);
