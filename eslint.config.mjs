import { dirname, relative, resolve } from 'node:path';
import tseslint from 'typescript-eslint';

/** Rooms of the core, the lower ones first: a later one may import an earlier one, never the reverse. */
const ROOMS = ['course', 'source', 'language', 'reading', 'knowledge', 'brief', 'outline', 'check', 'lesson', 'draft', 'review', 'picture', 'learning', 'exchange'];
const root = import.meta.dirname;

/** Imports run one way: down inside the core, and inward from everything else. */
const boundaries = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const place = relative(root, context.filename).split('/');
    const check = (node) => {
      const source = node.source?.value;
      if (typeof source !== 'string') return;
      if (place[0] === 'core' && (source.startsWith('node:') || /^(vue|nuxt|h3|better-sqlite3|#)/.test(source))) context.report({ node, message: `core may not import ${source}` });
      if (!source.startsWith('.')) return;
      const target = relative(root, resolve(dirname(context.filename), source)).split('/');
      if (place[0] === 'core' && target[0] !== 'core') context.report({ node, message: `core may not import ${target[0]}` });
      if (place[0] === 'server' && ['cli', 'app', 'eval', 'tests'].includes(target[0])) context.report({ node, message: `server may not import ${target[0]}` });
      if (place[0] === 'core' && target[0] === 'core' && place[1] !== target[1] && ROOMS.indexOf(target[1]) > ROOMS.indexOf(place[1])) {
        context.report({ node, message: `core/${place[1]} may not import core/${target[1]}: it comes later` });
      }
    };
    return { ImportDeclaration: check, ExportNamedDeclaration: check, ExportAllDeclaration: check };
  },
};

/** The same input gives the same bytes: no clock, no chance, no order or form that depends on the machine. */
const sameness = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const report = (node, message) => context.report({ node, message });
    return {
      Identifier(node) {
        if (node.name === 'Date' && node.parent.type !== 'TSTypeReference' && !(node.parent.type === 'MemberExpression' && node.parent.property === node)) report(node, 'no clock in the core');
      },
      CallExpression(node) {
        const { callee } = node;
        if (callee.type !== 'MemberExpression' || callee.property.type !== 'Identifier') return;
        const name = callee.property.name;
        if (name === 'random' && callee.object.name === 'Math') report(node, 'no chance in the core');
        if (name === 'localeCompare' || (/^toLocale/.test(name) && node.arguments.length === 0)) report(node, `${name} depends on the machine`);
        if ((name === 'sort' || name === 'toSorted') && node.arguments.length === 0) report(node, 'sort needs an order of its own');
      },
      MemberExpression(node) {
        if (node.object.name === 'process' || node.object.name === 'performance') report(node, 'the core asks the machine nothing');
      },
    };
  },
};

export default tseslint.config(
  { ignores: ['dist/', 'out/', 'node_modules/', '.eval/', '.bench/'] },
  ...tseslint.configs.recommended,
  {
    plugins: { uplift: { rules: { boundaries, sameness } } },
    rules: {
      'uplift/boundaries': 'error',
      'no-control-regex': 'error',
      'no-console': 'off',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  { files: ['core/**/*.ts'], rules: { 'uplift/sameness': 'error' } },
);
