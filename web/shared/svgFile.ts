/** A drawing as it stands, as a file of its own: what style sheets say of it goes with it. */

const SVG = 'http://www.w3.org/2000/svg';
/** What is looked at of every shape and letter. */
const STYLES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'font-stretch',
  'text-anchor',
  'display',
  'visibility',
] as const;

/** @param paper colour behind the drawing */
export function svgText(drawing: SVGSVGElement, paper: string): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const from = [drawing, ...drawing.querySelectorAll('*')];
  [copy, ...copy.querySelectorAll('*')].forEach((element, k) => {
    const style = getComputedStyle(from[k]!);
    for (const name of STYLES) element.setAttribute(name, style.getPropertyValue(name));
    for (const name of ['class', 'style', 'tabindex', 'role']) element.removeAttribute(name);
  });
  const { x, y, width, height } = drawing.viewBox.baseVal;
  copy.setAttribute('xmlns', SVG);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const back = document.createElementNS(SVG, 'rect');
  for (const [name, value] of Object.entries({ x, y, width, height, fill: paper }))
    back.setAttribute(name, String(value));
  copy.prepend(back);
  return new XMLSerializer().serializeToString(copy);
}

/** The same as a PNG's bytes. @param scale px for one unit of the drawing @throws Error when it can't be painted */
export async function svgPng(
  drawing: SVGSVGElement,
  paper: string,
  scale = 2,
): Promise<Uint8Array> {
  const { width, height } = drawing.viewBox.baseVal;
  const url = URL.createObjectURL(
    new Blob([svgText(drawing, paper)], { type: 'image/svg+xml;charset=utf-8' }),
  );
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = Math.ceil(width * scale);
    canvas.height = Math.ceil(height * scale);
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (!blob) throw new Error('svgPng: no picture');
    return new Uint8Array(await blob.arrayBuffer());
  } finally {
    URL.revokeObjectURL(url);
  }
}
