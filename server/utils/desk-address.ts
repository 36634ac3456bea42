import { getRequestURL, type H3Event } from 'h3';

/** Where people reach this desk: as UPLIFT_ADDRESS says, or as whoever asks has reached it, which the guard checked. */
export const deskAddress = (event: H3Event): string =>
  (process.env.UPLIFT_ADDRESS ?? getRequestURL(event).origin).replace(/\/+$/, '');
