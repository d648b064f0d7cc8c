const LONGEST_PX = 1600;

/**
 * A photo made small on this device: upright, at most 1600 px, without what the camera wrote beside
 * it. The server draws it anew as well, so that nothing depends on this.
 */
export async function small(file: File): Promise<Blob> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const share = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(picture.width * share);
    canvas.height = Math.round(picture.height * share);
    canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
    const made = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.85));
    return made ?? file;
  } catch {
    // A picture that this browser cannot read: the server says what is wrong with it.
    return file;
  }
}
