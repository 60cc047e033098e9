module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV);
  return {
    presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }], 'nativewind/babel'],
    plugins: process.env.NODE_ENV === 'production' ? ['./shortKeys.js'] : [],
  };
};
