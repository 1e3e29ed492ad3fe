import { useEffect, useState, type RefObject } from 'react';
import type { EndView } from '../../core/drawing';
import { poseSet, type Port, type SetPose } from '../../core/geartrain';
import { paintPart, type PaintedPart } from '../shared/paintedPart';
import type { Turning } from './useTurning';

type Group = SVGGElement | null;

/** The groups of an end view that turn, and the one round them all. */
interface TurningGroups {
  root: Group;
  sun: Group;
  carrier: Group;
  ring: Group;
  readonly pinions: Group[];
}

/** The `ref` of a group; a pinion is told by its place in the view. */
export type TakeGroup = (
  part: Exclude<keyof TurningGroups, 'pinions'> | number,
) => (element: Group) => void;

/** Filled as they are drawn. */
function takenGroups(): { groups: TurningGroups; take: TakeGroup } {
  const groups: TurningGroups = { root: null, sun: null, carrier: null, ring: null, pinions: [] };
  const take: TakeGroup = (part) => (element) => {
    if (typeof part === 'number') groups.pinions[part] = element;
    else groups[part] = element;
  };
  return { groups, take };
}

interface Motion {
  readonly view: EndView;
  /** Drawn speeds × input speed. */
  readonly shown: Record<Port, number> | null;
  readonly turning: Turning;
  /** Pixels a module. */
  readonly scale: number;
  readonly centre: { readonly x: number; readonly y: number };
  readonly canvas: RefObject<HTMLCanvasElement | null>;
  /** Anew where what is painted looks another way. */
  readonly look: string;
}

/**
 * Puts every part at its angle. Standing, the shapes have their transforms; turning, each part was painted once and is laid
 * on the canvas, while the shapes stay for pointer and names.
 * @returns the `ref` of each group that turns
 */
export function useEndViewMotion(motion: Motion): TakeGroup {
  const [{ groups, take }] = useState(takenGroups);
  const { view, shown, scale, canvas, look } = motion;
  const { subscribe, playing } = motion.turning;
  const { x, y } = motion.centre;
  const sunShare = shown?.sun ?? 0;
  const carrierShare = shown?.carrier ?? 0;

  useEffect(() => {
    const poseAt = (inputTurn: number) =>
      poseSet(view.layout, sunShare * inputTurn, carrierShare * inputTurn);
    const { root } = groups;
    const surface = canvas.current?.getContext('2d');
    if (!playing || !surface) {
      root?.removeAttribute('data-turning');
      surface?.clearRect(0, 0, surface.canvas.width, surface.canvas.height);
      return subscribe((inputTurn) => placeShapes(groups, view, poseAt(inputTurn)));
    }
    root?.setAttribute('data-turning', '');
    const lay = layerOf(groups, view, surface, { x, y, scale });
    return subscribe((inputTurn) => lay(poseAt(inputTurn)));
    // oxlint-disable-next-line react/exhaustive-deps -- `look` stands for what is painted
  }, [groups, subscribe, playing, view, sunShare, carrierShare, look, scale, x, y, canvas]);

  return take;
}

function placeShapes(groups: TurningGroups, view: EndView, pose: SetPose): void {
  for (const part of ['sun', 'carrier', 'ring'] as const)
    groups[part]?.setAttribute('transform', `rotate(${degrees(pose[part])})`);
  view.pinions.forEach(({ station, seat }, k) => {
    const placed = pose.stations[station]?.[seat];
    if (placed)
      groups.pinions[k]?.setAttribute(
        'transform',
        `translate(${placed.centre.x.toFixed(3)} ${placed.centre.y.toFixed(3)}) rotate(${degrees(placed.turn)})`,
      );
  });
}

const degrees = (angle: number): string => ((angle * 180) / Math.PI).toFixed(3);

/** @returns what lays the parts on the canvas; each is painted once, and again where the paper becomes another */
function layerOf(
  groups: TurningGroups,
  view: EndView,
  surface: CanvasRenderingContext2D,
  { x, y, scale }: { x: number; y: number; scale: number },
): (pose: SetPose) => void {
  const density = surface.canvas.width / surface.canvas.clientWidth;
  const paint = (group: SVGGElement | null): PaintedPart | null =>
    group && paintPart(group, scale, density);
  const paintAll = () => ({
    ring: paint(groups.ring),
    carrier: paint(groups.carrier),
    pinions: groups.pinions.map(paint),
    sun: paint(groups.sun),
  });
  let theme: string | undefined;
  let painted: ReturnType<typeof paintAll> | null = null;
  return (pose) => {
    const now = document.documentElement.dataset['theme'] ?? '';
    if (!painted || now !== theme) {
      theme = now;
      painted = paintAll();
    }
    surface.setTransform(1, 0, 0, 1, 0, 0);
    surface.clearRect(0, 0, surface.canvas.width, surface.canvas.height);
    painted.ring?.draw(surface, x, y, pose.ring);
    painted.carrier?.draw(surface, x, y, pose.carrier);
    for (const [k, { station, seat }] of view.pinions.entries()) {
      const placed = pose.stations[station]?.[seat];
      if (!placed) continue;
      const at = { x: x + placed.centre.x * scale, y: y + placed.centre.y * scale };
      painted.pinions[k]?.draw(surface, at.x, at.y, placed.turn);
    }
    painted.sun?.draw(surface, x, y, pose.sun);
  };
}
