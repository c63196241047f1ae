import sharp from 'sharp';
import { rendered, type Shape } from '../src/core/files/photo/rendered.test.helper.ts';
import { sceneOf } from '../src/core/files/photo/scenes.test.helper.ts';

/** A made-up photograph of a shape on a sheet of paper, as a PNG file: its light as sRGB figures. */
export function madePhoto(seed: number, shape: Shape, wishes: Parameters<typeof sceneOf>[2] = {}): Promise<Buffer> {
  const { width, height, light } = rendered(sceneOf(seed, shape, wishes));
  const bytes = Uint8Array.from(light, (one) =>
    Math.round(255 * (one <= 0.0031308 ? 12.92 * one : 1.055 * one ** (1 / 2.4) - 0.055)),
  );
  return sharp(bytes, { raw: { width, height, channels: 1 } })
    .png()
    .toBuffer();
}
