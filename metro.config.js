const { join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');

/** Zod's own messages in fifty languages are never shown: every fault is worded by the core. */
const isZodLocales = (from, name) => /node_modules\/zod\//.test(from) && /locales\/index\.js$/.test(name);

/** Where Paper's controls look for an icon font; ours are outlines, and only those that are used. */
const ICON_FONT = '@react-native-vector-icons/material-design-icons';
const ICON_SET = join(__dirname, 'ui', 'theme', 'icon-set.tsx');

config.resolver.resolveRequest = (context, name, platform) => {
  if (isZodLocales(context.originModulePath, name)) return { type: 'empty' };
  if (name === ICON_FONT) return { type: 'sourceFile', filePath: ICON_SET };
  return context.resolveRequest(context, name, platform);
};

module.exports = config;
