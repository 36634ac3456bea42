import { openedOrNot, whenOpened } from '../utils/installation';

/** Milliseconds that a server takes at most to stop, with pages open and readers at work. */
const STOPS_WITHIN = 1500;

/** Milliseconds between two looks at what may no longer be kept. */
const DAILY = 86_400_000;

/**
 * What was being worked on or made searchable when the server stopped is gone on with, and sources understood by an
 * earlier state of the program are understood anew, once the installation stands.
 */
export default defineNitroPlugin(() => {
  whenOpened(({ jobs, search, sources, handIns }) => {
    jobs.resume();
    search.fill();
    handIns.forgetOld();
    setInterval(() => handIns.forgetOld(), DAILY).unref();
    sources.renewClaims().catch((error: unknown) => console.error(error));
  });
  const stop = () => {
    // Open pages would keep it for as long as they look; every confirmed change is on the disk already.
    openedOrNot()?.jobs.close();
    setTimeout(() => process.exit(0), STOPS_WITHIN).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
});
