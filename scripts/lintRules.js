/** Rules of this house for ESLint; `eslint.config.js` says where each holds. */

/** `each` is for what is read at a glance: a callback or loop of three lines at most; what is longer names what it goes over. */
const shortEach = {
  meta: { type: 'suggestion', schema: [] },
  create: (context) => {
    const named = (node) => node?.type === 'Identifier' && node.name === 'each';
    const check = (node, isNamed) => {
      const { start, end } = node.loc;
      if (isNamed && end.line - start.line > 2) context.report({ node, message: '`each` over more than three lines: name what it is.' });
    };
    const ofFunction = (node) => check(node, node.params.some(named));
    return {
      ArrowFunctionExpression: ofFunction,
      FunctionExpression: ofFunction,
      FunctionDeclaration: ofFunction,
      ForOfStatement: (node) => check(node, node.left.type === 'VariableDeclaration' && named(node.left.declarations[0].id)),
    };
  },
};

const WORDS_MESSAGE = 'Words that people read stand in packages/wording.';
/** Words with a space between them, of which one is a word and no class name, path, command or unit. */
const SENTENCE = /[A-Za-z]{2,}[,.;:!?’)”]* +[“(]?[a-z]{2,}/;
const CLASS_NAME =
  /^!?-?(?:[a-z]+:)*(?:[a-z]+(?:-[\w.[\]#%/()]+)+|bg-\w+\/\d+|fixed|\d+|flex|grow|shrink|absolute|relative|hidden|border|rounded|underline|italic)$/;
const isClassNames = (text) =>
  text
    .trim()
    .split(/\s+/)
    .every((each) => CLASS_NAME.test(each));
const UNREAD = /^\s*(?:SELECT|INSERT|UPDATE|DELETE|CREATE|ALTER|WITH|<|\/|HH|EEEE|d MM|translate|default-src)/;
/** Attributes of an element that people read or hear. */
const READ_ATTRIBUTES = new Set(['label', 'title', 'detail', 'aria-label', 'placeholder', 'problem', 'hint', 'alt']);

/** Refuses English outside of the catalogue. */
const noSentences = {
  // `whole`: only what begins like a sentence, where the code is full of another language's.
  meta: { type: 'problem', schema: [{ enum: ['whole'] }] },
  create: (context) => {
    const begins = context.options[0] === 'whole' ? /^\s*[“"]?[A-Z][a-z]* / : /^/;
    /** A programmer's note is thrown, in small letters; what people read begins like a sentence. */
    const isThrown = ({ parent }, text) =>
      /^[a-z]/.test(text) &&
      ((parent.type === 'NewExpression' && /Error$/.test(parent.callee.name ?? '')) ||
        (parent.type === 'CallExpression' && parent.callee.object?.name === 'console'));
    const isName = ({ parent }) =>
      ['ImportDeclaration', 'ExportNamedDeclaration', 'ExportAllDeclaration', 'TSLiteralType', 'ImportExpression'].includes(parent.type);
    const isRead = ({ parent }) => parent.type === 'JSXAttribute' && READ_ATTRIBUTES.has(parent.name.name);
    const check = (node, text) => {
      if (isName(node) || UNREAD.test(text)) return;
      if (
        isRead(node) ? /[A-Za-z]{2}/.test(text) : SENTENCE.test(text) && begins.test(text) && !isClassNames(text) && !isThrown(node, text)
      )
        context.report({ node, message: WORDS_MESSAGE });
    };
    return {
      JSXText: (node) => /[A-Za-z]{2}/.test(node.value) && context.report({ node, message: WORDS_MESSAGE }),
      Literal: (node) => typeof node.value === 'string' && check(node, node.value),
      TemplateLiteral: (node) => check(node, node.quasis.map(({ value }) => value.cooked).join(' 0 ')),
    };
  },
};

export const rules = { 'short-each': shortEach, 'no-sentences': noSentences };
