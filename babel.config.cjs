// For Jest alone, in packages and server; the app has its own.
module.exports = {
  presets: [['@babel/preset-env', { targets: { node: 'current' } }], '@babel/preset-typescript'],
  plugins: ['babel-plugin-transform-import-meta'],
};
