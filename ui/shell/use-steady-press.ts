import { useEffect } from 'react';

const PRESSABLE =
  'button, a, [role="button"], [role="link"], [role="radio"], [role="tab"], [role="checkbox"]';
/** A mouse that moves further than this while it is down, in pixels, is no longer pressing. */
const STILL = 8;

const watch = (signal: AbortSignal): void => {
  let pressed: { element: Element; id: number; x: number; y: number } | null = null;
  const begin = ({ target, pointerType, pointerId, clientX, clientY }: PointerEvent): void => {
    const element = target instanceof Element ? target.closest(PRESSABLE) : null;
    if (!element || pointerType !== 'mouse') return;
    element.setPointerCapture(pointerId);
    pressed = { element, id: pointerId, x: clientX, y: clientY };
  };
  const move = ({ clientX, clientY }: PointerEvent): void => {
    if (!pressed || Math.hypot(clientX - pressed.x, clientY - pressed.y) <= STILL) return;
    if (pressed.element.hasPointerCapture(pressed.id)) pressed.element.releasePointerCapture(pressed.id);
    pressed = null;
  };
  document.addEventListener('pointerdown', begin, { capture: true, signal });
  document.addEventListener('pointermove', move, { capture: true, signal });
};

/**
 * What is pressed with a still mouse is what it was put down on, though the page moves under it meanwhile: leaving a
 * field may add or take away a line above the button, and the press would be lost. Touch does so by itself.
 */
export const useSteadyPress = (): void => {
  useEffect(() => {
    const end = new AbortController();
    watch(end.signal);
    return () => end.abort();
  }, []);
};
