import { useEffect } from 'react';

/** Pitch of each state that stops the work, Hz, and how long it sounds, s: two short ones for a Stop. */
const TONES: Record<string, number[]> = { held: [520], wait: [390], stop: [700, 700] };
const LENGTH = 0.12;

/** The state that was heard last: each step is a screen of its own. */
let lastHeard = 'free';

/** A short tone when the screen comes to hold, wait or stop; going on needs none. It can be turned off. */
export function useTone(frame: string, wanted: boolean): void {
  useEffect(() => {
    if (frame !== lastHeard && wanted) sound(TONES[frame] ?? []);
    lastHeard = frame;
  }, [frame, wanted]);
}

function sound(pitches: readonly number[]): void {
  if (pitches.length === 0 || typeof AudioContext === 'undefined') return;
  const audio = new AudioContext();
  pitches.forEach((pitch, i) => {
    const tone = audio.createOscillator();
    tone.frequency.value = pitch;
    tone.connect(audio.destination);
    tone.start(audio.currentTime + 2 * i * LENGTH);
    tone.stop(audio.currentTime + (2 * i + 1) * LENGTH);
    if (i === pitches.length - 1) tone.onended = () => void audio.close();
  });
}
