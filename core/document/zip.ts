import { deflateSync, zipSync, type Zippable } from 'fflate';

/** What is packed already (pictures, sounds, faces) is stored. */
const level = (name: string) => (/^media\/|\.woff2$/.test(name) ? 0 : 6);
const sorted = (names: Iterable<string>) => [...names].sort((a, b) => (a < b ? -1 : 1));

/** A zip that is the same for the same files everywhere: entries sorted by code unit, one fixed local time. */
export function writeZip(files: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const zip: Zippable = {};
  const mtime = new Date(1990, 0, 1); // eslint-disable-line uplift/sameness -- a fixed local date, as zip wants
  for (const name of sorted(files.keys())) zip[name] = [files.get(name)!, { level: level(name), mtime }];
  return zipSync(zip);
}

/** A file that lies elsewhere and is read piece by piece: once for its CRC-32 (ISO 3309), once to be written. */
export interface LaidFile {
  size: number;
  crc(): number | Promise<number>;
  pieces(): AsyncIterable<Uint8Array> | Iterable<Uint8Array>;
}

/** Files of a zip: small ones as bytes, large ones where they lie. */
export type ZipFiles = ReadonlyMap<string, Uint8Array | LaidFile>;

/** How zips (APPNOTE 6.3) mark their parts; the date is that of `writeZip`. */
const MARKS = { file: 0x04034b50, entry: 0x02014b50, end: 0x06054b50, version: 20, utf8: 0x0800, date: 0x1421 };

/**
 * The same zip piece by piece, so that what is large is never whole in memory. Files that lie elsewhere are stored as
 * they are. Sizes stand before each file, so that it can be read as a stream, too; up to 4 GB.
 */
export async function* zipStream(files: ZipFiles): AsyncGenerator<Uint8Array> {
  const directory: Uint8Array[] = [];
  let at = 0;
  for (const name of sorted(files.keys())) {
    const given = files.get(name)!;
    const file = given instanceof Uint8Array ? packed(name, given) : { ...given, packed: given.size, method: 0 };
    const crc = await file.crc();
    const called = new TextEncoder().encode(name);
    const common = [
      ...two(MARKS.version, MARKS.utf8, file.method, 0, MARKS.date),
      ...four(crc, file.packed, file.size),
      ...two(called.length, 0),
    ];
    const head = Uint8Array.from([...four(MARKS.file), ...common, ...called]);
    yield head;
    for await (const piece of file.pieces()) yield piece;
    directory.push(
      Uint8Array.from([
        ...four(MARKS.entry),
        ...two(MARKS.version),
        ...common,
        ...two(0, 0, 0),
        ...four(0, at),
        ...called,
      ]),
    );
    at += head.length + file.packed;
  }
  const size = directory.reduce((sum, entry) => sum + entry.length, 0);
  yield* directory;
  const count = directory.length;
  yield Uint8Array.from([...four(MARKS.end), ...two(0, 0, count, count), ...four(size, at), ...two(0)]);
}

function packed(name: string, bytes: Uint8Array): LaidFile & { packed: number; method: number } {
  const content = level(name) > 0 ? deflateSync(bytes, { level: 6 }) : bytes;
  return {
    size: bytes.length,
    crc: () => crcOf(bytes),
    packed: content.length,
    method: level(name) > 0 ? 8 : 0,
    pieces: () => [content],
  };
}

const bytesIn = (count: number) => (values: number[]) =>
  values.flatMap((value) => Array.from({ length: count }, (_, at) => (value >>> (at * 8)) & 0xff));
const two = (...values: number[]) => bytesIn(2)(values);
const four = (...values: number[]) => bytesIn(4)(values);

const POLYNOMIAL = 0xedb88320;
const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let value = byte;
  for (let bit = 0; bit < 8; bit++) value = value & 1 ? POLYNOMIAL ^ (value >>> 1) : value >>> 1;
  return value;
});

function crcOf(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) crc = TABLE[(crc ^ byte) & 0xff] ^ (crc >>> 8);
  return (crc ^ 0xffffffff) >>> 0;
}
