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

module.exports = withNativeWind(config, { input: './global.css' });
