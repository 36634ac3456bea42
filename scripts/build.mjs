// Bundles the command line and the reading process into dist/, packages left outside.
import { build } from 'esbuild';

await build({
  entryPoints: { cli: 'cli/main.ts', reader: 'server/reading/child.ts', drafter: 'server/drafting/worker.ts', eval: 'eval/main.ts', bench: 'eval/bench.ts', accept: 'eval/accept.ts', demo: 'demo/main.ts', remake: 'demo/remake.ts', prepare: 'demo/prepare.ts', schema: 'scripts/schema.ts' },
  outdir: 'dist', outExtension: { '.js': '.mjs' }, bundle: true, splitting: true, platform: 'node', format: 'esm', target: 'node20', packages: 'external', sourcemap: true, logLevel: 'warning',
});
