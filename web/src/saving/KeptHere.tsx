import { Button } from 'antd';
import { clockHere } from '../ui/clock.js';
import './saving.css';

interface KeptHereProps {
  /** when it was typed, instant in ms; null when nothing was kept */
  at: number | null;
  /** there was room on this device for what is typed now */
  room: boolean;
  onTakeBack: () => void;
}

/** Says that what was typed before is here again, or that this device has no room to keep it. */
export function KeptHere({ at, room, onTakeBack }: KeptHereProps) {
  if (!room)
    return (
      <p role="alert">
        ▲ This device has no room to keep what you type. Save it before you leave this screen.
      </p>
    );
  if (at === null) return null;
  return (
    <p className="kept-here" role="status">
      Your changes of {clockHere(at)} were not saved and are here again.
      <Button size="small" onClick={onTakeBack}>
        Take them back
      </Button>
    </p>
  );
}
