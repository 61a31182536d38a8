import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    outDir: 'dist',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // The controls of every room but the Counter in one file rather than ten, since each is a request of its own; what
    // both they and the first screen stand on in another, so that neither waits for the other.
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            {
              name: 'react',
              test: /node_modules\/(?:react|react-dom|scheduler|react-router|@tanstack\/(?:query-core|react-query))\//,
            },
            {
              name: 'controls',
              test: /node_modules\/(?:@headlessui|@react-aria|@react-stately|@floating-ui|@internationalized|@tanstack\/(?:react-virtual|virtual-core)|tabbable|use-sync-external-store)\//,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8140' } },
})
