import { Button, Progress, Slider, Upload } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import type { Measured } from './measured.js';
import { PhotoView } from './PhotoView.js';
import { usePhotoTrace, type Photo, type PhotoTracing } from './usePhotoTrace.js';

/** Two points a known distance apart are marked on the photo; the silhouette is found in it. */
export function PhotoTrace({ onMeasured }: { onMeasured: (measured: Measured | null) => void }) {
  const tracing = usePhotoTrace(onMeasured);
  const { photo, why } = tracing;
  return (
    <div className="column">
      <div className="row">
        <Upload
          accept="image/*"
          showUploadList={false}
          beforeUpload={(file) => {
            tracing.open(file);
            return false;
          }}
        >
          <Button type={photo ? 'default' : 'primary'}>Open a photo</Button>
        </Upload>
        <Button onClick={tracing.openMadeUp}>Try it with our made-up photo</Button>
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
      {photo && <Marking photo={photo} tracing={tracing} />}
    </div>
  );
}

/** The photo is open: a length is marked on it, the silhouette found and corrected. */
function Marking({ photo, tracing }: { photo: Photo; tracing: PhotoTracing }) {
  const { spots, found, progress } = tracing;
  return (
    <>
      <p>
        {spots.length < 2
          ? `Press on the photo at ${spots.length === 0 ? 'one end' : 'the other end'} of a length you know, such as a ruler.`
          : 'Press again to mark another length.'}
      </p>
      <PhotoView photo={photo} spots={spots} found={found} onMark={tracing.mark} />
      <div className="row at-foot">
        <LengthInput
          label="Between the two marks"
          showLabel
          value={tracing.distance}
          onChange={tracing.setDistance}
        />
        <Button type="primary" disabled={spots.length < 2 || progress !== null} onClick={tracing.trace}>
          Find the silhouette
        </Button>
      </div>
      {progress && (
        <div role="status">
          <Progress percent={Math.round(progress.share * 100)} />{' '}
          <span className="soft">{progress.doing}</span>
        </div>
      )}
      <Corrections tracing={tracing} />
    </>
  );
}

function Corrections({ tracing }: { tracing: PhotoTracing }) {
  const { found } = tracing;
  return (
    <>
      <label className="column gap-none">
        <span>What counts as the sample: more of what is doubtful, or less</span>
        <Slider
          aria-label="How strict"
          min={0.4}
          max={1.6}
          step={0.1}
          value={tracing.strictness}
          onChange={tracing.setStrictness}
          tooltip={{ formatter: null }}
        />
      </label>
      {found && (
        <>
          <label className="column gap-none">
            <span>How much of its length is taken, %</span>
            <Slider
              range
              aria-label="Stretch that is taken"
              value={tracing.span}
              onChange={([from = 0, to = 100]) => tracing.takeStretch(found, [from, to])}
            />
          </label>
          <p className="soft">
            The axis leans by {found.tilt.toFixed(1)}° in the photo; one pixel is{' '}
            {found.mmPerPixel.toFixed(3)} mm. Turned about the axis, both edges are used.
          </p>
        </>
      )}
    </>
  );
}
