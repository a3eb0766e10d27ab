import { gzipSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** Leaves a gzipped file beside each large one, for the server to send as it is. */
function gzipped(): Plugin {
  return {
    name: 'gzipped',
    apply: 'build',
    generateBundle(_options, bundle) {
      for (const [name, file] of Object.entries(bundle)) {
        const source = file.type === 'chunk' ? file.code : file.source;
        if (!/\.(js|css)$/.test(name) || source.length < 1500) continue;
        this.emitFile({ type: 'asset', fileName: `${name}.gz`, source: gzipSync(source, { level: 9 }) });
      }
    },
  };
}

export default defineConfig({
  plugins: [react(), gzipped()],
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
});
