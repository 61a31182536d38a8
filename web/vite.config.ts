import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    outDir: 'dist',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // The controls of every room but the Counter in one file rather than ten: each file is a request of its own.
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false, // React itself comes with the first screen
          groups: [
            {
              name: 'controls',
              test: /node_modules\/(?:@headlessui|@react-aria|@react-stately|@floating-ui|tabbable)/,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8140' } },
})
