import prettier from 'eslint-config-prettier/flat'
import vue from 'eslint-plugin-vue'
import { defineConfig, globalIgnores } from 'eslint/config'
import tseslint from 'typescript-eslint'

export default defineConfig(
  globalIgnores(['dist', 'src/api/schema.d.ts', 'src/auto-imports.d.ts', 'src/components.d.ts']),
  tseslint.configs.recommended,
  vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  // TypeScript knows the auto-imported names, ESLint does not.
  { files: ['**/*.{ts,vue}'], rules: { 'no-undef': 'off' } },
  // Units stay in names, in props too: bow_x_m.
  { files: ['**/*.vue'], rules: { 'vue/prop-name-casing': 'off' } },
  prettier,
)
