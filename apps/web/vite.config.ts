import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  // Core and contract are compiled from source, so that the page and the worker run what the server runs.
  resolve: { conditions: ['zakat-source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  build: { chunkSizeWarningLimit: 1500 },
  server: { proxy: { '/api': 'http://127.0.0.1:4300' } },
});
