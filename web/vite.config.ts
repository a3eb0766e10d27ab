import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

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

export default defineConfig({
  plugins: [react(), gzipped()],
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
});
