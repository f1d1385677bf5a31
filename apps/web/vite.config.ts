import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** The program, told the address under which it is seen: it answers to no other. */
const program = { target: `http://localhost:${process.env.COVE_PORT ?? 4310}`, changeOrigin: false };

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: true, assetsInlineLimit: 0 },
  server: { proxy: { '/api': program, '/fonts': program } },
});
