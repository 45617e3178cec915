// What the compiler cannot see: the purity of core, who may touch the network and the database, no escape hatches.
import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'
import { lightComponents } from './tools/lib/lightComponents.mjs'

const nowArgument = 'Take `now` as an argument.'
const corePurity = [
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: nowArgument },
  { selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']", message: nowArgument },
  {
    selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
    message: 'Take an id or a seed as an argument.',
  },
]
const everywhere = [
  { selector: 'ExportAllDeclaration', message: 'Name what is exported, one by one.' },
  { selector: 'ThrowStatement > Literal', message: 'Throw an Error: anything else escapes the handlers.' },
]
const rawSql = [
  {
    selector:
      'CallExpression[callee.property.name=/^(raw|whereRaw|orWhereRaw|joinRaw|selectRaw|orderByRaw|havingRaw)$/]',
    message: 'Raw SQL belongs in a store, a migration, or server/src/database.',
  },
]
const knexSchema = [
  {
    selector:
      'CallExpression[callee.property.name=/^(dropColumn|alter|alterTable|createTable|table|setNullable)$/]',
    message:
      'Knex erases child rows on SQLite with this: use createTable, rebuildTable or native ALTER by raw SQL.',
  },
]

const network = ['fetch', 'XMLHttpRequest', 'EventSource']
const storage = ['localStorage', 'sessionStorage', 'indexedDB', 'caches']

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'data/**', '**/test-results/**'] },
  ...tseslint.configs.strict,
  {
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // A row is deleted by its id, a migration by its name: the rule sees danger where there is none.
      '@typescript-eslint/no-dynamic-delete': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      // `typeof import()` types what is loaded on first use.
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      eqeqeq: 'error',
      'no-console': 'error',
      'no-empty': ['error', { allowEmptyCatch: false }],
      'no-restricted-syntax': ['error', ...everywhere],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['react*', '@tanstack/*', 'hono*', 'knex*', 'node:*'] }],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'fetch',
        'process',
        'setTimeout',
      ],
      'no-restricted-syntax': ['error', ...everywhere, ...corePurity],
    },
  },
  {
    files: ['server/src/**/*.ts'],
    ignores: [
      'server/src/{database,search,jobs,testing}/**',
      '**/[sS]tore.ts',
      '**/*Store.ts',
      '**/*.test.ts',
    ],
    rules: {
      'no-restricted-syntax': ['error', ...everywhere, ...rawSql],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['knex*', 'better-sqlite3', 'pg'],
              message: 'Only stores and server/src/database know the database.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['server/src/database/migrations/*.ts'],
    rules: { 'no-restricted-syntax': ['error', ...everywhere, ...knexSchema.map(knexOnly), ...corePurity] },
  },
  {
    files: ['server/src/*/**/*.ts'],
    ignores: [
      'server/src/http/**',
      '**/*outes.ts',
      '**/*.test.ts',
      'server/src/{database,search,testing}/**',
      '**/[sS]tore.ts',
      '**/*Store.ts',
    ],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['hono*', '@hono/*'], message: 'Only server/src/http and routes know HTTP.' },
            {
              group: ['knex*', 'better-sqlite3', 'pg'],
              message: 'Only stores and server/src/database know the database.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ...reactHooks.configs.flat.recommended,
  },
  {
    files: ['web/src/**/*.tsx'],
    plugins: { valise: lightComponents },
    rules: { 'valise/light-components': 'error' },
  },
  {
    // dnd-kit hands out its refs and listeners in one object; the rule takes reading that object for reading a ref.
    files: ['web/src/pages/PageRowView.tsx'],
    rules: { 'react-hooks/refs': 'off' },
  },
  {
    // The library of virtual rows hands out functions that a compiler could not memoize; nothing here is compiled so.
    files: ['web/src/evidence/list/useVirtualRows.ts'],
    rules: { 'react-hooks/incompatible-library': 'off' },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'web/src/testing/**'],
    rules: withoutGlobals([...network, ...storage]),
  },
  { files: ['web/src/api/**', 'web/src/**/{queries,*Queries}.ts'], rules: withoutGlobals(storage) },
  // What is typed or recorded lies in one store, encrypted.
  { files: ['web/src/saving/{deviceStore,olderStores,loaders}.ts'], rules: withoutGlobals(network) },
  // The language, and when the page was last loaded again: nothing that anybody wrote.
  {
    files: ['web/src/words/i18n.ts'],
    rules: withoutGlobals([...network, 'indexedDB', 'caches', 'sessionStorage']),
  },
  {
    files: ['web/src/app/reloadOnce.ts'],
    rules: withoutGlobals([...network, 'indexedDB', 'caches', 'localStorage']),
  },
  { files: ['**/*.mjs', '**/*.js', '**/*.cjs'], rules: { 'no-console': 'off' } },
)

/** These globals are not used, be it by themselves or as `window.…` and `globalThis.…`. */
function withoutGlobals(names) {
  const properties = ['window', 'globalThis'].flatMap((object) =>
    names.map((property) => ({ object, property })),
  )
  return {
    'no-restricted-globals': ['error', ...names],
    'no-restricted-properties': ['error', ...properties],
  }
}

/** Our own createTable is a plain call; Knex's is a method. */
function knexOnly({ selector, message }) {
  return { selector: selector.replace('[callee', "[callee.type='MemberExpression'][callee"), message }
}
