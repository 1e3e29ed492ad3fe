import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Driver } from 'selenium-webdriver/chrome';
import type { Browser } from './browser';

/** One page of a PDF: its size in points, what is written on it, and whether pictures of dots are on it. */
export interface PdfPage {
  readonly width: number;
  readonly height: number;
  readonly text: string;
  readonly pictures: number;
  readonly paths: number;
}

const PICTURES: readonly number[] = [
  OPS.paintImageXObject,
  OPS.paintInlineImageXObject,
  OPS.paintImageMaskXObject,
];

/** The page that is shown, as the browser prints it. */
export async function printed(b: Browser): Promise<PdfPage[]> {
  const driver = b.driver as unknown as Driver;
  const { data } = (await driver.sendAndGetDevToolsCommand('Page.printToPDF', {
    preferCSSPageSize: true,
    printBackground: true,
  })) as unknown as { data: string };
  const loading = getDocument({ data: new Uint8Array(Buffer.from(data, 'base64')), verbosity: 0 });
  const pdf = await loading.promise;
  const pages: PdfPage[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n);
    const { width, height } = page.getViewport({ scale: 1 });
    const { items } = await page.getTextContent();
    const { fnArray } = await page.getOperatorList();
    pages.push({
      width,
      height,
      text: items.map((i) => ('str' in i ? i.str : '')).join(' '),
      pictures: fnArray.filter((op) => PICTURES.includes(op)).length,
      paths: fnArray.filter((op) => op === OPS.constructPath).length,
    });
  }
  await loading.destroy();
  return pages;
}
