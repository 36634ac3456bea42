import { createServer, type Server } from 'node:http';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assetFolder } from '../../assets';
import { SLOW, waiting, type Mode } from '../service';

/**
 * The demo's own small site, so that links are really fetched though no network is there: a stand-in for pages of the
 * web, which can be made to behave as some of them do.
 */
export function startSite(port = 0, mode: () => Mode = () => 'well'): Promise<{ server: Server; address: string }> {
  // Its page of questions is one of the demo's own files.
  const folders = ['site', 'files'].map((name) => join(assetFolder(), '../demo', name));
  const server = createServer(async (request, answer) => {
    const now = mode();
    if (now === 'slow') await waiting(SLOW);
    if (now === 'refusing') return void answer.writeHead(503).end('Come back later.');
    const name = (request.url ?? '/').replace(/[?#].*$/, '').replace(/^\/+|\/+$/g, '') || 'index';
    const path = /^[a-z-]+$/.test(name)
      ? folders.map((folder) => join(folder, `${name}.html`)).find(existsSync)
      : undefined;
    const page = path ? readFileSync(path) : Buffer.from('<h1>Not here</h1>');
    answer.writeHead(path ? 200 : 404, {
      'content-type': now === 'lying' ? 'application/pdf' : 'text/html; charset=utf-8',
      'content-length': page.length,
    });
    if (now !== 'broken') return void answer.end(page);
    answer.write(page.subarray(0, page.length / 2), () => answer.destroy());
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
