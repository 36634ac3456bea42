const STEP = 1024;
const UNITS = ['bytes', 'kB', 'MB', 'GB'];

/** How large a file is, as people read it: 812 bytes, 14 kB, 3.2 MB. */
export function sizeWords(bytes: number): string {
  let at = 0;
  let value = bytes;
  while (value >= STEP && at < UNITS.length - 1) {
    value /= STEP;
    at++;
  }
  return `${at > 1 && value < 10 ? value.toFixed(1) : Math.round(value)} ${UNITS[at]}`;
}
