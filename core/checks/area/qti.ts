import {
  choicesOf,
  feedbackFrom,
  pictureIn,
  qti,
  RESPONSE,
  severalResponse,
  within,
  type CheckQti,
  type QtiNode,
} from '../qti';
import { element } from '../../document/xml';
import { inPicture, type AreaCheck, type Box } from './form';

/** The size a picture is taken to have where none is known, in pixels. */
const UNKNOWN = { width: 1000, height: 1000 };

export const area: CheckQti<AreaCheck> = {
  write({ options, keys, credit, picture }, points) {
    const { width, height } = picture?.media ?? UNKNOWN;
    const coords = (box: Box) =>
      [
        (box.x * width) / 100,
        (box.y * height) / 100,
        ((box.x + box.width) * width) / 100,
        ((box.y + box.height) * height) / 100,
      ]
        .map(Math.round)
        .join(',');
    // With one right area there is nothing to be partly right in.
    const one = keys.length === 1;
    return {
      ...severalResponse({ options, keys, credit: one ? 'all' : credit }, points, one ? 'single' : 'multiple'),
      shows: (image, version) =>
        version === '3.0'
          ? element('img', { src: image.src, alt: image.alt, width: String(width), height: String(height) })
          : element('object', { data: image.src, type: image.type, width: String(width), height: String(height) }, [
              image.alt,
            ]),
      interaction: qti(
        'hotspot-interaction',
        { 'response-identifier': RESPONSE, 'max-choices': one ? '1' : '0' },
        options.map(({ id, text, box }) =>
          qti('hotspot-choice', { identifier: id, shape: 'rect', coords: coords(box), 'hotspot-label': text }),
        ),
      ),
    };
  },
  read({ interaction, correct, mapping, said, pictures }, id) {
    if (interaction.name !== 'hotspot-interaction') return undefined;
    const { width, height } = sizeIn(interaction) ?? pictureIn(interaction, pictures)?.media ?? UNKNOWN;
    const options = choicesOf(interaction, 'hotspot-choice').flatMap((each, at) => {
      const box = boxOf(each.node.attributes, width, height);
      const text = each.node.attributes['hotspot-label'] || each.text || String(at + 1);
      const isRight = correct.length > 0 ? correct.includes(each.id) : (mapping.get(each.id) ?? 0) > 0;
      return box ? [{ id: id('a'), text, feedback: feedbackFrom(isRight, said.get(each.id)), box, isRight }] : [];
    });
    const keys = options.filter(({ isRight }) => isRight).map((each) => each.id);
    if (keys.length === 0 || options.length < 2) return undefined;
    return {
      kind: 'area',
      options: options.map(({ id: own, text, feedback, box }) => ({ id: own, text, feedback, box })),
      keys,
      credit: mapping.size > 0 ? 'each' : 'all',
    };
  },
};

/** The box around a shape of QTI, whose places are pixels: left, top, right, bottom; centre and radius; or corners. */
function boxOf({ shape, coords }: Readonly<Record<string, string>>, width: number, height: number): Box | undefined {
  const at = (coords ?? '').split(/[\s,]+/).map(Number);
  if (at.length < 3 || at.some((value) => !Number.isFinite(value))) return undefined;
  const even = at.filter((_, place) => place % 2 === 0);
  const odd = at.filter((_, place) => place % 2 === 1);
  const [left, top, right, bottom] =
    shape === 'circle'
      ? [at[0] - at[2], at[1] - at[2], at[0] + at[2], at[1] + at[2]]
      : shape === 'ellipse' && at.length >= 4
        ? [at[0] - at[2], at[1] - at[3], at[0] + at[2], at[1] + at[3]]
        : [Math.min(...even), Math.min(...odd), Math.max(...even), Math.max(...odd)];
  return inPicture({
    x: (left / width) * 100,
    y: (top / height) * 100,
    width: ((right - left) / width) * 100,
    height: ((bottom - top) / height) * 100,
  });
}

/** The size that an item says its picture has. */
function sizeIn(interaction: QtiNode): { width: number; height: number } | undefined {
  const [shown] = [...within(interaction, 'img'), ...within(interaction, 'object')];
  const [width, height] = [Number(shown?.attributes.width), Number(shown?.attributes.height)];
  return width > 0 && height > 0 ? { width, height } : undefined;
}
