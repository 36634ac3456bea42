import { createServer, type Server } from 'node:http';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assetFolder } from '../assets';

/**
 * The demo's own small site, so that links are really fetched though no network is there: a stand-in for a page of the
 * web.
 */
export function startSite(port = 0): Promise<{ server: Server; address: string }> {
  // Its page of questions is one of the demo's own files.
  const folders = ['site', 'files'].map((name) => join(assetFolder(), '../demo', name));
  const server = createServer((request, answer) => {
    const name = (request.url ?? '/').replace(/[?#].*$/, '').replace(/^\/+|\/+$/g, '') || 'index';
    const path = /^[a-z-]+$/.test(name)
      ? folders.map((folder) => join(folder, `${name}.html`)).find(existsSync)
      : undefined;
    answer.writeHead(path ? 200 : 404, { 'content-type': 'text/html; charset=utf-8' });
    answer.end(path ? readFileSync(path) : '<h1>Not here</h1>');
  });
  return new Promise((done) => {
    // Only this machine can ask it. Where the port is taken, any other does.
    server.once('error', () => server.listen(0, '127.0.0.1'));
    server.once('listening', () => {
      server.unref();
      const { port: at } = server.address() as { port: number };
      done({ server, address: `http://127.0.0.1:${at}` });
    });
    server.listen(port, '127.0.0.1');
  });
}
