import type { GreyImage } from '../../../core/files/photo/image.ts';

/** A photograph is worked on at most this large (px): more shows nothing that a knife can follow. */
const LARGEST = 1600;
/** Smaller ones do not show an edge to half a millimetre. */
export const LEAST_PIXELS = 700;

/** A photograph: its picture, to be drawn, and its light. */
export interface ReadPhoto {
  readonly picture: ImageBitmap;
  readonly image: GreyImage;
}

/** Reads a picture file; null where this browser cannot. */
export async function greyPhoto(file: File): Promise<ReadPhoto | null> {
  const whole = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
  if (!whole) return null;
  const by = Math.min(1, LARGEST / Math.max(whole.width, whole.height));
  const [width, height] = [Math.round(whole.width * by), Math.round(whole.height * by)];
  const picture = await createImageBitmap(whole, { resizeWidth: width, resizeHeight: height, resizeQuality: 'high' });
  whole.close();
  const canvas = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!canvas) return null;
  canvas.drawImage(picture, 0, 0);
  const { data } = canvas.getImageData(0, 0, width, height);
  // The light of sRGB figures (IEC 61966-2-1), so that shares of it are shares of light.
  const linear = Float32Array.from({ length: 256 }, (_, value) =>
    value / 255 <= 0.04045 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4,
  );
  const light = new Float32Array(width * height);
  const at = (index: number) => linear[data[index] as number] as number;
  for (let dot = 0; dot < light.length; dot += 1)
    light[dot] = 0.2126 * at(4 * dot) + 0.7152 * at(4 * dot + 1) + 0.0722 * at(4 * dot + 2);
  return { picture, image: { width, height, light } };
}
