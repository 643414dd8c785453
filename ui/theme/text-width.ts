/** How wide a letter is about, where nothing can be measured, as a share of its size. */
const LETTER = 0.55;

let canvas: CanvasRenderingContext2D | null = null;

/** How wide a line of text is in a font, in pixels. */
export const textWidth = (text: string, family: string, size: number): number => {
  if (typeof document === 'undefined') return text.length * size * LETTER;
  canvas ??= document.createElement('canvas').getContext('2d');
  if (!canvas) return text.length * size * LETTER;
  canvas.font = `${size}px ${family}`;
  return canvas.measureText(text).width;
};
