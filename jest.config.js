/** Our own code runs as it is written: only types, JSX and modules are turned into what Jest reads. */
const plain = [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'commonjs' },
  },
];

/** Packages that ship as modern modules only. */
const MODERN =
  'iso-3166|temporal-|intl-messageformat|@formatjs|fast-check|pure-rand|immer|@reduxjs|redux|react-redux|reselect|d3-array|internmap|flatbush|flatqueue|ical|mdast-util-|micromark|decode-named-character-reference|character-entities|unist-util-|devlop|dequal';

/** Our own files. */
const OURS = `^(?!.*/node_modules/).*/(core|carriers|gazetteer|demo|ui)/.*\\.tsx?$`;
/** Packages that ship without Flow and without anything that Expo's preset has to replace: Babel takes ten times as long. */
const PLAIN_PACKAGES = `/node_modules/(${MODERN}|react-native-paper|react-native-svg|@react-native-async-storage)[^/]*/.*\\.m?js$`;

/** Copies of the project, as mutation testing and the bench make. */
const COPIES = ['<rootDir>/.emporos/'];

const preset = require('jest-expo/jest-preset');

/** The core and the shells without an interface run in plain Node; the interface runs with jest-expo. */
module.exports = {
  testTimeout: 90_000,
  maxWorkers: '100%',
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,carriers,gazetteer,server,cli,demo,scripts,bench}/**/*.test.ts'],
      transform: { '\\.m?[jt]sx?$': plain },
      modulePathIgnorePatterns: COPIES,
      transformIgnorePatterns: [`/node_modules/(?!(${MODERN}))`],
    },
    {
      displayName: 'ui',
      modulePathIgnorePatterns: COPIES,
      preset: 'jest-expo',
      transform: { [OURS]: plain, [PLAIN_PACKAGES]: plain, ...preset.transform },
      transformIgnorePatterns: [
        `/node_modules/(?!(${MODERN}|(jest-)?react-native|@react-native|expo|@expo|standard-navigation))`,
      ],
      testMatch: ['<rootDir>/ui/**/*.test.{ts,tsx}'],
      moduleNameMapper: {
        '^expo-router$': '<rootDir>/ui/testing/router.ts',
        '^@react-native-vector-icons/material-design-icons$': '<rootDir>/ui/theme/icon-set.tsx',
        '^(d3-(array|geo))$': '<rootDir>/node_modules/$1/dist/$1.js',
      },
      fakeTimers: { enableGlobally: true },
    },
  ],
};
