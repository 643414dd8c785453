const { availableParallelism } = require('node:os');
const { join } = require('node:path');
const { buildSync } = require('esbuild');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');
config.transformer.minifierPath = join(__dirname, 'scripts', 'minify.cjs');
config.transformer.minifierConfig = {};
// One worker a processor: by itself Metro would use one of two.
config.maxWorkers = availableParallelism();

/**
 * Zod's own messages in fifty languages are never shown, for every fault is worded by the core; nor are JSON schemas
 * made, nor schemas compiled.
 */
const isUnusedZod = (from, name) =>
  /node_modules\/zod\//.test(from) &&
  /(locales\/index|json-schema-processors|json-schema-generator|from-json-schema|core\/compile|^\.\/compile)\.js$/.test(
    name,
  );

/** The methods for JSON schemas that every Zod schema is given, without what they would do. */
const isJsonSchemaMaker = (from, name) =>
  /node_modules\/zod\//.test(from) && /core\/to-json-schema\.js$|^\.\/to-json-schema\.js$/.test(name);
const NO_JSON_SCHEMA = join(__dirname, 'ui', 'shell', 'no-json-schema.ts');

/** Reading SVG out of files and texts: our drawings are made of elements. */
const isUnusedSvg = (from, name) =>
  /react-native-svg\/.*ReactNativeSVG\.web\.(js|ts)$/.test(from) &&
  /^\.\/(xml|deprecated|utils\/fetchData)$/.test(name);

/** One library of colours is enough: the router's and Paper's copies are alike in all that they use. */
const COLOURS = /^color(-convert|-name|-string)?$/;
const HERE = join(__dirname, 'package.json');

/** Where Paper's controls look for an icon font; ours are outlines, and only those that are used. */
const ICON_FONT = '@react-native-vector-icons/material-design-icons';
const ICON_SET = join(__dirname, 'ui', 'theme', 'icon-set.tsx');

/** Paper carries a palette of three hundred colours of which nine are named. */
const isFormerPalette = (from, name) =>
  /node_modules\/react-native-paper\//.test(from) && /(v2\/colors|^\.\/colors)$/.test(name);
const FORMER_COLOURS = join(__dirname, 'ui', 'theme', 'former-colours.ts');

/**
 * The router brings navigators for stacks and tabs of native programs, and pages of its own, with its few functions
 * that are used here: slots, addresses and redirections. What is left out is never named by us.
 */
const UNUSED_ROUTER = [
  [/expo-router\/build\/index\.js$/, /^\.\/(stack|color)$/],
  [/expo-router\/build\/exports\.js$/, /^\.\/(layouts\/(Tabs|experimental-stack)|standard-navigation)$/],
  [/expo-router\/build\/layouts\/StackClient\.js$/, /^\.\/stack-utils$/],
  [/expo-router\/build\/(exports|ExpoRoot|getRoutes)\.js$/, /^\.\/views\/Sitemap$/],
  [/expo-router\/build\/link\/ExpoLink\.js$/, /^\.\/LinkWithPreview$/],
  [/expo-router\/build\/react-navigation\/core\/index\.js$/, /^\.\/(StaticNavigation|getStateFromPath)$/],
  [
    /expo-router\/build\/react-navigation\/native\/index\.js$/,
    /^\.\/(createStaticNavigation|NavigationContainer|useLinkProps|Link)$/,
  ],
  [/expo-router\/build\/react-navigation\/routers\/index\.js$/, /^\.\/(Tab|Drawer)Router$/],
];
const isUnusedRouter = (from, name) =>
  UNUSED_ROUTER.some(([origin, module]) => origin.test(from) && module.test(name));

/** The router's slots use the history of a stack alone: views and tabs of native programs are never drawn, nor its heads. */
const isReplacedInRouter = (from, name) =>
  /expo-router\/build\//.test(from) &&
  /(createNativeStackNavigator|NativeTabTrigger|screensFeatureFlags|^\.\/head)$/.test(name);
const ROUTER_STAND_INS = join(__dirname, 'ui', 'shell', 'router-stand-ins.ts');

/** Of the bar of tabs, the router's own pages ask only how high it is. */
const isTabBar = (from, name) =>
  /expo-router\/build\/views\//.test(from) && name === '../react-navigation/bottom-tabs';
const TAB_BAR_HEIGHT = join(
  __dirname,
  'node_modules/expo-router/build/react-navigation/bottom-tabs/utils/BottomTabBarHeightContext.js',
);

/** The router asks for all of React Native at once, with lists and switches that it never shows: it gets what it uses. */
const isAllOfNative = (from, name) =>
  /expo-router\/build\//.test(from) && name === 'react-native-web/dist/index';
const NATIVE_PARTS = join(__dirname, 'ui', 'shell', 'native-parts.ts');

/** Lists whose style moves: nothing here does that to a list. */
const isMovingList = (from, name) =>
  /react-native-web\/dist\/vendor\/react-native\/Animated\/Animated\.js$/.test(from) &&
  /Animated(Flat|Section)List$/.test(name);

/** The plain module of tslib: its wrapper takes a default that Metro does not make. */
const TSLIB = join(__dirname, 'node_modules', 'tslib', 'tslib.es6.js');

/** Temporal without what is not used of it, which Metro cannot leave out of a module. */
const isTemporal = (name) => /\/temporal\.ts$/.test(name);
const TEMPORAL = join(__dirname, '.emporos', 'temporal.js');
buildSync({
  entryPoints: [join(__dirname, 'core', 'time', 'temporal.ts')],
  bundle: true,
  format: 'esm',
  target: 'es2022',
  outfile: TEMPORAL,
});

/** The gallery of parts is for development, and for its own test (GALLERY=1): it would come into every first load. */
const isGallery = (name) => /\/gallery\/gallery\.tsx$/.test(name);
const NO_GALLERY = join(__dirname, 'ui', 'gallery', 'no-gallery.ts');

config.resolver.resolveRequest = (context, name, platform) => {
  if (isGallery(name) && !context.dev && process.env.GALLERY !== '1')
    return { type: 'sourceFile', filePath: NO_GALLERY };
  const isUnused = [isUnusedZod, isUnusedRouter, isUnusedSvg, isMovingList].some((is) =>
    is(context.originModulePath, name),
  );
  if (isUnused) return { type: 'empty' };
  if (isJsonSchemaMaker(context.originModulePath, name))
    return { type: 'sourceFile', filePath: NO_JSON_SCHEMA };
  if (COLOURS.test(name))
    return context.resolveRequest({ ...context, originModulePath: HERE }, name, platform);
  if (isFormerPalette(context.originModulePath, name))
    return { type: 'sourceFile', filePath: FORMER_COLOURS };
  if (isReplacedInRouter(context.originModulePath, name))
    return { type: 'sourceFile', filePath: ROUTER_STAND_INS };
  if (isTabBar(context.originModulePath, name)) return { type: 'sourceFile', filePath: TAB_BAR_HEIGHT };
  if (isAllOfNative(context.originModulePath, name)) return { type: 'sourceFile', filePath: NATIVE_PARTS };
  if (isTemporal(name)) return { type: 'sourceFile', filePath: TEMPORAL };
  if (name === 'tslib') return { type: 'sourceFile', filePath: TSLIB };
  if (name === ICON_FONT) return { type: 'sourceFile', filePath: ICON_SET };
  return context.resolveRequest(context, name, platform);
};

module.exports = config;
