import { randomBytes } from 'node:crypto';
import { setResponseHeader, type H3Event } from 'h3';
import { openedOrNot } from './installation';

/** A page with nothing but the player in it, and the data it begins with. */
export function playerPage(event: H3Event, data: object): string {
  const nonce = randomBytes(16).toString('base64');
  event.context.nonce = nonce;
  event.context.frames = openedOrNot()?.settings.embeds() ?? [];
  setResponseHeader(event, 'content-type', 'text/html; charset=utf-8');
  setResponseHeader(event, 'cache-control', 'no-store');
  return `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Uplift Path</title><link rel="stylesheet" href="/player/player.css"></head>
<body><div id="player"></div><script type="application/json" id="uplift-data" nonce="${nonce}">${JSON.stringify(data).replaceAll('<', '\\u003c')}</script><script src="/player/learn.js" nonce="${nonce}"></script></body>
</html>
`;
}
