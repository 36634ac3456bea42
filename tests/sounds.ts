/** Mono sound of so many seconds at 8,000 samples a second, as a WAV file. */
export function aWav(seconds: number): Uint8Array {
  const samples = seconds * 8000;
  const bytes = Buffer.alloc(44 + samples);
  bytes.write('RIFF', 0, 'latin1');
  bytes.writeUInt32LE(36 + samples, 4);
  bytes.write('WAVEfmt ', 8, 'latin1');
  bytes.writeUInt32LE(16, 16);
  bytes.writeUInt16LE(1, 20);
  bytes.writeUInt16LE(1, 22);
  bytes.writeUInt32LE(8000, 24);
  bytes.writeUInt32LE(8000, 28);
  bytes.writeUInt16LE(1, 32);
  bytes.writeUInt16LE(8, 34);
  bytes.write('data', 36, 'latin1');
  bytes.writeUInt32LE(samples, 40);
  return new Uint8Array(bytes);
}
