import { ballSet, inspectTwins, type Station } from './index.js';

const station: Station = {
  id: 'e1.crest',
  label: 'ball',
  x: 26,
  finished: 52,
  cutTo: 52.2,
  tolerance: 0.3,
  mating: false,
};
const verdict = (...readings: number[]) =>
  inspectTwins(
    [station],
    readings.map((mm, i) => ({ piece: i + 1, stationId: station.id, mm })),
    readings.map((_, i) => ({ piece: i + 1, rejected: i === 4 })),
  );

describe('a set of balls', () => {
  it('keeps its size while none is under it', () => {
    expect(ballSet(verdict(52, 51.7, 52.4), [station.id])).toBeNull();
    expect(ballSet(verdict(), [station.id])).toBeNull();
  });

  it('takes the size of an undersize ball, and says which are to be turned down', () => {
    const set = ballSet(verdict(52, 51.4, 51.7, 52.4), [station.id]);
    expect(set).toMatchObject({ size: 51.4, piece: 2, larger: [1, 4] });
    expect(set?.words).toContain('Ball 2 is ⟦51.4⟧ and sets the size: turn 1, 4 down to it');
  });

  it('does not count a rejected ball, nor places that are no ball', () => {
    expect(ballSet(verdict(52, 52, 52, 52, 40), [station.id])).toBeNull();
    expect(ballSet(verdict(52, 40), ['other'])).toBeNull();
  });
});
