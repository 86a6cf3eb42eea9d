import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import house from './scripts/lint/rooms.mjs';

/** Imports run one way: core <- contract <- server, web. A folder of another workspace is entered by its name only. */
const forbid = (names, why) => ({ 'no-restricted-imports': ['error', { patterns: [{ group: names, message: why }] }] });
const deep = ['@bright-keeper/*/*', '**/core/src/**', '**/contract/src/**', '**/words/src/**', '**/server/src/**', '**/web/src/**'];

const CORE = [
  {
    group: ['@bright-keeper/*', 'node:*', 'react*', '@nestjs/*', 'joi', ...deep],
    message: 'core imports nothing but small pure libraries.',
  },
  {
    regex: '^(\\.\\./)+(air|care|fungus|inspection|practice|record|schedule|sensor|sources|storage|supplies)/(?!(.*/)?index\\.js$)',
    message: 'Another room is entered through its index, or that of its knowledge or kinds, which lists what it gives.',
  },
];

/** The rooms of core from the ground up: each knows those before it, and all of them the knowledge and the kinds of care. */
const ROOMS = ['air', 'sources', 'sensor', 'care', 'supplies', 'inspection', 'fungus', 'storage', 'schedule', 'trip', 'record', 'practice'];
const entry = (room) => (room === 'care' ? 'care/(?!(knowledge|kinds)/)' : `${room}/`);
const knowsOnlyBelow = (files, above) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...CORE,
          { regex: `^(\\.\\./)+(${above.map(entry).join('|')})`, message: 'No circles: a room of core knows those below it only.' },
        ],
      },
    ],
  },
});

/** The programs whose types are read, the same that are type-checked: one for each package would read core nine times. */
const PROGRAMS = ['core/tsconfig.json', 'tsconfig.node.json', 'web/tsconfig.json'];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.mutants/**', 'server/migrations/**', 'web/public/theme.js', 'core/assembly/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: { parserOptions: { project: PROGRAMS, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'off',
      '@typescript-eslint/restrict-template-expressions': 'off',
      'max-lines': ['error', { max: 320, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['core/src/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: CORE }] },
  },
  ...ROOMS.slice(0, -1).map((room, i) => knowsOnlyBelow([`core/src/${room}/**`], ROOMS.slice(i + 1))),
  knowsOnlyBelow(
    ['core/src/care/knowledge/**', 'core/src/care/kinds/**'],
    ROOMS.filter((room) => room !== 'care'),
  ),
  {
    files: ['contract/src/**'],
    rules: forbid(
      ['@bright-keeper/server', '@bright-keeper/web', '@bright-keeper/demo', 'node:*', 'react*', '@nestjs/*', ...deep],
      'contract knows core and nobody else.',
    ),
  },
  {
    files: ['words/src/**'],
    rules: forbid(
      [
        '@bright-keeper/contract',
        '@bright-keeper/server',
        '@bright-keeper/web',
        '@bright-keeper/demo',
        'node:*',
        'react*',
        '@nestjs/*',
        ...deep,
      ],
      'words knows core and nobody else.',
    ),
  },
  {
    files: ['server/src/**'],
    plugins: { house },
    rules: {
      ...forbid(['@bright-keeper/web', '@bright-keeper/demo', 'react*', ...deep], 'server knows contract and core, never the web.'),
      'house/rooms': ['error', { src: 'server/src', free: ['testing'] }],
    },
  },
  {
    files: ['web/src/**'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...forbid(
        ['@bright-keeper/server', '@bright-keeper/demo', 'node:*', '@nestjs/*', ...deep],
        'web knows contract and core, never the server.',
      ),
      ...reactHooks.configs.recommended.rules,
      'react-hooks/incompatible-library': 'off',
    },
  },
  {
    files: ['web/src/areas/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['@bright-keeper/server', '@bright-keeper/demo', 'node:*', '@nestjs/*', ...deep],
              message: 'web knows contract, core and words, never the server.',
            },
            { regex: '^\\.\\./[a-z]+/', message: 'Another area is entered through its index, which lists what it gives.' },
          ],
        },
      ],
    },
  },
  {
    // Nest's decorators and supertest answer with loose types; what matters there is checked at run time.
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/unbound-method': 'off',
      'max-lines': 'off',
    },
  },
  {
    files: ['**/*.mjs', '*.js', 'vitest.config.ts'],
    ...tseslint.configs.disableTypeChecked,
    languageOptions: {
      parserOptions: { project: false },
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        Buffer: 'readonly',
        Blob: 'readonly',
        document: 'readonly',
        localStorage: 'readonly',
        window: 'readonly',
        PerformanceObserver: 'readonly',
        requestAnimationFrame: 'readonly',
        cancelAnimationFrame: 'readonly',
        performance: 'readonly',
        ReadableStream: 'readonly',
        TextEncoderStream: 'readonly',
        URLSearchParams: 'readonly',
      },
    },
  },
);
