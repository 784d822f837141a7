import { useState } from 'react';
import { shrunk } from './shrunk.js';

/** A photo from the tablet's camera, shrunk before it is kept. */
export function PhotoField({ taken, onPhoto }: { taken: boolean; onPhoto: (photo: string) => void }) {
  const [unread, setUnread] = useState(false);
  const take = async (file: File) => {
    try {
      onPhoto(await shrunk(file));
      setUnread(false);
    } catch {
      setUnread(true);
    }
  };
  return (
    <label>
      {unread ? 'That is no photo that can be read: take another' : taken ? 'Photo taken' : 'Take a photo'}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          if (file) void take(file);
        }}
      />
    </label>
  );
}
