import { printerPicture } from '../../session/bridge.ts';
import { canvasOf } from '../../ui/canvas.ts';

const SIDE = 96; // px

/** The picture that a printer has of itself, small, as a data URL; undefined where it has none. */
export async function printerPictureUrl(address: string): Promise<string | undefined> {
  const blob = await printerPicture(address);
  if (!blob) return undefined;
  try {
    const image = await createImageBitmap(blob);
    const scale = Math.min(1, SIDE / Math.max(image.width, image.height));
    const { canvas, context } = canvasOf(image.width * scale, image.height * scale);
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    image.close();
    return canvas.toDataURL('image/png');
  } catch {
    return undefined; // what cannot be drawn is no picture
  }
}
