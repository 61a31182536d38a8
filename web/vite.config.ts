import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

interface Modules {
  getModuleInfo: (id: string) => { importedIds: readonly string[] } | null
}

const VIEWS = [
  'today/TodayPage',
  'logbook/LogbookPage',
  'pantry/PantryPage',
  'lessons/LearnPage',
  'cautions/CautionsPage',
  'settings/SettingsPage',
].map((page) => `src/features/${page}.tsx`)
const STAGES = [
  'cut/CutStage',
  'mix/MixStage',
  'hold/HoldStage',
  'weighing/WeighStage',
  'cooking/FireStage',
  'tasting/TasteStage',
].map((stage) => `src/features/${stage}.tsx`)

/** What each of some pages stands on, by what its modules import from the start. */
const known = new Map<string, Set<string>>()
function under(pages: readonly string[], modules: Modules): Set<string> {
  const kept = known.get(pages.join())
  if (kept !== undefined) return kept
  const found = new Set<string>()
  const look = (id: string) => {
    if (found.has(id)) return
    found.add(id)
    for (const one of modules.getModuleInfo(id)?.importedIds ?? []) look(one)
  }
  for (const page of pages) look(fileURLToPath(new URL(page, import.meta.url)))
  known.set(pages.join(), found)
  return found
}

/** The file of a module of ours: the first screen, a batch with its stages, the other views, or what those two share. */
function fileOf(id: string, modules: Modules): string | null {
  if (under(['src/main.tsx'], modules).has(id)) return null
  const inBatch = under(['src/app/BatchPage.tsx', ...STAGES], modules).has(id)
  if (under(VIEWS, modules).has(id)) return inBatch ? 'parts' : 'views'
  return inBatch ? 'batch' : null
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
    // Few files, since what is alike in them is sent once, and each is a request of its own.
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: fileOf, test: /web\/src\/.*\.(?:tsx?|json)$/ },
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
