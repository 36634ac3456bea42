import { dirname, relative, resolve } from 'node:path';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';

/** Rooms of the core, the lower ones first: a later one may import an earlier one, never the reverse. */
const ROOMS = ['course', 'source', 'language', 'reading', 'knowledge', 'unit', 'brief', 'outline', 'check', 'lesson', 'review', 'draft', 'picture', 'learning', 'exchange'];
const root = import.meta.dirname;
/** What the desk in the browser may use of the core at run time; types of any room may be named. */
const FOR_THE_DESK = ['course', 'brief', 'learning', 'picture', 'source'];
/** What the learner's player may use; of checks, their marking only. */
const FOR_THE_PLAYER = ['course', 'learning', 'picture'];

/** Imports run one way: down inside the core, and inward from everything else. */
const boundaries = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const place = relative(root, context.filename).split('/');
    const check = (node) => {
      const source = node.source?.value;
      if (typeof source !== 'string') return;
      if (place[0] === 'core' && (source.startsWith('node:') || /^(vue|nuxt|h3|better-sqlite3|#)/.test(source))) context.report({ node, message: `core may not import ${source}` });
      if (!source.startsWith('.') && !source.startsWith('~~/')) return;
      const target = source.startsWith('~~/') ? source.slice(3).split('/') : relative(root, resolve(dirname(context.filename), source)).split('/');
      if (place[0] === 'app' && ['server', 'cli', 'eval', 'tests', 'demo'].includes(target[0])) context.report({ node, message: `the desk may not import ${target[0]}` });
      if (place[0] === 'app' && target[0] === 'core' && node.importKind !== 'type' && !FOR_THE_DESK.includes(target[1])) context.report({ node, message: `the desk may not run core/${target[1]}` });
      if (place[0] === 'player' && !['core', 'player'].includes(target[0])) context.report({ node, message: `the player may not import ${target[0]}` });
      if (place[0] === 'player' && target[0] === 'core' && node.importKind !== 'type' && !FOR_THE_PLAYER.includes(target[1])) context.report({ node, message: `the player may not run core/${target[1]}` });
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
  { ignores: ['dist/', 'out/', 'node_modules/', '.eval/', '.bench/', '.nuxt/', '.output/', 'test-results/', 'data/', 'public/'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['app/**/*.vue', 'player/**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
    rules: {
      // Templates are as wide as they read best; names come from their folders.
      'vue/max-attributes-per-line': 'off', 'vue/singleline-html-element-content-newline': 'off', 'vue/html-self-closing': 'off', 'vue/multi-word-component-names': 'off', 'vue/html-closing-bracket-newline': 'off', 'vue/html-indent': 'off', 'vue/attributes-order': 'off', 'vue/multiline-html-element-content-newline': 'off',
      'vue/no-v-html': 'error',
    },
  },
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
