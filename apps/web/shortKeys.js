const { createHash } = require('node:crypto');

const AREA = /^@patient-badger\/wording\/(?!testing$)\w+$/;
/** One area of the catalogue that takes words from another beside it. */
const BESIDE = /^\.\/\w+\.ts$/;
const isArea = (source, filename = '') => AREA.test(source) || (filename.includes('/wording/src/en/') && BESIDE.test(source));

/** Three letters for a key, the same wherever it stands; what two keys of one area would share is refused at the build. */
const shortOf = (key) =>
  createHash('sha1')
    .update(key)
    .digest('base64')
    .replace(/[^A-Za-z]/g, '')
    .slice(0, 3);

/**
 * Keys of the catalogue say what they stand for, to who reads the code. On the wire three letters do: some 17 kB less of
 * the app, packed. Only for areas exported as `t`, whose keys nobody looks up by a value.
 */
module.exports = ({ types }) => {
  const rename = (node, key, state) => {
    const name = shortOf(key);
    const { taken } = state;
    if (taken.has(name) && taken.get(name) !== key)
      throw new Error(`The keys ${key} and ${taken.get(name)} share ${name}: call one otherwise.`);
    taken.set(name, key);
    node.name = name;
  };
  const renameUses = (path, local, state) => {
    const binding = path.scope.getBinding(local);
    for (const { parent } of binding?.referencePaths ?? [])
      if (types.isMemberExpression(parent) && !parent.computed && types.isIdentifier(parent.property))
        rename(parent.property, parent.property.name, state);
  };
  return {
    visitor: {
      Program(path, state) {
        state.taken = new Map();
        for (const statement of path.get('body')) {
          if (statement.isImportDeclaration() && isArea(statement.node.source.value, state.filename)) {
            const of = statement.node.specifiers.find((specifier) => specifier.imported?.name === 't');
            // Another area, another set of keys.
            if (of) renameUses(path, of.local.name, { taken: new Map() });
          }
          if (!statement.isExportNamedDeclaration() || !types.isVariableDeclaration(statement.node.declaration)) continue;
          const [{ id, init }] = statement.node.declaration.declarations;
          if (id.name !== 't' || init?.callee?.name !== 'catalogue') continue;
          const uses = path.scope.getBinding('t').referencePaths;
          if (uses.some(({ parent }) => types.isMemberExpression(parent) && parent.computed)) continue;
          renameUses(path, 't', state);
          for (const property of init.arguments[0].properties)
            if (types.isIdentifier(property.key)) rename(property.key, property.key.name, state);
        }
      },
    },
  };
};
