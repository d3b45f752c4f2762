/** The files that pictures can be taken from. */
export const PICTURE_FILES =
  '.png,.jpg,.jpeg,.webp,.gif,.avif,.heic,.heif,.tif,.tiff,.bmp,.svg,.dxf,.pdf,.ai,.zip,image/png,image/jpeg,image/webp,image/gif,image/avif,image/heic,image/heif,image/tiff,image/bmp,image/svg+xml,application/pdf,application/zip';
