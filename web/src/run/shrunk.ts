/** A photo is kept this small: enough to see what was meant. */
const LONGEST = 640;

/** A photo as a small data URL. */
export async function shrunk(file: Blob): Promise<string> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return smallest(canvas);
}

/** A photo is sent in so many characters at most; the server takes 200,000. */
const MOST = 150_000;
/** Tried one after the other until it is small enough: what was meant can be seen in the last as well. */
const QUALITIES = [0.7, 0.5, 0.3, 0.15];

function smallest(canvas: HTMLCanvasElement): string {
  let url = '';
  for (const quality of QUALITIES) {
    url = canvas.toDataURL('image/jpeg', quality);
    if (url.length <= MOST) break;
  }
  return url;
}
