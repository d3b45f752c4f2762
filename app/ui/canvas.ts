import type { RgbaImage } from '../../core/raster/index.ts';

export interface Canvas {
  readonly canvas: HTMLCanvasElement;
  readonly context: CanvasRenderingContext2D;
}

/** An empty canvas of so many pixels, which may be broken numbers. */
export function canvasOf(width: number, height: number): Canvas {
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width));
  canvas.height = Math.max(1, Math.round(height));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser draws no pictures.');
  return { canvas, context };
}

/** A canvas with these pixels. */
export function canvasWith({ width, height, data }: RgbaImage): Canvas {
  const made = canvasOf(width, height);
  made.context.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return made;
}
