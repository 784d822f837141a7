import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { StripRoom } from './stripRoom.js';

/** The strip of a working screen stays in sight: while one scrolls it is a band along the top. */
export function StripInSight({ children }: { children: ReactNode }) {
  const mark = useRef<HTMLDivElement>(null);
  const place = useRef<HTMLDivElement>(null);
  const [full, setFull] = useState(0);
  const [isBand, setBand] = useState(false);
  useLayoutEffect(() => {
    if (!isBand && place.current) setFull(place.current.offsetHeight);
  }, [isBand, children]);
  useEffect(() => {
    const look = () => {
      if (mark.current) setBand(mark.current.getBoundingClientRect().top < -SLACK);
    };
    window.addEventListener('scroll', look, { passive: true });
    return () => window.removeEventListener('scroll', look);
  }, []);
  // what it leaves free stays free: nothing under it jumps while it becomes a band
  return (
    <>
      <div ref={mark} className="strip-mark" />
      <div className="strip-place" ref={place} style={isBand ? { height: full } : undefined}>
        <StripRoom value={isBand ? 'band' : 'all'}>
          <div className="strip-stays">{children}</div>
        </StripRoom>
      </div>
    </>
  );
}

/** Scrolled by less than this it stays as it is, px. */
const SLACK = 24;
