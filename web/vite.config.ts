import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'
import { sentencesRead } from './vite.sentences.ts'

export default defineConfig({
  plugins: [react(), sentencesRead()],
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
  build: {
    // For scripts/weigh.mjs.
    manifest: true,
    chunkSizeWarningLimit: 1200,
    // None of these parts of the component library does anything by being loaded, though they don't say so.
    rolldownOptions: {
      treeshake: { moduleSideEffects: [{ test: /@rc-component|@ant-design/, sideEffects: false }] },
    },
  },
  // A browser's stand-in for all of them: to make one for each file takes ten times as long as the tests.
  test: { environment: 'jsdom', setupFiles: ['src/test-setup.ts'], globals: false, isolate: false },
})
