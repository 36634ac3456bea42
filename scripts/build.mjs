// Builds what runs: the programs beside the server into dist/, packages left outside, and the learner's player; with
// --desk the desk into .output/ too.
import { spawnSync } from 'node:child_process';
import { build } from 'esbuild';

await build({
  entryPoints: {
    cli: 'cli/main.ts',
    reader: 'server/reading/child.ts',
    drafter: 'server/drafting/worker.ts',
    searcher: 'server/searching/worker.ts',
    keep: 'server/keep.ts',
    prepare: 'demo/prepare.ts',
    remake: 'demo/remake.ts',
    demo: 'demo/main.ts',
    eval: 'eval/main.ts',
    'eval-reading': 'eval/reading.ts',
    bench: 'eval/bench.ts',
    'bench-desk': 'eval/bench-desk.ts',
    'bench-learners': 'eval/bench-learners.ts',
    accept: 'eval/accept.ts',
    schema: 'scripts/schema.ts',
  },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  sourcemap: true,
  logLevel: 'warning',
});
await import('./player.mjs');
if (process.argv.includes('--desk')) {
  const { status } = spawnSync(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'build'], {
    stdio: ['ignore', process.env.CI ? 'ignore' : 'inherit', 'inherit'],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  });
  if (status !== 0) process.exit(status ?? 1);
}
