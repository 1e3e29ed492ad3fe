/**
 * A part of an SVG drawing as a picture of its own, so that turning it draws no teeth anew: without a graphics processor
 * those are most of a frame. What is painted, and how, is read off the drawing itself.
 */
export interface PaintedPart {
  /** Draws the part where its group's own origin stands at (x, y), px, turned by an angle, rad. */
  readonly draw: (on: CanvasRenderingContext2D, x: number, y: number, angle: number) => void;
}

/** px round a part for the half of its strokes that lies outside. */
const MARGIN = 4;

/**
 * @param group its transform is left out: the part is painted as if unturned
 * @param scale px of the screen for one unit of the drawing
 * @param density device pixels a px
 */
export function paintPart(group: SVGGElement, scale: number, density: number): PaintedPart {
  const { x, y, width, height } = group.getBBox();
  const per = scale * density;
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.ceil(width * per + 2 * MARGIN * density));
  canvas.height = Math.max(1, Math.ceil(height * per + 2 * MARGIN * density));
  const at = { x: x * per - MARGIN * density, y: y * per - MARGIN * density };
  const on = canvas.getContext('2d')!;
  const out = group.getScreenCTM()?.inverse();
  for (const shape of group.querySelectorAll<SVGGeometryElement>('path, circle')) {
    const inside = out && shape.getScreenCTM();
    if (!inside) continue;
    const { a, b, c, d, e, f } = out.multiply(inside);
    on.setTransform(a * per, b * per, c * per, d * per, e * per - at.x, f * per - at.y);
    paintShape(on, shape, per, density);
  }
  return {
    draw(to, px, py, angle) {
      to.setTransform(1, 0, 0, 1, px * density, py * density);
      to.rotate(angle);
      to.drawImage(canvas, at.x, at.y);
    },
  };
}

function paintShape(
  on: CanvasRenderingContext2D,
  shape: SVGGeometryElement,
  per: number,
  density: number,
): void {
  const style = getComputedStyle(shape);
  if (style.visibility === 'hidden' || style.display === 'none') return;
  const path = new Path2D(outlineOf(shape));
  const fill = fillOf(on, style.fill, per);
  if (fill) {
    on.globalAlpha = Number(style.fillOpacity) * Number(style.opacity);
    on.fillStyle = fill;
    on.fill(path, style.fillRule === 'evenodd' ? 'evenodd' : 'nonzero');
  }
  if (style.stroke === 'none') return;
  on.globalAlpha = Number(style.strokeOpacity) * Number(style.opacity);
  on.strokeStyle = style.stroke;
  // Strokes do not scale with the drawing.
  const unit = density / per;
  on.lineWidth = parseFloat(style.strokeWidth) * unit;
  on.lineJoin = style.strokeLinejoin as CanvasLineJoin;
  on.lineCap = style.strokeLinecap as CanvasLineCap;
  const dashes = style.strokeDasharray === 'none' ? [] : style.strokeDasharray.split(',');
  on.setLineDash(dashes.map((part) => parseFloat(part) * unit));
  on.stroke(path);
}

function outlineOf(shape: SVGGeometryElement): string {
  if (!(shape instanceof SVGCircleElement)) return shape.getAttribute('d') ?? '';
  const [cx, cy, r] = [shape.cx, shape.cy, shape.r].map((length) => length.baseVal.value);
  return `M${cx! - r!} ${cy!}a${r} ${r} 0 1 0 ${2 * r!} 0a${r} ${r} 0 1 0 ${-2 * r!} 0Z`;
}

/** A colour, or the tile of a pattern; `null`: not filled. */
function fillOf(
  on: CanvasRenderingContext2D,
  fill: string,
  per: number,
): string | CanvasPattern | null {
  if (fill === 'none') return null;
  const id = /url\("?#([\w-]+)"?\)/.exec(fill)?.[1];
  const pattern = id === undefined ? null : document.getElementById(id);
  if (!(pattern instanceof SVGPatternElement)) return fill;
  const step = pattern.width.baseVal.value;
  const tile = document.createElement('canvas');
  tile.width = tile.height = Math.max(1, Math.round(step * per));
  const tileOn = tile.getContext('2d')!;
  tileOn.scale(tile.width / step, tile.width / step);
  for (const shape of pattern.children) {
    const style = getComputedStyle(shape);
    tileOn.fillStyle = style.fill;
    if (shape instanceof SVGRectElement) tileOn.fillRect(0, 0, step, step);
    if (!(shape instanceof SVGPathElement)) continue;
    tileOn.strokeStyle = style.stroke;
    tileOn.globalAlpha = Number(style.strokeOpacity);
    tileOn.lineWidth = parseFloat(style.strokeWidth);
    tileOn.stroke(new Path2D(outlineOf(shape)));
  }
  const made = on.createPattern(tile, 'repeat');
  const turned = pattern.patternTransform.baseVal.consolidate()?.matrix;
  const { a, b, c, d, e, f } = turned ?? { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };
  const shrink = step / tile.width;
  made?.setTransform(new DOMMatrix([a, b, c, d, e, f]).scale(shrink, shrink));
  return made;
}
