/** A part of a picture, in its own pixels. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** One step of work on a picture: what comes in stays as it was, what comes out is another canvas. */
export type Step = (picture: HTMLCanvasElement) => HTMLCanvasElement;

function drawing(width: number, height: number): [HTMLCanvasElement, CanvasRenderingContext2D] {
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width));
  canvas.height = Math.max(1, Math.round(height));
  return [canvas, canvas.getContext('2d')!];
}
function copied(picture: HTMLCanvasElement): [HTMLCanvasElement, CanvasRenderingContext2D] {
  const [canvas, pen] = drawing(picture.width, picture.height);
  pen.drawImage(picture, 0, 0);
  return [canvas, pen];
}

/** A file of a picture as a canvas, the right way up as its camera held it. */
export async function pictureOf(address: string): Promise<HTMLCanvasElement> {
  // As the page shows it already, and turned as it is shown.
  const image = new Image();
  image.src = address;
  await image.decode();
  const [canvas, pen] = drawing(image.naturalWidth, image.naturalHeight);
  pen.drawImage(image, 0, 0);
  return canvas;
}

/** Only what is in the box. */
export const cropped =
  ({ x, y, width, height }: Box): Step =>
  (picture) => {
    const [canvas, pen] = drawing(width, height);
    pen.drawImage(picture, -Math.round(x), -Math.round(y));
    return canvas;
  };

/** A quarter turn, clockwise or against it. */
export const turned =
  (clockwise: boolean): Step =>
  (picture) => {
    const [canvas, pen] = drawing(picture.height, picture.width);
    pen.translate(canvas.width / 2, canvas.height / 2);
    pen.rotate(((clockwise ? 1 : -1) * Math.PI) / 2);
    pen.drawImage(picture, -picture.width / 2, -picture.height / 2);
    return canvas;
  };

/** Squares across the box that is made unreadable: words and faces are gone from the pixels, not only softened. */
const SQUARES = 9;

/** What is in the box, made coarse and then soft, so that nothing of it can be read or brought back. */
export const blurred =
  ({ x, y, width, height }: Box): Step =>
  (picture) => {
    const [canvas, pen] = copied(picture);
    const [small, smallPen] = drawing(SQUARES, Math.max(2, (SQUARES * height) / width));
    smallPen.drawImage(picture, x, y, width, height, 0, 0, small.width, small.height);
    pen.imageSmoothingEnabled = true;
    pen.drawImage(small, x, y, width, height);
    return canvas;
  };

/** A colour laid over the box; half of it lets what is under it through. */
export const covered =
  ({ x, y, width, height }: Box, colour: string, half: boolean): Step =>
  (picture) => {
    const [canvas, pen] = copied(picture);
    pen.globalAlpha = half ? 0.45 : 1;
    pen.fillStyle = colour;
    pen.fillRect(x, y, width, height);
    return canvas;
  };

/** Words within the box, as large as they fit, on a ground that they can be read on. */
export const written =
  ({ x, y, width, height }: Box, words: string, ink: string, ground: string): Step =>
  (picture) => {
    const [canvas, pen] = copied(picture);
    const lines = words.split('\n').filter(Boolean);
    if (lines.length === 0) return canvas;
    pen.fillStyle = ground;
    pen.fillRect(x, y, width, height);
    const fits = (size: number) => {
      pen.font = `600 ${size}px 'Atkinson Hyperlegible Next Variable', sans-serif`;
      return lines.every((line) => pen.measureText(line).width <= width * 0.92);
    };
    let size = (height / lines.length) * 0.7;
    while (size > 6 && !fits(size)) size *= 0.92;
    fits(size);
    pen.fillStyle = ink;
    pen.textAlign = 'center';
    pen.textBaseline = 'middle';
    lines.forEach((line, at) => pen.fillText(line, x + width / 2, y + (height * (at + 0.5)) / lines.length));
    return canvas;
  };

/** The same, so many pixels wide at most. */
export const narrowed =
  (most: number): Step =>
  (picture) => {
    if (picture.width <= most) return picture;
    const [canvas, pen] = drawing(most, (picture.height * most) / picture.width);
    pen.imageSmoothingQuality = 'high';
    pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
    return canvas;
  };

/**
 * A canvas as a file: a photograph goes on as one, all else as PNG, which keeps what was see-through. Both are shown by
 * presentations, which WebP is not.
 */
export function fileOf(picture: HTMLCanvasElement, name: string, was: string): Promise<File | undefined> {
  return new Promise((done) =>
    picture.toBlob(
      (blob) => done(blob ? new File([blob], `${name}.${blob.type.split('/')[1]}`, { type: blob.type }) : undefined),
      was === 'image/jpeg' ? was : 'image/png',
      0.9,
    ),
  );
}
