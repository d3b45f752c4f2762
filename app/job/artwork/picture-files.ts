/** The picture files that can be chosen. */
export const PICTURE_FILES =
  '.png,.jpg,.jpeg,.webp,.svg,image/png,image/jpeg,image/webp,image/svg+xml';
