module.exports = (api) => {
  const isTest = api.env('test');
  /** Only the parts of Paper that are used. */
  const partsOfPaper = [
    'react-native-paper/babel',
    { mappings: require.resolve('./scripts/paper-parts.cjs') },
  ];
  return {
    presets: ['babel-preset-expo'],
    // The test runner has no modules that load later; there they load at once.
    plugins: isTest ? ['@babel/plugin-transform-dynamic-import'] : [partsOfPaper],
  };
};
