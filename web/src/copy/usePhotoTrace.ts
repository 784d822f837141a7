import { dim, type Dimension, type ScaleMarks, type Silhouette } from '@compas/core';
import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import { tracing } from '../workers/tracing.js';
import type { Measured } from './measured.js';

/** Largest photo that is opened, bytes. */
const MOST_BYTES = 40_000_000;
/** The photo we ship to try it with, painted by us; its two crosses are 100 mm apart. */
const MADE_UP = {
  url: '/samples/old-finial.jpg',
  marks: { a: { x: 300, y: 1023 }, b: { x: 1700, y: 1023 } },
};
/** An edge is known to about a quarter of a pixel. */
const PIXEL_SHARE = 0.25;

export interface Spot {
  x: number;
  y: number;
}
export interface Photo {
  blob: Blob;
  url: string;
  width: number;
  height: number;
}

/** A photo with a known length marked on it, and the silhouette that a worker finds there. */
export function usePhotoTrace(onMeasured: (measured: Measured | null) => void) {
  const [photo, setPhoto] = useState<Photo | null>(null);
  const [spots, setSpots] = useState<Spot[]>([]);
  const [distance, setDistance] = useState<Dimension>(dim(100));
  const [strictness, setStrictness] = useState(1);
  const [span, setSpan] = useState<[number, number]>([0, 100]);
  const [progress, setProgress] = useState<{ share: number; doing: string } | null>(null);
  const [found, setFound] = useState<Silhouette | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  useEffect(() => () => void (photo && URL.revokeObjectURL(photo.url)), [photo]);

  const open = async (blob: Blob, marks: Spot[] = []) => {
    onMeasured(null);
    setFound(null);
    setSpots(marks);
    if (blob.size > MOST_BYTES)
      return setWhy(
        `The photo has ${Math.round(blob.size / 1e6)} MB; up to ${MOST_BYTES / 1e6} MB are opened.`,
      );
    try {
      const { width, height } = await createImageBitmap(blob);
      setPhoto({ blob, url: URL.createObjectURL(blob), width, height });
      setWhy(null);
    } catch {
      setWhy('This file is no photo that can be opened. JPEG, PNG and WebP are read.');
    }
  };
  const give = (silhouette: Silhouette, [from, to]: [number, number]) => {
    const length = silhouette.points.at(-1)?.x ?? 0;
    const points = silhouette.points.filter(
      (p) => p.x >= (from / 100) * length && p.x <= (to / 100) * length,
    );
    onMeasured({ by: 'photo', points, unsure: PIXEL_SHARE * silhouette.mmPerPixel });
  };
  const trace = async () => {
    const [a, b] = spots;
    if (!photo || !a || !b) return;
    const marks: ScaleMarks = { a, b, distance: distance.mm };
    setProgress({ share: 0, doing: 'beginning' });
    const traced = await tracing()
      .silhouette(
        photo.blob,
        marks,
        strictness,
        proxy((share: number, doing: string) => setProgress({ share, doing })),
      )
      .catch(() => ({ ok: false as const, why: 'The photo could not be measured here. Try a smaller one.' }));
    setProgress(null);
    if (!traced.ok) {
      setWhy(traced.why);
      setFound(null);
      return onMeasured(null);
    }
    setWhy(null);
    setFound(traced.silhouette);
    give(traced.silhouette, span);
  };
  return {
    photo,
    spots,
    distance,
    strictness,
    span,
    progress,
    found,
    why,
    open: (blob: Blob) => void open(blob),
    openMadeUp: () =>
      void fetch(MADE_UP.url)
        .then((answer) => answer.blob())
        .then((blob) => open(blob, [MADE_UP.marks.a, MADE_UP.marks.b])),
    mark: (spot: Spot) => setSpots(spots.length >= 2 ? [spot] : [...spots, spot]),
    setDistance,
    setStrictness,
    takeStretch: (silhouette: Silhouette, stretch: [number, number]) => {
      setSpan(stretch);
      give(silhouette, stretch);
    },
    trace: () => void trace(),
  };
}

export type PhotoTracing = ReturnType<typeof usePhotoTrace>;
