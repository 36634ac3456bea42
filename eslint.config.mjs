import { readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import prettier from 'eslint-config-prettier/flat';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';

const root = import.meta.dirname;
/**
 * Rooms of the core. `order`: the lower ones first; a later one may import an earlier one, never the reverse. `desk`:
 * what the desk in the browser may use of it at run time, `player` what the learner's player may (of checks, their
 * marking only); types of any room may be named. A test holds what is built to the same lists.
 */
const {
  order: ROOMS,
  desk: FOR_THE_DESK,
  player: FOR_THE_PLAYER,
} = JSON.parse(readFileSync(join(root, 'scripts/rooms.json'), 'utf8'));
/** In the rooms of kinds a file's name says the aspect, and an aspect stands where what it is made of stands. */
const ASPECTS = {
  draft: 'lesson',
  drafts: 'lesson',
  page: 'exchange',
  pages: 'exchange',
  qti: 'questions',
  qtis: 'questions',
  'pairing-qti': 'questions',
};
const roomOf = ([, room, ...rest]) =>
  (['blocks', 'checks'].includes(room) && ASPECTS[rest.at(-1)?.replace(/\.ts$/, '')]) || room;

/** Imports run one way: down inside the core, and inward from everything else. */
const boundaries = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const place = relative(root, context.filename).split('/');
    const check = (node) => {
      const source = node.source?.value;
      if (typeof source !== 'string') return;
      if (
        place[0] === 'core' &&
        (source.startsWith('node:') || /^(vue|nuxt|h3|better-sqlite3|class-|reflect-|#)/.test(source))
      )
        context.report({ node, message: `core may not import ${source}` });
      if (!source.startsWith('.') && !source.startsWith('~~/')) return;
      const target = source.startsWith('~~/')
        ? source.slice(3).split('/')
        : relative(root, resolve(dirname(context.filename), source)).split('/');
      const isType = node.importKind === 'type' || node.exportKind === 'type';
      // Of the server the desk knows what it answers, and runs nothing.
      if (place[0] === 'app' && target[0] === 'server' && !isType)
        context.report({ node, message: 'the desk may not run server' });
      if (place[0] === 'app' && ['cli', 'eval', 'tests', 'demo'].includes(target[0]))
        context.report({ node, message: `the desk may not import ${target[0]}` });
      if (place[0] === 'app' && target[0] === 'core' && !isType && !FOR_THE_DESK.includes(roomOf(target)))
        context.report({ node, message: `the desk may not run core/${target[1]}` });
      if (place[0] === 'player' && !['core', 'player'].includes(target[0]))
        context.report({ node, message: `the player may not import ${target[0]}` });
      if (place[0] === 'player' && target[0] === 'core' && !isType && !FOR_THE_PLAYER.includes(roomOf(target)))
        context.report({ node, message: `the player may not run core/${target[1]}` });
      if (place[0] === 'core' && target[0] !== 'core')
        context.report({ node, message: `core may not import ${target[0]}` });
      if (place[0] === 'server' && ['cli', 'app', 'eval', 'tests'].includes(target[0]))
        context.report({ node, message: `server may not import ${target[0]}` });
      if (place[0] === 'core' && target[0] === 'core' && ROOMS.indexOf(roomOf(target)) > ROOMS.indexOf(roomOf(place))) {
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
        if (
          node.name === 'Date' &&
          node.parent.type !== 'TSTypeReference' &&
          !(node.parent.type === 'MemberExpression' && node.parent.property === node)
        )
          report(node, 'no clock in the core');
      },
      CallExpression(node) {
        const { callee } = node;
        if (callee.type !== 'MemberExpression' || callee.property.type !== 'Identifier') return;
        const name = callee.property.name;
        if (name === 'random' && callee.object.name === 'Math') report(node, 'no chance in the core');
        if (name === 'localeCompare' || (/^toLocale/.test(name) && node.arguments.length === 0))
          report(node, `${name} depends on the machine`);
        if ((name === 'sort' || name === 'toSorted') && node.arguments.length === 0)
          report(node, 'sort needs an order of its own');
      },
      MemberExpression(node) {
        if (node.object.name === 'process' || node.object.name === 'performance')
          report(node, 'the core asks the machine nothing');
      },
    };
  },
};

export default tseslint.config(
  {
    ignores: [
      'dist/',
      'out/',
      'node_modules/',
      '.eval/',
      '.bench/',
      '.nuxt/',
      '.output/',
      'test-results/',
      'data/',
      'public/',
    ],
  },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    plugins: { uplift: { rules: { boundaries, sameness } } },
    rules: {
      'uplift/boundaries': 'error',
      'no-control-regex': 'error',
      'no-console': 'off',
      // Patterns of words are built from named lists; only a text of its own may be wider than the page.
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreUrls: true, ignoreRegExpLiterals: true },
      ],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['app/**/*.vue', 'player/**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
    rules: {
      // Names of components come from their folders.
      'vue/multi-word-component-names': 'off',
      'vue/no-v-html': 'error',
      // A page's script, template and styles are counted each for itself.
      'max-lines': 'off',
      'vue/max-lines-per-block': ['error', { script: 400, template: 300, style: 300, skipBlankLines: true }],
      'max-len': 'off',
      'vue/max-len': [
        'error',
        {
          code: 120,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreUrls: true,
          ignoreHTMLAttributeValues: true,
        },
      ],
    },
  },
  { files: ['core/**/*.ts'], rules: { 'uplift/sameness': 'error' } },
  // A table of cases may be long.
  {
    files: ['tests/**/*.ts'],
    rules: { 'max-lines': ['error', { max: 600, skipBlankLines: true, skipComments: true }] },
  },
);
