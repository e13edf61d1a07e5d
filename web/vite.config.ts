import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [react()],
  build: {
    outDir: '../server/target/classes/static',
    emptyOutDir: true,
    chunkSizeWarningLimit: 1500,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
  test: {
    setupFiles: ['src/testing/setup.ts'],
    testTimeout: 60_000,
    maxWorkers: '100%',
    // A window and the libraries for each file would take more time than the tests: the set-up clears what stays.
    isolate: false,
  },
})
