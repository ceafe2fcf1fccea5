import tailwind from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue(), tailwind()],
  // What turns pages of HTML into papers is never asked for: papers are drawn here. Without this a phone would store it all.
  resolve: {
    alias: Object.fromEntries(
      ['html2canvas', 'canvg', 'dompurify'].map((unused) => [unused, `${import.meta.dirname}/nothing.ts`]),
    ),
  },
  worker: { format: 'es' },
  build: { target: 'es2023', chunkSizeWarningLimit: 700 },
  server: { port: 5173, proxy: { '/api': `http://127.0.0.1:${process.env['API_PORT'] ?? 4310}` } },
  optimizeDeps: { include: ['comlink'] },
})
