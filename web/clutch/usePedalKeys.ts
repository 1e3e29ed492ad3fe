import { useShortcuts } from '../shared/useShortcuts';

const STEP = 0.04;

/** The pedal by keys from anywhere on the bench: ↓ presses, ↑ lets it up, P all the way and back. */
export function usePedalKeys(pedal: number, onPedal: (share: number) => void): void {
  const to = (share: number) => onPedal(Math.min(1, Math.max(0, Number(share.toFixed(4)))));
  useShortcuts({
    ArrowDown: () => to(pedal + STEP),
    ArrowUp: () => to(pedal - STEP),
    p: () => to(pedal > 0.5 ? 0 : 1),
  });
}
