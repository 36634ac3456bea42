import type { Service } from '../service';
import { fetchPage, type Fetched } from './fetch';

/** Pages of the web. Throws what `fetchPage` throws. */
export interface PageService extends Service {
  fetch(address: string, signal?: AbortSignal): Promise<Fetched>;
}

/**
 * The web itself. `allowed` are hosts that may be asked though they are not in the open network, the demo's site among
 * them: that site is the stand-in, and it is fetched by the same way as any other.
 */
export function webPages(allowed: ReadonlySet<string>, site: { address?: string }): PageService {
  return {
    fetch: (address, signal) => fetchPage(address, allowed, signal),
    get standsIn() {
      return site.address !== undefined;
    },
    get where() {
      return site.address ?? 'the open network';
    },
  };
}
