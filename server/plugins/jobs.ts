import { installation } from '../utils/installation';

/** What was being drafted or made searchable when the server stopped is gone on with, once this server stands: before, it does not know where its own files lie. */
export default defineNitroPlugin(() => void setImmediate(() => {
  const { jobs, search } = installation();
  jobs.resume();
  search.fill();
}));
