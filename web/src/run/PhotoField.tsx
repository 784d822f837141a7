import { shrunk } from './shrunk.js';

/** A photo from the tablet's camera, shrunk before it is kept. */
export function PhotoField({ taken, onPhoto }: { taken: boolean; onPhoto: (photo: string) => void }) {
  return (
    <label>
      {taken ? 'Photo taken' : 'Take a photo'}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          if (file) void shrunk(file).then(onPhoto);
        }}
      />
    </label>
  );
}
