import { createContext, useContext, useEffect } from 'react';
import { useLatest } from './useLatest';

/** Whether single-letter keys act; the shell provides it from the settings. */
export const SingleKeysContext = createContext(true);

/** Key as in `KeyboardEvent.key`, letters in lower case; `mod+z` for Ctrl or Command. */
export type Shortcuts = Readonly<Record<string, () => void>>;

/**
 * Keys that act while a screen is shown. Plain keys are left alone while the user types, works a control that
 * uses them, or has a dialog open.
 */
export function useShortcuts(shortcuts: Shortcuts): void {
  const enabled = useContext(SingleKeysContext);
  const latest = useLatest(shortcuts);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.altKey) return;
      const mod = event.ctrlKey || event.metaKey;
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const name = mod ? `mod+${event.shiftKey ? 'shift+' : ''}${key}` : key;
      const action = latest.current[name];
      if (!action || (!mod && (!enabled || usesKeys(event.target, key)))) return;
      if (mod && isText(event.target)) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [enabled, latest]);
}

const isText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, [contenteditable="true"]') !== null;

function usesKeys(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.closest('[role="dialog"], [role="menu"], [role="listbox"]')) return true;
  const control = target.closest('input, textarea, select, [contenteditable="true"]');
  if (control)
    return !(
      control instanceof HTMLInputElement &&
      control.type === 'radio' &&
      /^[a-z0-9]$/.test(key)
    );
  if (target.closest('[role="slider"], [role="radiogroup"]')) return key.startsWith('Arrow');
  return key === ' ' || key === 'Enter' ? target.closest('button, a, summary') !== null : false;
}
