import { dim, type Dimension, type ScaleMarks, type Silhouette } from '@compas/core';
import { Button, Progress, Slider, Upload } from 'antd';
import { proxy } from 'comlink';
import { useEffect, useState, type MouseEvent } from 'react';
import { LengthInput } from '../ui/LengthInput.js';
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

interface Spot {
  x: number;
  y: number;
}
interface Photo {
  blob: Blob;
  url: string;
  width: number;
  height: number;
}

/** Two points a known distance apart are marked on the photo; the silhouette is found in it. */
export function PhotoTrace({ onMeasured }: { onMeasured: (measured: Measured | null) => void }) {
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
  return (
    <div className="column">
      <div className="row">
        <Upload
          accept="image/*"
          showUploadList={false}
          beforeUpload={(file) => {
            void open(file);
            return false;
          }}
        >
          <Button type={photo ? 'default' : 'primary'}>Open a photo</Button>
        </Upload>
        <Button
          onClick={() =>
            void fetch(MADE_UP.url)
              .then((answer) => answer.blob())
              .then((blob) => open(blob, [MADE_UP.marks.a, MADE_UP.marks.b]))
          }
        >
          Try it with our made-up photo
        </Button>
      </div>
      {!photo && (
        <p>
          Lay the sample on a plain sheet of another colour with a ruler beside it, the camera straight above
          and far enough away that near and far are the same size.
        </p>
      )}
      {why && (
        <p role="alert" className="trouble">
          {why}
        </p>
      )}
      {photo && (
        <>
          <p>
            {spots.length < 2
              ? `Press on the photo at ${spots.length === 0 ? 'one end' : 'the other end'} of a length you know, such as a ruler.`
              : 'Press again to mark another length.'}
          </p>
          <PhotoView
            photo={photo}
            spots={spots}
            found={found}
            onMark={(spot) => setSpots(spots.length >= 2 ? [spot] : [...spots, spot])}
          />
          <div className="row at-foot">
            <LengthInput label="Between the two marks" showLabel value={distance} onChange={setDistance} />
            <Button
              type="primary"
              disabled={spots.length < 2 || progress !== null}
              onClick={() => void trace()}
            >
              Find the silhouette
            </Button>
          </div>
          {progress && (
            <div role="status">
              <Progress percent={Math.round(progress.share * 100)} />{' '}
              <span className="soft">{progress.doing}</span>
            </div>
          )}
          <label className="column gap-none">
            <span>What counts as the sample: more of what is doubtful, or less</span>
            <Slider
              aria-label="How strict"
              min={0.4}
              max={1.6}
              step={0.1}
              value={strictness}
              onChange={setStrictness}
              tooltip={{ formatter: null }}
            />
          </label>
          {found && (
            <label className="column gap-none">
              <span>How much of its length is taken, %</span>
              <Slider
                range
                aria-label="Stretch that is taken"
                value={span}
                onChange={([from = 0, to = 100]) => {
                  setSpan([from, to]);
                  give(found, [from, to]);
                }}
              />
            </label>
          )}
          {found && (
            <p className="soft">
              The axis leans by {found.tilt.toFixed(1)}° in the photo; one pixel is{' '}
              {found.mmPerPixel.toFixed(3)} mm. Turned about the axis, both edges are used.
            </p>
          )}
        </>
      )}
    </div>
  );
}

interface PhotoViewProps {
  photo: Photo;
  spots: Spot[];
  found: Silhouette | null;
  onMark: (spot: Spot) => void;
}

function PhotoView({ photo, spots, found, onMark }: PhotoViewProps) {
  const mark = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    onMark({
      x: ((event.clientX - box.left) / box.width) * photo.width,
      y: ((event.clientY - box.top) / box.height) * photo.height,
    });
  };
  const size = photo.width / 60;
  return (
    <svg
      className="photo"
      viewBox={`0 0 ${photo.width} ${photo.height}`}
      role="img"
      aria-label="The photo of the sample"
      onClick={mark}
    >
      <image href={photo.url} width={photo.width} height={photo.height} />
      {found && <FoundEdges found={found} />}
      {spots.map((s, i) => (
        <g key={i} className="photo-mark" strokeWidth={size / 6}>
          <line x1={s.x - size} x2={s.x + size} y1={s.y} y2={s.y} />
          <line x1={s.x} x2={s.x} y1={s.y - size} y2={s.y + size} />
        </g>
      ))}
    </svg>
  );
}

/** Both edges and the axis, back in the photo. */
function FoundEdges({ found }: { found: Silhouette }) {
  const { axis, points, mmPerPixel } = found;
  const length = Math.hypot(axis.x1 - axis.x0, axis.y1 - axis.y0);
  const [ux, uy] = [(axis.x1 - axis.x0) / length, (axis.y1 - axis.y0) / length];
  const edge = (side: 1 | -1) =>
    points
      .filter((_, i) => i % 3 === 0)
      .map((p) => {
        const [s, n] = [p.x / mmPerPixel, (side === 1 ? p.up : -p.down) / mmPerPixel];
        return `${(axis.x0 + s * ux + n * uy).toFixed(1)},${(axis.y0 + s * uy - n * ux).toFixed(1)}`;
      })
      .join(' L');
  return (
    <g className="photo-edge" strokeWidth={length / 300}>
      <path d={`M${edge(1)}`} />
      <path d={`M${edge(-1)}`} />
      <line
        x1={axis.x0}
        y1={axis.y0}
        x2={axis.x1}
        y2={axis.y1}
        strokeDasharray={`${length / 40} ${length / 80}`}
      />
    </g>
  );
}
