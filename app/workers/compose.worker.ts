/** Of the screen's width, so much is the camera's; and so far from its corner, in shares of it. */
const CAMERA = { width: 0.22, gap: 0.015 };

interface Given {
  screen: ReadableStream<VideoFrame>;
  camera: ReadableStream<VideoFrame>;
  out: WritableStream<VideoFrame>;
}

/** Lays the newest picture of a camera into the corner of each picture of a screen. */
self.onmessage = ({ data: { screen, camera, out } }: MessageEvent<Given>) => {
  let face: VideoFrame | undefined;
  void camera.pipeTo(
    new WritableStream({
      write(frame) {
        face?.close();
        face = frame;
      },
    }),
  );
  const canvas = new OffscreenCanvas(2, 2);
  const drawing = canvas.getContext('2d')!;
  void screen
    .pipeThrough(
      new TransformStream<VideoFrame, VideoFrame>({
        transform(frame, control) {
          const { displayWidth: width, displayHeight: height, timestamp } = frame;
          if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
          drawing.drawImage(frame, 0, 0, width, height);
          frame.close();
          if (face) {
            const wide = width * CAMERA.width;
            const high = (wide * face.displayHeight) / face.displayWidth;
            const gap = width * CAMERA.gap;
            drawing.drawImage(face, width - wide - gap, height - high - gap, wide, high);
          }
          control.enqueue(new VideoFrame(canvas, { timestamp }));
        },
      }),
    )
    .pipeTo(out);
};
