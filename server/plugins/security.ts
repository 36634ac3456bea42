import { randomBytes } from 'node:crypto';

/** A strict content policy with a nonce per page, and headers that keep our answers from being used elsewhere. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = randomBytes(16).toString('base64');
    event.context.nonce = nonce;
    const marked = (parts: string[]) =>
      parts.map((part) =>
        part
          .replaceAll('<script', `<script nonce="${nonce}"`)
          .replaceAll(/<link(?=[^>]*(?:modulepreload|as="script"))/g, `<link nonce="${nonce}"`),
      );
    html.head = marked(html.head);
    html.bodyPrepend = marked(html.bodyPrepend);
    html.body = marked(html.body);
    html.bodyAppend = marked(html.bodyAppend);
  });
  // At once, so that what is streamed has them, too: its answer begins before it is known to be one.
  nitro.hooks.hook('request', (event) => {
    if (event.path.startsWith('/api/')) setResponseHeader(event, 'cache-control', 'no-store');
    setResponseHeaders(event, {
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'same-origin',
      'cross-origin-opener-policy': 'same-origin',
      'x-frame-options': 'DENY',
      'content-security-policy': "default-src 'none'; frame-ancestors 'none'; sandbox",
    });
  });
  nitro.hooks.hook('beforeResponse', (event) => {
    const nonce = event.context.nonce as string | undefined;
    if (!nonce || event.node.res.headersSent) return;
    // Only the look at a draft is shown in a frame, and only in one of ours.
    // Pages that a learner loads into a lesson, of sites that are allowed here.
    const frames = ((event.context.frames as string[] | undefined) ?? [])
      .map((host) => ` https://${host} https://*.${host}`)
      .join('');
    const framed = event.context.framed === true;
    setResponseHeaders(event, {
      'x-frame-options': framed ? 'SAMEORIGIN' : 'DENY',
      'content-security-policy': `default-src 'none'; script-src 'nonce-${nonce}' 'strict-dynamic'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; media-src 'self' blob:; font-src 'self'; connect-src 'self'; worker-src 'self'; frame-src 'self'${frames}; base-uri 'none'; form-action 'self'; frame-ancestors ${framed ? "'self'" : "'none'"}`,
    });
  });
});
