import compat from 'eslint-plugin-compat';
import reactHooks from 'eslint-plugin-react-hooks';
import { importX } from 'eslint-plugin-import-x';
import tseslint from 'typescript-eslint';
import { FLOOR_WALLS, UI_FLOOR_WALLS } from './eslint.floors.mjs';

/** Which folder may import which: the core nothing of ours, the shells the core, the routes the interface. */
const wall = (target, from, message) => ({
  target: `./${target}`,
  from: from.map((folder) => `./${folder}`),
  message,
});
const WALLS = [
  wall(
    'core',
    ['carriers', 'gazetteer', 'server', 'cli', 'ui', 'app', 'demo', 'bench', 'fuzz'],
    'The core imports nothing outside the core.',
  ),
  wall('carriers', ['server', 'cli', 'ui', 'app'], 'The carriers import the core only.'),
  wall('gazetteer', ['carriers', 'server', 'cli', 'ui', 'app'], 'The gazetteer imports the core only.'),
  wall('server', ['cli', 'ui', 'app'], 'The server imports the core and the carriers.'),
  wall('cli', ['server', 'ui', 'app'], 'The command line imports the core and the carriers.'),
  wall('ui', ['server', 'cli', 'app'], 'The interface imports the core and the carriers.'),
  wall(
    'app',
    ['core', 'carriers', 'gazetteer', 'server', 'cli', 'demo'],
    'A route picks a screen of the interface, nothing else.',
  ),
  wall('demo', ['server', 'cli', 'ui', 'app', 'bench', 'fuzz'], 'The demo is data for the core.'),
];

const CORE_LIBRARIES = [
  'zod',
  'temporal-polyfill',
  'flatbush',
  'jsonrepair',
  'intl-messageformat',
  'iso-3166',
];

/** Days are those of the shop's time zone; one file reads the device's clock. */
const ONE_CLOCK = 'The moment and the day now come from ui/time/now.ts.';

export default tseslint.config(
  {
    ignores: [
      'export',
      'dist',
      'node_modules',
      '.emporos',
      '.expo',
      'coverage',
      '*.config.js',
      '**/*.cjs',
      'test-results',
      'examples/service.d.ts',
    ],
  },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx,mjs}'],
    plugins: { 'import-x': importX, 'react-hooks': reactHooks },
    settings: { 'import-x/resolver': { node: { extensions: ['.ts', '.tsx', '.js', '.json'] } } },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      '@typescript-eslint/explicit-module-boundary-types': 'off',
      'import-x/no-restricted-paths': ['error', { zones: [...WALLS, ...FLOOR_WALLS, ...UI_FLOOR_WALLS] }],
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'max-lines': ['error', { max: 400 }],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/utils*', '**/helpers*', '**/common*', '**/index.ts'],
              message: 'Import the file that has the idea.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['core/**/*.test.ts'],
    rules: {
      // A test of the core may take the demo shop as its example, the stand-ins for carriers, and whatever floor it needs.
      'import-x/no-restricted-paths': [
        'error',
        {
          zones: WALLS.map((one) =>
            one.target === './core'
              ? { ...one, from: one.from.filter((folder) => folder !== './demo' && folder !== './carriers') }
              : one,
          ),
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/testing/**'],
    rules: {
      'max-lines-per-function': ['error', { max: 40, skipBlankLines: true, skipComments: true }],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'setInterval',
        'localStorage',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core reads no clock.' },
        { object: 'Math', property: 'random', message: 'The core has no randomness.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: `ImportDeclaration[source.value=/^[^.]/]:not([source.value=/^(${CORE_LIBRARIES.join('|')})$/])`,
          message: 'The core imports its few libraries only.',
        },
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'The core reads no clock.',
        },
      ],
    },
  },
  {
    // What runs in browsers asks for nothing that those of .browserslistrc lack.
    files: ['{ui,app,core,carriers,gazetteer}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', '**/testing/**'],
    plugins: { compat },
    rules: { 'compat/compat': 'error' },
  },
  {
    files: ['ui/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', 'ui/testing/**', 'ui/time/now.ts'],
    rules: {
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'no-restricted-properties': ['error', { object: 'Date', property: 'now', message: ONE_CLOCK }],
      'no-restricted-syntax': [
        'error',
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: ONE_CLOCK },
      ],
    },
  },
);
