import type { Service } from '../service';
import { fetchPage, MEDIA_WANTED, type Fetched } from './fetch';

/** Pages of the web. Throws what `fetchPage` throws. */
export interface PageService extends Service {
  fetch(address: string, signal?: AbortSignal): Promise<Fetched>;
  /** A file for a course's shelf, by the same rules. */
  fetchFile(address: string, signal?: AbortSignal): Promise<Fetched>;
}

/**
 * The web itself. `allowed` are hosts that may be asked though they are not in the open network, the demo's site among
 * them: that site is the stand-in, and it is fetched by the same way as any other.
 */
export function webPages(allowed: ReadonlySet<string>, site: { address?: string }): PageService {
  return {
    fetch: (address, signal) => fetchPage(address, allowed, signal),
    fetchFile: (address, signal) => fetchPage(address, allowed, signal, MEDIA_WANTED),
    get standsIn() {
      return site.address !== undefined;
    },
    get where() {
      return site.address ?? 'the open network';
    },
  };
}
