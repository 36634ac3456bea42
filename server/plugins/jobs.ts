import { installation } from '../utils/installation';

/** What was being drafted when the server stopped is gone on with. */
export default defineNitroPlugin(() => installation().jobs.resume());
