import { startSite } from '../services/pages/stand-in';
import { whenOpened } from '../utils/installation';

/**
 * In a demo folder, a small site of its own stands in for pages of the web; it alone may be fetched from this machine.
 * It keeps its place from start to start, so that its links can be fetched again.
 */
export default defineNitroPlugin(() =>
  whenOpened(async ({ demo, allowed, site, settings }) => {
    if (!demo.isFolder) return;
    const { address } = await startSite(Number(process.env.PORT ?? 3000) + 1000, () => settings.mode('pages'));
    allowed.add(new URL(address).host);
    site.address = address;
  }),
);
