import { useCallback, useEffect, useRef } from 'react';

/**
 * Does work once nothing is pressed: what moves between press and release takes the click away from what was pressed.
 * @returns does what it is given, at once where nothing is pressed
 */
export function useReleased(): (work: () => void) => void {
  const isPressed = useRef(false);
  const waiting = useRef<(() => void)[]>([]);
  useEffect(() => {
    const press = () => void (isPressed.current = true);
    const release = () => {
      isPressed.current = false;
      // The click comes right after the release.
      setTimeout(() => waiting.current.splice(0).forEach((work) => work()));
    };
    document.addEventListener('pointerdown', press);
    for (const end of ['pointerup', 'pointercancel']) document.addEventListener(end, release);
    return () => {
      document.removeEventListener('pointerdown', press);
      for (const end of ['pointerup', 'pointercancel']) document.removeEventListener(end, release);
    };
  }, []);
  return useCallback((work) => {
    if (isPressed.current) waiting.current.push(work);
    else work();
  }, []);
}
