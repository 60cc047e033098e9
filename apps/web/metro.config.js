const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

// Zod ships its messages in some forty languages and imports them all; the core words its own.
const onlyEnglish = path.join(__dirname, 'src/zodLocales.js');
config.resolver.resolveRequest = (context, name, platform) => {
  const fromZod = context.originModulePath.includes(`${path.sep}zod${path.sep}v4${path.sep}`);
  if (fromZod && /locales\/index\.js$/.test(name)) return { type: 'sourceFile', filePath: onlyEnglish };
  return context.resolveRequest(context, name, platform);
};

// While developing, the server stands beside the bundler: one origin for the screens, as it is in the shop.
if (process.env.API_PORT) {
  const { createProxyMiddleware } = require('http-proxy-middleware');
  const toServer = createProxyMiddleware({ target: `http://127.0.0.1:${process.env.API_PORT}`, pathFilter: '/api' });
  config.server.enhanceMiddleware = (bundler) => (request, response, next) =>
    toServer(request, response, () => bundler(request, response, next));
}

module.exports = withNativeWind(config, { input: './global.css' });
