// Bundles the command line and the reading process into dist/, packages left outside.
import { build } from 'esbuild';

await build({
  entryPoints: { cli: 'cli/main.ts', reader: 'server/reading/child.ts', eval: 'eval/main.ts', bench: 'eval/bench.ts', accept: 'eval/accept.ts', demo: 'demo/main.ts', schema: 'scripts/schema.ts' },
  outdir: 'dist', outExtension: { '.js': '.mjs' }, bundle: true, splitting: true, platform: 'node', format: 'esm', target: 'node20', packages: 'external', sourcemap: true, logLevel: 'warning',
});
