/** Builds kit.html alone, beside the page that cooks load: `npx vite --config vite.kit.config.ts` shows it while it changes. */
import { mergeConfig } from 'vite'
import page from './vite.config'

export default mergeConfig(page, { build: { outDir: 'dist-kit', rolldownOptions: { input: 'kit.html' } } })
