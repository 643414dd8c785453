const babel = { '\\.[jt]sx?$': ['babel-jest', { presets: ['babel-preset-expo'] }] };

/** The core and the shells without an interface run in plain Node; the interface runs with jest-expo. */
module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,carriers,server,cli,demo,scripts}/**/*.test.ts'],
      transform: babel,
      transformIgnorePatterns: ['/node_modules/(?!(iso-3166|temporal-[a-z]+|fast-check|pure-rand)/)'],
    },
    {
      displayName: 'ui',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/ui/**/*.test.{ts,tsx}'],
      setupFiles: ['<rootDir>/ui/testing/setup.ts'],
    },
  ],
};
