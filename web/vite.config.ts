import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

const GROUND =
  /node_modules[\\/](react|react-dom|scheduler|react-router|@emotion|stylis|@mui[\\/](system|styled-engine|utils|private-theming))[\\/]/;

/** Leaves a gzipped file beside each large one, for the server to send as it is. */
function gzipped(): Plugin {
  return {
    name: 'gzipped',
    apply: 'build',
    writeBundle({ dir }, bundle) {
      for (const name of Object.keys(bundle)) {
        if (!/\.(js|css)$/.test(name)) continue;
        const source = readFileSync(join(dir!, name));
        if (source.length > 1500) writeFileSync(join(dir!, `${name}.gz`), gzipSync(source, { level: 9 }));
      }
    },
  };
}

/** Screens that people wait for, by the beginning of their addresses. */
const SCREENS = { '/classes/': 'screens/ClassScreen.tsx', '/recordings/': 'screens/Player.tsx' };

/** Tells the server which files a screen needs, so that it can name them with the page and the browser fetches all at once. */
function preloads(): Plugin {
  return {
    name: 'preloads',
    apply: 'build',
    writeBundle({ dir }, bundle) {
      const chunks = Object.values(bundle).filter((part) => part.type === 'chunk');
      const closure = (name: string, all = new Set<string>()): Set<string> => {
        if (all.has(name)) return all;
        all.add(name);
        chunks.find(({ fileName }) => fileName === name)?.imports.forEach((other) => closure(other, all));
        return all;
      };
      const fonts = Object.keys(bundle).filter((name) => /-latin-wght-normal.*\.woff2$/.test(name));
      const files = Object.entries(SCREENS).map(([path, screen]) => {
        const chunk = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(screen));
        if (!chunk) throw new Error(`${screen} is no chunk of its own`);
        return [path, [...closure(chunk.fileName), ...fonts]];
      });
      writeFileSync(join(dir!, 'preloads.json'), JSON.stringify(Object.fromEntries(files)));
    },
  };
}

export default defineConfig({
  plugins: [react(), gzipped(), preloads()],
  test: {
    environment: 'happy-dom',
    setupFiles: ['src/testing/setup.ts'],
    restoreMocks: true,
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // What every page stands on keeps its name, and stays in people's caches, for as long as none of it is renewed.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'ground', test: GROUND }] } } },
  },
});
