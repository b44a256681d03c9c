import '@fontsource/source-sans-3/400.css'
import '@fontsource/source-sans-3/600.css'
import '@fontsource/jetbrains-mono/latin-400.css'
import 'element-plus/theme-chalk/dark/css-vars.css'
import '@/app/tokens.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from '@/app/App.vue'
import { router } from '@/app/router'

createApp(App).use(createPinia()).use(router).mount('#app')
