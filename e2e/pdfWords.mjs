// Prints the words of a PDF as one line of JSON a page. Usage: node e2e/pdfWords.mjs FILE.pdf
import { readFileSync } from 'node:fs';
import { getDocument, VerbosityLevel } from 'pdfjs-dist/legacy/build/pdf.mjs';

const data = new Uint8Array(readFileSync(process.argv[2]));
const pdf = await getDocument({ data, verbosity: VerbosityLevel.ERRORS }).promise;
for (let number = 1; number <= pdf.numPages; number += 1) {
  const { items } = await (await pdf.getPage(number)).getTextContent();
  console.log(JSON.stringify(items.map(({ str }) => str).join(' ')));
}
