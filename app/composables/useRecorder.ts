import { createStore, del, entries, set } from 'idb-keyval';
import type { MediaSort } from '~~/core/document/media';

/** What is recorded: a voice, somebody who speaks, the screen, or the screen with whoever explains it. */
export const RECORDED = ['voice', 'camera', 'screen', 'both'] as const;
export type Recorded = (typeof RECORDED)[number];

/** Kinds of files that browsers record, the best first. */
const TYPES: Record<'sound' | 'film', string[]> = {
  sound: ['audio/webm;codecs=opus', 'audio/mp4', 'audio/ogg;codecs=opus'],
  film: ['video/webm;codecs=vp9,opus', 'video/webm;codecs=vp8,opus', 'video/mp4'],
};
/** Milliseconds of which a piece is kept in this browser, so that little is lost with the page. */
const PIECE = 2000;

export const sortOfRecorded = (what: Recorded): MediaSort & ('sound' | 'film') => (what === 'voice' ? 'sound' : 'film');

/** Whether this browser can lay a camera's picture into the screen's. */
export const canCompose = () => 'MediaStreamTrackProcessor' in globalThis && 'MediaStreamTrackGenerator' in globalThis;

/** A recording that was begun and not kept: the page went before. */
export interface LeftRecording {
  key: string;
  /** When it was begun, in milliseconds UTC. */
  at: number;
  type: string;
  pieces: Blob[];
}

const pieces = () => createStore('uplift-recording', 'pieces');

/**
 * Records from microphone, camera and screen. What is asked for is asked once; every two seconds a piece is kept in
 * this browser, so that a page that goes does not take the recording with it.
 */
export function useRecorder() {
  type State = 'idle' | 'asking' | 'ready' | 'recording' | 'paused' | 'done';
  const state = ref<State>('idle');
  const trouble = ref('');
  const seconds = ref(0);
  /** What is seen and heard now, for the look before and while it is recorded. */
  const live = shallowRef<MediaStream>();
  const result = shallowRef<Blob>();
  let recorder: MediaRecorder | undefined;
  let opened: MediaStream[] = [];
  let worker: Worker | undefined;
  let sound: AudioContext | undefined;
  let timer: ReturnType<typeof setInterval> | undefined;
  let key = '';
  /** Counts what was asked for: an answer that comes after it was left is let go at once. */
  let asked = 0;
  const thrown = new Set<string>();
  /** Says to other windows that a recording is still being made; they would take it for one left behind. */
  let release: (() => void) | undefined;
  const holdName = (of: string) => `uplift/recording/${of}`;
  let chunks: Blob[] = [];

  function letGo() {
    asked++;
    clearInterval(timer);
    for (const stream of opened) stream.getTracks().forEach((track) => track.stop());
    opened = [];
    worker?.terminate();
    worker = undefined;
    void sound?.close();
    sound = undefined;
    live.value = undefined;
  }
  const forget = async (of: string) => {
    for (const [each] of await entries<string, unknown>(pieces()))
      if (String(each).startsWith(of)) await del(each, pieces());
  };

  /** Asks for what is needed and shows it; nothing is recorded yet. */
  async function prepare(what: Recorded): Promise<void> {
    reset();
    state.value = 'asking';
    const mine = asked;
    // Whatever was given is let go with the rest, also when what is asked for next is refused.
    const given = (stream: MediaStream): MediaStream => {
      if (mine === asked) opened.push(stream);
      else stream.getTracks().forEach((track) => track.stop());
      return stream;
    };
    try {
      const screen = what === 'screen' || what === 'both' ? given(await screenOf()) : undefined;
      if (mine !== asked) return;
      const own = given(
        await navigator.mediaDevices.getUserMedia({
          audio: true,
          ...(what === 'camera' || what === 'both' ? { video: { width: { ideal: 1280 } } } : {}),
        }),
      );
      if (mine !== asked) return;
      // Whoever ends sharing in the browser's own bar ends the recording.
      screen?.getVideoTracks()[0]?.addEventListener('ended', () => stop());
      live.value = joined(what, own, screen);
      state.value = 'ready';
    } catch (error) {
      if (mine !== asked) return;
      letGo();
      state.value = 'idle';
      trouble.value = refusal(error);
    }
  }
  const screenOf = () => navigator.mediaDevices.getDisplayMedia({ video: { frameRate: 15 }, audio: true });

  function joined(what: Recorded, own: MediaStream, screen?: MediaStream): MediaStream {
    const voices = [...own.getAudioTracks(), ...(screen?.getAudioTracks() ?? [])];
    const heard = voices.length > 1 ? mixed(voices) : voices;
    if (what === 'both' && screen) return new MediaStream([composed(screen, own), ...heard]);
    return new MediaStream([...(screen ?? own).getVideoTracks(), ...heard]);
  }
  function mixed(tracks: MediaStreamTrack[]): MediaStreamTrack[] {
    sound = new AudioContext();
    const out = sound.createMediaStreamDestination();
    for (const track of tracks) sound.createMediaStreamSource(new MediaStream([track])).connect(out);
    return out.stream.getAudioTracks();
  }
  /** The screen with the camera in its corner, put together beside the page, which may lie behind others meanwhile. */
  function composed(screen: MediaStream, camera: MediaStream): MediaStreamTrack {
    const { MediaStreamTrackProcessor, MediaStreamTrackGenerator } = globalThis as unknown as Composing;
    const readable = (stream: MediaStream) =>
      new MediaStreamTrackProcessor({ track: stream.getVideoTracks()[0]! }).readable;
    const generator = new MediaStreamTrackGenerator({ kind: 'video' });
    const given = { screen: readable(screen), camera: readable(camera), out: generator.writable };
    worker = new Worker(new URL('../workers/compose.worker.ts', import.meta.url), { type: 'module' });
    worker.postMessage(given, [given.screen, given.camera, given.out]);
    return generator;
  }

  function start(what: Recorded): void {
    if (!live.value) return;
    const type = TYPES[sortOfRecorded(what)].find((each) => MediaRecorder.isTypeSupported(each));
    if (!type) return void (trouble.value = 'This browser cannot record. Add a file in its place.');
    const of = `r${Date.now()}`;
    let count = 0;
    key = of;
    chunks = [];
    void navigator.locks?.request(holdName(of), () => new Promise<void>((done) => (release = done)));
    seconds.value = 0;
    recorder = new MediaRecorder(live.value, { mimeType: type });
    recorder.ondataavailable = ({ data }) => {
      if (data.size === 0) return;
      // The last piece comes after the recorder was stopped, perhaps for being thrown away.
      if (thrown.has(of)) return;
      chunks.push(data);
      const name = `${of}/${String(count++).padStart(6, '0')}`;
      void set(name, { at: Number(of.slice(1)), type, data }, pieces()).catch(() => undefined);
    };
    recorder.onstop = () => {
      letGo();
      result.value = new Blob(chunks, { type });
      state.value = 'done';
    };
    recorder.start(PIECE);
    state.value = 'recording';
    timer = setInterval(() => void (state.value === 'recording' && (seconds.value += 0.1)), 100);
  }
  function pause() {
    recorder?.pause();
    state.value = 'paused';
  }
  function goOn() {
    recorder?.resume();
    state.value = 'recording';
  }
  function stop() {
    if (recorder && recorder.state !== 'inactive') recorder.stop();
    else if (state.value === 'ready') reset();
  }
  /** Lets go of microphone, camera and screen; what was recorded is kept in this browser, to be looked at later. */
  function leave(): void {
    if (recorder && recorder.state !== 'inactive') {
      recorder.onstop = null;
      recorder.stop();
    }
    letGo();
    release?.();
    release = undefined;
    result.value = undefined;
    key = '';
    state.value = 'idle';
  }
  /** Throws away what there is, and lets go of microphone, camera and screen. */
  function reset(): void {
    const gone = key;
    thrown.add(gone);
    leave();
    trouble.value = '';
    if (gone) void forget(gone);
  }

  /** Recordings that a page left behind, the newest first. */
  async function left(): Promise<LeftRecording[]> {
    const found = new Map<string, LeftRecording>();
    const held = (await navigator.locks?.query())?.held?.map(({ name }) => name) ?? [];
    const all = await entries<string, { at: number; type: string; data: Blob }>(pieces()).catch(() => []);
    for (const [name, { at, type, data }] of all.sort(([a], [b]) => (a < b ? -1 : 1))) {
      const of = name.split('/')[0]!;
      if (of === key || held.includes(holdName(of))) continue;
      const one = found.get(of) ?? { key: of, at, type, pieces: [] };
      one.pieces.push(data);
      found.set(of, one);
    }
    return [...found.values()].sort((a, b) => b.at - a.at);
  }
  function takeLeft({ key: of, type, pieces: kept }: LeftRecording) {
    key = of;
    result.value = new Blob(kept, { type });
    state.value = 'done';
  }
  onBeforeUnmount(leave);
  return {
    state,
    trouble,
    seconds,
    live,
    result,
    prepare,
    start,
    pause,
    goOn,
    stop,
    leave,
    reset,
    left,
    takeLeft,
    forget,
  };
}

interface Composing {
  MediaStreamTrackProcessor: new (given: { track: MediaStreamTrack }) => { readable: ReadableStream };
  MediaStreamTrackGenerator: new (given: { kind: 'video' }) => MediaStreamTrack & { writable: WritableStream };
}

/** Why nothing can be recorded, as the browser tells it, in words that help. */
function refusal(error: unknown): string {
  const { name } = error as { name?: string };
  if (name === 'NotAllowedError')
    return 'It was not allowed. Allow it beside the address of this page, and press again.';
  if (name === 'NotFoundError') return 'No microphone or camera was found. Plug one in, and press again.';
  if (name === 'NotReadableError') return 'Another program uses the microphone or camera. Shut it, and press again.';
  return 'This browser does not give its microphone, camera or screen to pages here.';
}

/**
 * A recording as a file that says how long it is, which recorders leave open: packets are copied, nothing is encoded
 * anew. What cannot be copied stays as it was recorded.
 */
export async function finished(recorded: Blob, name: string): Promise<File> {
  const [type] = recorded.type.split(';');
  const ends = type === 'audio/mp4' ? 'm4a' : type === 'video/mp4' ? 'mp4' : type === 'audio/ogg' ? 'ogg' : 'webm';
  const asFile = (bytes: BlobPart) => new File([bytes], `${name}.${ends}`, { type });
  try {
    const {
      ALL_FORMATS,
      BlobSource,
      BufferTarget,
      Conversion,
      Input,
      Mp4OutputFormat,
      OggOutputFormat,
      Output,
      WebMOutputFormat,
    } = await import('mediabunny');
    const input = new Input({ source: new BlobSource(recorded), formats: ALL_FORMATS });
    const format =
      ends === 'webm' ? new WebMOutputFormat() : ends === 'ogg' ? new OggOutputFormat() : new Mp4OutputFormat();
    const target = new BufferTarget();
    const conversion = await Conversion.init({ input, output: new Output({ format, target }) });
    await conversion.execute();
    return asFile(target.buffer ?? recorded);
  } catch {
    return asFile(recorded);
  }
}
