import jsxA11y from 'eslint-plugin-jsx-a11y'
import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

// Which folder may import which: see docs/architecture.md. lib < api, components < features < app.
const folders = {
  lib: ['api', 'components', 'features', 'app'],
  api: ['components', 'features', 'app'],
  components: ['api', 'features', 'app'],
}
const rooms = [
  'counter',
  'cut',
  'mix',
  'hold',
  'pantry',
  'lessons',
  'settings',
  'cautions',
  'today',
  'weighing',
  'cooking',
  'tasting',
  'logbook',
]

const forbid = (names) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: names.map((name) => ({
        group: [`**/${name}/**`, `**/${name}`],
        message: 'This folder may not import that one (docs/architecture.md).',
      })),
    },
  ],
})

export default tseslint.config(
  { ignores: ['dist', 'dist-kit', 'tmp*/', 'src/api/generated.ts', 'eslint.config.js', 'lint.mjs'] },
  ...tseslint.configs.strictTypeChecked,
  jsxA11y.flatConfigs.strict,
  reactHooks.configs.flat.recommended,
  {
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-explicit-any': 'error',
      // Half of the time of a whole run, for a page without enums, class instances or deprecated calls of its own.
      '@typescript-eslint/no-deprecated': 'off',
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      'no-restricted-globals': ['error', { name: 'fetch', message: 'Only src/api talks to the server.' }],
      'max-lines': ['error', { max: 250 }],
    },
  },
  { files: ['src/api/**'], rules: { 'no-restricted-globals': 'off' } },
  ...Object.entries(folders).map(([folder, names]) => ({
    files: [`src/${folder}/**`],
    rules: forbid(names),
  })),
  { files: ['src/lib/**'], rules: forbid([...folders.lib, 'react']) },
  ...rooms.map((room) => ({
    files: [`src/features/${room}/**`],
    rules: forbid(['app', ...rooms.filter((other) => other !== room).map((other) => `features/${other}`)]),
  })),
)
