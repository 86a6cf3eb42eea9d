import type { care } from '@bright-keeper/core';
import { useEffect } from 'react';

/** What keys and foot pedals ask for. A pedal sends Page Down and Page Up, or space. */
export type BenchCommand = 'forward' | 'back' | 'rest-clean' | care.Answer;

const KEYS: Record<string, BenchCommand> = {
  ' ': 'forward',
  Enter: 'forward',
  ArrowRight: 'forward',
  PageDown: 'forward',
  ArrowLeft: 'back',
  Backspace: 'back',
  PageUp: 'back',
  '0': 'rest-clean',
  '1': 'clean-enough',
  '2': 'better',
  '3': 'no-change',
  ArrowUp: 'better',
  ArrowDown: 'no-change',
};

export const commandOf = (key: string): BenchCommand | null => KEYS[key] ?? null;

/** Listens on the whole page: the hands are busy and nothing has the focus. */
export function useBenchKeys(onCommand: (command: BenchCommand) => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const onControl = event.target instanceof HTMLElement && ['BUTTON', 'A', 'SUMMARY', 'INPUT'].includes(event.target.tagName);
      const command = commandOf(event.key);
      // Space and Enter on a focused button are that button's own.
      if (!command || (onControl && (event.key === ' ' || event.key === 'Enter'))) return;
      event.preventDefault();
      onCommand(command);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [onCommand]);
}
