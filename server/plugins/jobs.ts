import { openedOrNot } from '../utils/installation';

/** Milliseconds that a server takes at most to stop, with pages open and readers at work. */
const STOPS_WITHIN = 1500;

/**
 * What was being drafted or made searchable when the server stopped is gone on with, and sources understood by an
 * earlier state of the program are understood anew, once this server stands: before, it does not know where its own
 * files lie.
 */
export default defineNitroPlugin(() => {
  setImmediate(() => {
    const desks = openedOrNot();
    if (!desks) return;
    desks.jobs.resume();
    desks.search.fill();
    desks.sources.renewClaims().catch((error: unknown) => console.error(error));
  });
  const stop = () => {
    // Open pages would keep it for as long as they look; every confirmed change is on the disk already.
    openedOrNot()?.jobs.close();
    setTimeout(() => process.exit(0), STOPS_WITHIN).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
});
