import type { RgbaImage } from '../../core/raster/index.ts';

export interface Canvas {
  readonly canvas: HTMLCanvasElement;
  readonly context: CanvasRenderingContext2D;
}

/**
 * An empty canvas of so many pixels, which may be broken numbers.
 * @param isRead whether its pixels are read again and again
 */
export function canvasOf(width: number, height: number, isRead = false): Canvas {
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width));
  canvas.height = Math.max(1, Math.round(height));
  return { canvas, context: contextOf(canvas, isRead) };
}

/** A canvas with these pixels. */
export function canvasWith(image: RgbaImage): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  paint(canvas, image);
  return canvas;
}

/** Makes a canvas as large as an image and puts its pixels there. */
export function paint(canvas: HTMLCanvasElement, { width, height, data }: RgbaImage): void {
  canvas.width = width;
  canvas.height = height;
  const pixels = new ImageData(new Uint8ClampedArray(data), width, height);
  contextOf(canvas).putImageData(pixels, 0, 0);
}

function contextOf(canvas: HTMLCanvasElement, isRead = false): CanvasRenderingContext2D {
  const context = canvas.getContext('2d', { willReadFrequently: isRead });
  if (!context) throw new Error('This browser draws no pictures.');
  return context;
}
