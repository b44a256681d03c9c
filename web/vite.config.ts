import { existsSync, readdirSync } from 'node:fs'
import { fileURLToPath, URL } from 'node:url'
import vue from '@vitejs/plugin-vue'
import AutoImport from 'unplugin-auto-import/vite'
import Components from 'unplugin-vue-components/vite'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import { defineConfig } from 'vitest/config'

// vitest would rewrite the generated type files with entries missing.
const writeTypes = !process.env.VITEST
const components = fileURLToPath(
  new URL('./node_modules/element-plus/es/components', import.meta.url),
)
// The dev server finds styles late and reloads; named here they are ready at the first page.
const elementStyles = existsSync(components)
  ? readdirSync(components)
      .filter((name) => existsSync(`${components}/${name}/style/css.mjs`))
      .map((name) => `element-plus/es/components/${name}/style/css`)
  : []

export default defineConfig({
  plugins: [
    vue(),
    AutoImport({
      resolvers: [ElementPlusResolver({ importStyle: 'css' })],
      dts: writeTypes && 'src/auto-imports.d.ts',
    }),
    Components({
      dirs: [],
      resolvers: [ElementPlusResolver({ importStyle: 'css' })],
      dts: writeTypes && 'src/components.d.ts',
    }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  optimizeDeps: { include: ['element-plus/es', ...elementStyles] },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:8137' } },
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 800,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'vue',
              test: /node_modules[\\/](vue|@vue|vue-router|pinia)[\\/]/,
              priority: 40,
            },
            {
              name: 'element-plus',
              tags: ['$initial'],
              test: /node_modules[\\/](element-plus|@element-plus|@vueuse)[\\/]/,
              priority: 30,
            },
          ],
        },
      },
    },
  },
  // threads: a process for each file takes longer than what is in it
  test: { include: ['src/**/*.spec.ts'], environment: 'node', pool: 'threads' },
})
