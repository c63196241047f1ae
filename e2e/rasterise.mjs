// Draws the pages of PDFs, at most so many of each, at a resolution and prints one line of JSON a page: { pdf, width, height,
// file, words } with the grey values, one byte a pixel, in `file`, and where each word begins (px).
// Usage: node e2e/rasterise.mjs DPI FOLDER MOST FILE.pdf...
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createCanvas } from '@napi-rs/canvas';
import { getDocument, VerbosityLevel } from 'pdfjs-dist/legacy/build/pdf.mjs';

const [dpi, folder, most, ...files] = process.argv.slice(2);
for (const [index, file] of files.entries()) {
  const data = new Uint8Array(readFileSync(file));
  const pdf = await getDocument({ data, verbosity: VerbosityLevel.ERRORS }).promise;
  for (let number = 1; number <= Math.min(pdf.numPages, Number(most)); number += 1) {
    const page = await pdf.getPage(number);
    const viewport = page.getViewport({ scale: Number(dpi) / 72 });
    const width = Math.round(viewport.width);
    const height = Math.round(viewport.height);
    const canvas = createCanvas(width, height);
    await page.render({ canvas, viewport }).promise;
    const { data: pixels } = canvas.getContext('2d').getImageData(0, 0, width, height);
    const grey = new Uint8Array(width * height);
    for (let at = 0; at < grey.length; at += 1) {
      grey[at] = (pixels[4 * at] + pixels[4 * at + 1] + pixels[4 * at + 2]) / 3;
    }
    const out = join(folder, `${index}-${number}.grey`);
    writeFileSync(out, grey);
    const { items } = await page.getTextContent();
    const words = items.map(({ str, transform }) => [
      str,
      ...viewport.convertToViewportPoint(transform[4], transform[5]),
    ]);
    console.log(JSON.stringify({ pdf: file, width, height, file: out, words }));
  }
  await pdf.loadingTask.destroy();
}
