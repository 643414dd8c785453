module.exports = (api) => {
  const isTest = api.env('test');
  return {
    presets: ['babel-preset-expo'],
    // The test runner has no modules that load later; there they load at once.
    plugins: isTest ? ['@babel/plugin-transform-dynamic-import'] : [],
  };
};
