// Reads a PDF from standard input and says what is in it: by a library that only runs outside the tests' own loader.
import { buffer } from "node:stream/consumers";
import { extractText, getDocumentProxy } from "unpdf";

const document = await getDocumentProxy(new Uint8Array(await buffer(process.stdin)));
const { text } = await extractText(document, { mergePages: true });
const { width, height } = (await document.getPage(1)).getViewport({ scale: 1 });
process.stdout.write(
  JSON.stringify({ text, pages: document.numPages, size: [Math.round(width), Math.round(height)] }),
);
