/** Kinds of pictures that a browser opens and that are read here. */
export const PHOTO_ACCEPT = 'image/jpeg,image/png,image/webp';
