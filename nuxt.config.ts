import { writeFileSync } from 'node:fs';
import tailwindcss from '@tailwindcss/vite';

const decorators = {
  compilerOptions: { experimentalDecorators: true, useDefineForClassFields: false, target: 'es2022' },
} as const;
/** The same strictness as everywhere else. */
const types = { compilerOptions: { ...decorators.compilerOptions, noUncheckedIndexedAccess: false } } as const;

/** Writes down which modules reached the browser; a test refuses readers, language data and the database among them. */
const moduleList = {
  name: 'module-list',
  apply: 'build' as const,
  generateBundle(_: unknown, bundle: Record<string, { type: string; moduleIds?: string[] }>) {
    const ids = Object.values(bundle).flatMap((chunk) => chunk.moduleIds ?? []);
    if (ids.length > 100)
      writeFileSync(
        '.nuxt/browser-modules.json',
        JSON.stringify(ids.map((id) => id.replace(`${process.cwd()}/`, '')).sort()),
      );
  },
};

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  srcDir: 'app/',
  serverDir: 'server/',
  modules: ['@nuxt/ui', '@pinia/nuxt'],
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  css: ['~/assets/main.css'],
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Uplift Path',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
    },
  },
  ui: { fonts: false },
  icon: {
    provider: 'server',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: {
      scan: { globInclude: ['app/**/*.{vue,ts}', 'node_modules/@nuxt/ui/dist/shared/*.mjs'], globExclude: [] },
    },
  },
  colorMode: { preference: 'system', fallback: 'light' },
  typescript: { tsConfig: { include: ['../core/types/*.d.ts'], ...types } },
  vite: { plugins: [tailwindcss(), moduleList], esbuild: { tsconfigRaw: decorators } },
  nitro: {
    esbuild: { options: { tsconfigRaw: decorators, target: 'es2022' } },
    typescript: {
      tsConfig: {
        include: ['../core/types/*.d.ts'],
        compilerOptions: { ...types.compilerOptions, lib: ['esnext', 'dom', 'dom.iterable'] },
      },
    },
    moduleSideEffects: ['reflect-metadata'],
    compressPublicAssets: { gzip: true },
  },
});
