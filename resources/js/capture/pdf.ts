/** Opens a PDF and paints its pages. pdf.js runs in a worker of its own. */
import * as pdfjs from 'pdfjs-dist';
import type { PDFDocumentProxy } from 'pdfjs-dist';
import workerUrl from 'pdfjs-dist/build/pdf.worker.min.mjs?url';

pdfjs.GlobalWorkerOptions.workerSrc = workerUrl;

export async function openPdf(url: string): Promise<PDFDocumentProxy> {
  return pdfjs.getDocument({
    url,
    // Shipped beside the scripts; a PDF may name fonts without bringing them.
    standardFontDataUrl: '/build/pdf/standard_fonts/',
    cMapUrl: '/build/pdf/cmaps/',
    wasmUrl: '/build/pdf/wasm/',
    iccUrl: '/build/pdf/iccs/',
  }).promise;
}

/** A page, counted from 1, as large as fits into this width and height. */
export async function paintPage(pdf: PDFDocumentProxy, number: number, width: number, height: number): Promise<HTMLCanvasElement> {
  const page = await pdf.getPage(number);
  const natural = page.getViewport({ scale: 1 });
  const viewport = page.getViewport({ scale: Math.min(width / natural.width, height / natural.height) });
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(viewport.width));
  canvas.height = Math.max(1, Math.round(viewport.height));
  // As for printing: that does not wait for the screen, which a hidden tab does not have.
  await page.render({ canvas, viewport, intent: 'print', background: '#ffffff' }).promise;
  page.cleanup();
  return canvas;
}
