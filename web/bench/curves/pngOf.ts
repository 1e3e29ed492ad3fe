import type { Chart } from 'chart.js';
import { inkOf } from './lineOptions';

const TITLE_ROOM = 40;

/** The chart on its paper, with its title above, as a PNG's bytes. */
export async function pngOf(chart: Chart<'line'>, title: string): Promise<Uint8Array> {
  const { canvas } = chart;
  const scale = canvas.width / Math.max(1, chart.width);
  const sheet = document.createElement('canvas');
  sheet.width = canvas.width;
  sheet.height = canvas.height + TITLE_ROOM * scale;
  const pen = sheet.getContext('2d');
  if (!pen) throw new Error('pngOf: no drawing surface');
  pen.fillStyle = inkOf('--sheet');
  pen.fillRect(0, 0, sheet.width, sheet.height);
  pen.fillStyle = inkOf('--ink');
  pen.font = `600 ${17 * scale}px 'Archivo Variable', sans-serif`;
  pen.fillText(title, 14 * scale, 26 * scale);
  pen.drawImage(canvas, 0, TITLE_ROOM * scale);
  const blob = await new Promise<Blob | null>((done) => sheet.toBlob(done, 'image/png'));
  if (!blob) throw new Error('pngOf: no picture');
  return new Uint8Array(await blob.arrayBuffer());
}
