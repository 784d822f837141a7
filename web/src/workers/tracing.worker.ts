import {
  FileProblem,
  fitSample,
  silhouetteOf,
  type FittedSample,
  type FitWishes,
  type SamplePoint,
  type ScaleMarks,
  type Silhouette,
} from '@compas/core';
import { expose } from 'comlink';

/** What came of a photo: its silhouette, or a sentence. */
export type Traced = { ok: true; silhouette: Silhouette } | { ok: false; why: string };

/** Photos are looked at up to this size; larger ones are shrunk first, pixels. */
const MOST_PIXELS = 24_000_000;

const tracing = {
  async silhouette(
    photo: Blob,
    marks: ScaleMarks,
    strictness: number,
    onProgress: (share: number, doing: string) => void,
  ): Promise<Traced> {
    onProgress(0.01, 'opening the photo');
    const bitmap = await createImageBitmap(photo);
    const shrink = Math.min(1, Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height)));
    const [width, height] = [Math.round(bitmap.width * shrink), Math.round(bitmap.height * shrink)];
    const canvas = new OffscreenCanvas(width, height);
    const paper = canvas.getContext('2d', { willReadFrequently: true });
    if (!paper) return { ok: false, why: 'This browser cannot read the photo’s pixels.' };
    paper.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    const { data } = paper.getImageData(0, 0, width, height);
    const at = ({ x, y }: ScaleMarks['a']) => ({ x: x * shrink, y: y * shrink });
    try {
      const silhouette = silhouetteOf({
        picture: { data, width, height },
        marks: { a: at(marks.a), b: at(marks.b), distance: marks.distance },
        strictness,
        onProgress,
      });
      const { axis } = silhouette;
      const back = {
        x0: axis.x0 / shrink,
        y0: axis.y0 / shrink,
        x1: axis.x1 / shrink,
        y1: axis.y1 / shrink,
      };
      return { ok: true, silhouette: { ...silhouette, axis: back } };
    } catch (error) {
      if (error instanceof FileProblem) return { ok: false, why: error.message };
      throw error;
    }
  },

  fit: (points: SamplePoint[], wishes: FitWishes): FittedSample => fitSample(points, wishes),
};

export type Tracing = typeof tracing;

expose(tracing);
