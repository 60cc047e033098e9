const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

// What a package brings along and this app never shows; each would be fetched and run before the first screen.
const instead = (name) => path.join(__dirname, 'src/instead', name);
const UNUSED = [
  // Zod's messages in some forty languages; the core words its own.
  { of: 'zod', asked: /locales\/index\.js$/, file: instead('zodLocales.js') },
  // Tabs, stacks with native headers, previews, the router's own map of screens: the app has one slot and a frame of its own.
  { of: 'expo-router', asked: /layouts\/(Tabs|Stack|experimental-stack)$/, file: instead('nothing.js') },
  { of: 'expo-router', asked: /\/(LinkWithPreview|standard-navigation|views\/Sitemap)$/, file: instead('nothing.js') },
  { of: 'expo-router', asked: /createNativeStackNavigator$/, file: instead('nativeStack.js') },
  { of: 'expo-router', asked: /^\.\/stack-utils$/, file: instead('nothing.js') },
  { of: 'expo-router', asked: /react-navigation\/bottom-tabs$/, file: instead('bottomTabs.js') },
  // Class names for every component of React Native, lists with windows and all.
  { of: 'react-native-css-interop', asked: /^\.\/components$/, file: instead('styledComponents.js') },
];
config.resolver.resolveRequest = (context, name, platform) => {
  const from = context.originModulePath;
  const found = UNUSED.find(({ of, asked }) => from.includes(`${path.sep}node_modules${path.sep}${of}${path.sep}`) && asked.test(name));
  return found ? { type: 'sourceFile', filePath: found.file } : context.resolveRequest(context, name, platform);
};

// Words of the screens are UTF-8 and not escaped; browsers that run the app know ECMAScript 2020.
const minifier = config.transformer.minifierConfig;
config.transformer.minifierConfig = {
  ...minifier,
  ecma: 2020,
  compress: { ...minifier.compress, ecma: 2020, passes: 1 },
  // Locals are named once, over the whole script (`scripts/pack.js`).
  mangle: false,
  output: { ...minifier.output, ecma: 2020, ascii_only: false },
};

// While developing, the server stands beside the bundler: one origin for the screens, as it is in the shop.
if (process.env.API_PORT) {
  const { createProxyMiddleware } = require('http-proxy-middleware');
  const toServer = createProxyMiddleware({ target: `http://127.0.0.1:${process.env.API_PORT}`, pathFilter: '/api' });
  config.server.enhanceMiddleware = (bundler) => (request, response, next) =>
    toServer(request, response, () => bundler(request, response, next));
}

module.exports = withNativeWind(config, { input: './global.css' });
