import { readFileSync } from 'node:fs';
import { inspectPicture } from '../core/media/inspect';

/** The workshop as it is seen from the street: drawn in `demo/make/workshop.svg`. */
export const WORKSHOP = new Uint8Array(readFileSync('demo/files/workshop.png'));
export const WORKSHOP_PICTURE = {
  media: inspectPicture(WORKSHOP, 'workshop.png'),
  alt: 'The front desk: the door, the returns box, the counter with the till and the bell, and two shelves at the right',
};
