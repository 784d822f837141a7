import { Button } from 'antd';
import { useSearchParams } from 'react-router';
import { NOTE, useNoted } from './noted.js';

/** The note in hand, until something was made of it. */
export function NotedHere({ wish }: { wish: string }) {
  const noted = useNoted();
  const [, setSearch] = useSearchParams();
  if (!noted) return null;
  const away = () =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        for (const key of NOTE) after.delete(key);
        return after;
      },
      { replace: true },
    );
  return (
    <p className="row noted-here" role="status">
      <span>
        Noted at the lathe, {noted.where}: <b>{noted.words || 'a photo'}</b>. {wish}
      </span>
      <Button size="small" onClick={away}>
        Put the note away
      </Button>
    </p>
  );
}
