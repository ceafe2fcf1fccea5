import tailwind from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue(), tailwind()],
  worker: { format: 'es' },
  build: { target: 'es2023', chunkSizeWarningLimit: 700 },
  server: { port: 5173, proxy: { '/api': `http://127.0.0.1:${process.env['API_PORT'] ?? 4310}` } },
  optimizeDeps: { include: ['comlink'] },
})
