/** A picture as the browser gives it: four bytes a pixel, rows from the top. */
export interface Picture {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

/** A shrunken picture with its three colours apart, each pixel the mean of a block. */
export interface SmallPicture {
  width: number;
  height: number;
  /** pixels of the large picture to one of the small */
  block: number;
  red: Float32Array;
  green: Float32Array;
  blue: Float32Array;
}

const LONGEST = 720;

/** Shrinks a picture by whole blocks until its longer side has at most 720 pixels. */
export function shrunk({ data, width, height }: Picture): SmallPicture {
  const block = Math.max(1, Math.ceil(Math.max(width, height) / LONGEST));
  const [w, h] = [Math.floor(width / block), Math.floor(height / block)];
  const [red, green, blue] = [0, 1, 2].map(() => new Float32Array(w * h)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const share = 1 / (block * block);
  for (let y = 0; y < h * block; y++) {
    const row = Math.floor(y / block) * w;
    let at = 4 * y * width;
    for (let x = 0; x < w; x++) {
      let [r, g, b] = [0, 0, 0];
      for (let k = 0; k < block; k++, at += 4) {
        r += data[at] ?? 0;
        g += data[at + 1] ?? 0;
        b += data[at + 2] ?? 0;
      }
      red[row + x] = (red[row + x] ?? 0) + r * share;
      green[row + x] = (green[row + x] ?? 0) + g * share;
      blue[row + x] = (blue[row + x] ?? 0) + b * share;
    }
  }
  return { width: w, height: h, block, red, green, blue };
}
