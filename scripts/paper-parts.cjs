const paper = require('react-native-paper/lib/mappings.json');

const theme = (name) => ({ [name]: { path: 'lib/module/styles/themes', name } });

/** Where each part of Paper lies, for its Babel plugin, which lacks the themes: one part that is not found would load all. */
module.exports = {
  ...paper,
  mappings: { ...paper.mappings, ...theme('MD3LightTheme'), ...theme('MD3DarkTheme') },
};
