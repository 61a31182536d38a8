import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

interface Modules {
  getModuleInfo: (id: string) => { importedIds: readonly string[] } | null
}

/** What the first screen stands on, by what its modules import from the start. */
const onFirstScreen = new Set<string>()
function look(id: string, modules: Modules): void {
  if (onFirstScreen.has(id)) return
  onFirstScreen.add(id)
  for (const one of modules.getModuleInfo(id)?.importedIds ?? []) look(one, modules)
}

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: {
    alias: {
      '@tanstack/react-virtual': fileURLToPath(new URL('src/lib/noLongLists.ts', import.meta.url)),
      '@floating-ui/react': fileURLToPath(new URL('src/lib/noFloating.ts', import.meta.url)),
    },
  },
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
              // What several rooms share, and the first screen does not need.
              name: (id, modules) => {
                look(fileURLToPath(new URL('src/main.tsx', import.meta.url)), modules)
                return onFirstScreen.has(id) ? null : 'parts'
              },
              test: /src\/(?:components|lib|api)\//,
              minShareCount: 2,
            },
            {
              name: 'react',
              test: /node_modules\/(?:react|react-dom|scheduler|wouter|regexparam|use-sync-external-store|@tanstack\/(?:query-core|react-query))\//,
            },
            {
              name: 'controls',
              test: /node_modules\/(?:@headlessui|@react-aria|@react-stately|@internationalized|tabbable)\//,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8140' } },
})
