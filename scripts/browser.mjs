import { existsSync } from 'node:fs';

/** Debian's browsers, the one without windows first: the whole one keeps its own interface alive beside each page. */
export const BROWSERS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Where the browser is that draws the tests and the pictures, if there is one. */
export const browserPath = () => BROWSERS.find((path) => existsSync(path));
