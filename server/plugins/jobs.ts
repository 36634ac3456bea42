import { installation } from '../utils/installation';

/** What was being drafted or made searchable when the server stopped is gone on with, and sources understood by an earlier state of the program are understood anew, once this server stands: before, it does not know where its own files lie. */
export default defineNitroPlugin(() => void setImmediate(() => {
  const { jobs, search, sources } = installation();
  jobs.resume();
  search.fill();
  sources.renewClaims().catch((error: unknown) => console.error(error));
}));
