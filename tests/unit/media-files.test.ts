import { readFileSync } from 'node:fs';
import { unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { readCues, secondsTyped, timeOf, writeCues } from '../../core/blocks/clip/cues';
import { formOf } from '../../core/blocks/forms';
import { mediaName } from '../../core/document/media';
import { ProblemError } from '../../core/document/problem';
import { sizeWords } from '../../core/document/size';
import { writeZip, zipStream, type LaidFile } from '../../core/document/zip';
import { inspectFile, MEDIA_LIMITS } from '../../core/media/file';
import { inspectPicture } from '../../core/media/inspect';
import { withoutMetadata } from '../../core/media/strip';
import { unpack } from '../../core/reading/zip';
import { aPng } from '../pictures';
import { aWav } from '../sounds';

const fixture = (name: string) => new Uint8Array(readFileSync(`tests/fixtures/media/${name}`));
const text = (words: string) => new TextEncoder().encode(words);
const codeOf = async (work: () => unknown): Promise<string> => {
  try {
    await work();
    return 'nothing';
  } catch (error) {
    return error instanceof ProblemError ? error.problem.code : String(error);
  }
};

describe('a file of media', () => {
  it('is what its bytes say, with what must be known to show it', async () => {
    expect((await inspectFile(fixture('turning.webm'), 'x.pdf')).facts).toMatchObject({
      type: 'video/webm',
      width: 320,
      height: 180,
      seconds: expect.closeTo(2.9, 1),
    });
    // A file of a film's kind with nothing to see is a sound.
    const { facts } = await inspectFile(fixture('tone.weba'), 'tone.webm');
    expect(facts).toMatchObject({ type: 'audio/webm', seconds: expect.closeTo(1.9, 1) });
    expect(facts).not.toHaveProperty('width');
    expect((await inspectFile(aWav(3), 'a.wav')).facts).toMatchObject({ type: 'audio/wav', seconds: 3 });
    expect((await inspectFile(text('%PDF-1.4\n'), 'a.exe')).facts.type).toBe('application/pdf');
    expect((await inspectFile(text('a,b\n1,2'), 'rows.csv')).facts.type).toBe('text/csv');
    const docx = new Uint8Array(readFileSync('demo/files/lending-policy.docx'));
    expect(mediaName((await inspectFile(docx, 'policy')).facts)).toMatch(/^[0-9a-f]{64}\.docx$/);
  });

  it.each([
    ['a page', text('<!doctype html><script>alert(1)</script>'), 'a.html'],
    ['a page called words, begun as a page', text('\u0000<script>'), 'a.txt'],
    ['a drawing that can hold a script', text('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'), 'a.svg'],
    ['a program', Buffer.concat([Buffer.from('7f454c4602010100', 'hex'), Buffer.alloc(64)]), 'a.png'],
    ['a film cut off at once', fixture('turning.webm').slice(0, 60), 'a.webm'],
    ['a sound whose rest is another thing', Buffer.concat([Buffer.from('OggS'), text('<script>'.repeat(40))]), 'a.ogg'],
    ['one of no kind', text('words alone'), 'words'],
  ])('is not %s', async (_, bytes, name) =>
    expect(await codeOf(() => inspectFile(new Uint8Array(bytes), name))).toBe('media-kind'),
  );

  it('is refused by its size, by what it is', async () => {
    const heavy = new Uint8Array(MEDIA_LIMITS.pages + 1);
    heavy.set(text('%PDF-1.4\n'));
    expect(await codeOf(() => inspectFile(heavy, 'a.pdf'))).toBe('file-too-big');
    expect(await codeOf(() => inspectFile(new Uint8Array(), 'a.pdf'))).toBe('empty');
  });
});

describe('what a camera writes beside a picture', () => {
  const place = text('Exif\0\0MM\0*\0\0\0\x08');
  /** A JPEG as a camera makes it: turned, with where it was taken. */
  function fromCamera(turn: number): Uint8Array {
    const plain = fixture('shed.jpg');
    const entries = [
      [0, 2, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, turn, 0, 0],
      [0x88, 0x25, 0, 4, 0, 0, 0, 1, 0, 0, 0, 40, 0, 0, 0, 0],
    ].flat();
    const body = [...place, ...entries, ...text('GPS 52.1 N 4.3 E')];
    const segment = [0xff, 0xe1, (body.length + 2) >> 8, (body.length + 2) & 0xff, ...body];
    const comment = [0xff, 0xfe, 0, 8, ...text('secret')];
    return Uint8Array.from([...plain.slice(0, 2), ...segment, ...comment, ...plain.slice(2)]);
  }
  const has = (bytes: Uint8Array, words: string) => Buffer.from(bytes).includes(words);

  it('is taken out of a JPEG; which way up it is shown stays', () => {
    const given = fromCamera(6);
    expect(has(given, 'GPS')).toBe(true);
    expect(inspectPicture(given, 'a.jpg')).toMatchObject({ width: 10, height: 24 });
    const kept = withoutMetadata(given, 'image/jpeg');
    expect([has(kept, 'GPS'), has(kept, 'secret')]).toEqual([false, false]);
    expect(inspectPicture(kept, 'a.jpg')).toMatchObject({ width: 10, height: 24 });
    // What was read once more is as it is.
    expect(withoutMetadata(kept, 'image/jpeg')).toEqual(kept);
    expect(withoutMetadata(fromCamera(1), 'image/jpeg')).toEqual(fixture('shed.jpg'));
  });
  it('is taken out of a PNG with what hangs behind it, and out of WebP', () => {
    const png = aPng(4, 3);
    const chunk = Buffer.concat([Buffer.from([0, 0, 0, 9]), text('tEXtPlace\0hre'), Buffer.alloc(4)]);
    const end = png.length - 12;
    const given = Buffer.concat([png.slice(0, end), chunk, png.slice(end), text('<script>')]);
    expect(withoutMetadata(new Uint8Array(given), 'image/png')).toEqual(png);
    const webp = fixture('shed.webp');
    const exif = Buffer.concat([text('EXIF'), Buffer.from([4, 0, 0, 0]), text('GPS!')]);
    const more = Buffer.concat([webp, exif]);
    more.writeUInt32LE(more.length - 8, 4);
    expect(withoutMetadata(new Uint8Array(more), 'image/webp')).toEqual(webp);
  });
  it('never makes a picture worse: what is broken comes back as it is', () => {
    for (const type of ['image/jpeg', 'image/png', 'image/webp', 'image/gif'] as const)
      for (const name of ['shed.jpg', 'shed.webp'])
        for (let length = 0; length < 60; length += 7) {
          const cut = fixture(name).slice(0, length);
          expect(withoutMetadata(cut, type).length).toBeLessThanOrEqual(Math.max(cut.length, 12));
        }
  });
});

describe('captions', () => {
  it('are read from WebVTT and SubRip, and written so that they are read the same', () => {
    const vtt =
      'WEBVTT - A talk\n\nNOTE nothing\n\n1\n00:01.000 --> 00:03.500 align:start\n<v Ana>Turn it\nby hand &amp; stop.\n\n' +
      '01:02:03.004 --> 01:02:04.000\nLast';
    const cues = readCues(vtt);
    expect(cues).toEqual([
      { from: 1, to: 3.5, text: 'Turn it by hand & stop.' },
      { from: 3723.004, to: 3724, text: 'Last' },
    ]);
    expect(readCues(writeCues(cues))).toEqual(cues);
    expect(readCues('1\r\n00:00:01,000 --> 00:00:02,000\r\nHello\r\n')).toEqual([{ from: 1, to: 2, text: 'Hello' }]);
    expect(readCues('no captions at all')).toEqual([]);
  });
  it('have times as people type and read them', () => {
    expect(['90', '1:30', '1:04:07,5', '12:', 'x'].map(secondsTyped)).toEqual([90, 90, 3847.5, undefined, undefined]);
    expect([7, 67, 3847].map(timeOf)).toEqual(['0:07', '1:07', '1:04:07']);
    expect([812, 14_300, 3_355_443].map(sizeWords)).toEqual(['812 bytes', '14 kB', '3.2 MB']);
  });
  it('out of order are said, and so is a part that ends before it begins', () => {
    const clip = { hash: 'ab'.repeat(32), type: 'audio/wav', seconds: 60 };
    const body = { clip, title: '', caption: '', cues: [] };
    const problems = (more: object) => formOf({ kind: 'clip' }).problems!({ ...body, ...more });
    expect(problems({})).toEqual([]);
    expect(problems({ from: 20, to: 10 })).toEqual(['clip-part']);
    expect(problems({ from: 61 })).toEqual(['clip-part']);
    expect(problems({ cues: [{ from: 5, to: 4, text: 'x' }] })).toEqual(['clip-cues']);
  });
});

describe('a zip that is made while it is sent', () => {
  it('holds the same as one made at once, and is read as a stream, too', async () => {
    const film = fixture('turning.webm');
    // A zip within the zip, whose own marks must not be taken for this one's.
    const inner = zipSync({ 'a.txt': text('inside') }, { level: 0 });
    const files = new Map<string, Uint8Array>([
      ['course.json', text('{"a":1}'.repeat(99))],
      ['media/film.webm', film],
      ['media/inner.zip', inner],
    ]);
    const crc = async () => Number((await import('node:zlib')).crc32(film));
    const laid = { size: film.length, crc, pieces: () => [film.subarray(0, 999), film.subarray(999)] };
    const pieces: Uint8Array[] = [];
    for await (const piece of zipStream(new Map<string, Uint8Array | LaidFile>([...files, ['media/film.webm', laid]])))
      pieces.push(piece);
    const whole = new Uint8Array(Buffer.concat(pieces));
    expect(unzipSync(whole)).toEqual(unzipSync(writeZip(files)));
    expect([...unpack(whole)]).toEqual([...files]);
  });
});
