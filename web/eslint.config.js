import prettier from 'eslint-config-prettier/flat'
import vue from 'eslint-plugin-vue'
import { defineConfig, globalIgnores } from 'eslint/config'
import tseslint from 'typescript-eslint'

// Arrows point one way: each folder may import those after it, and a subject none of the others.
const ORDER = ['app', 'bench', 'start', 'subjects', 'setup', 'drawing', 'kit', 'api']
const AWAY = {
  group: ['../**'],
  message: 'Name it from the top, with @/, so that its direction can be seen.',
}
const zones = ORDER.map((folder, at) => {
  const above = ORDER.slice(0, at + (folder === 'subjects' ? 1 : 0))
  const group = above.flatMap((one) => [`@/${one}`, `@/${one}/**`])
  return {
    files: [`src/${folder}/**`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            AWAY,
            { group: ['@/subjects/*/**'], message: 'A subject is known by its index alone.' },
            ...(group.length ? [{ group, message: `${folder} does not know what uses it.` }] : []),
          ],
        },
      ],
    },
  }
})

export default defineConfig(
  globalIgnores([
    'dist',
    'src/api/schema.d.ts',
    'src/api/words.ts',
    'src/auto-imports.d.ts',
    'src/components.d.ts',
  ]),
  tseslint.configs.recommended,
  vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  // TypeScript knows the auto-imported names, ESLint does not.
  { files: ['**/*.{ts,vue}'], rules: { 'no-undef': 'off' } },
  // Units stay in names, in props too: bow_x_m.
  { files: ['**/*.vue'], rules: { 'vue/prop-name-casing': 'off' } },
  // The screen of a folder is its View: the folder says of what.
  { files: ['src/**/View.vue'], rules: { 'vue/multi-word-component-names': 'off' } },
  {
    files: ['src/**/*.{ts,vue}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...['body', 'body.expression'].map((made) => ({
          selector: `CallExpression[callee.name=/^watch/] > ArrowFunctionExpression[${made}.type='ArrayExpression']:first-child`,
          message: 'An array made anew is never the same as before: watch an array of sources.',
        })),
      ],
    },
  },
  zones,
  prettier,
)
