import { dim } from '../measure/index.js';
import { outlineOf, type Element } from '../pattern/index.js';
import { orderOfCuts } from './index.js';

/** What is said of a single feature that begins at 24. */
const said = (element: Element): string =>
  orderOfCuts('p', outlineOf({ id: 't', startDiameter: dim(24), elements: [element] }), [], 'far').cuts[0]!
    .words;
const arc = (endDiameter: number, side: 'out' | 'in', length = 40): Element => ({
  kind: 'arc',
  id: 'a',
  name: 'grip',
  length: dim(length),
  endDiameter: dim(endDiameter),
  radius: dim(60),
  side,
});

describe('how a feature is cut follows from its outline', () => {
  it('a barrel from its crown to both ends, never “planed” to what its ends measure', () => {
    // a chord of 40 in a circle of 60 stands off by 60 − √(60² − 20²) = 3.431
    expect(said(arc(24, 'out'))).toBe(
      `Cut the grip from its crown of ⟦${(24 + 2 * (60 - Math.sqrt(3200))).toFixed(4)}⟧ downhill to both ends, ⟦24⟧.`,
    );
  });

  it('a hollow arc from both ends into its valley', () => {
    expect(said(arc(26, 'in'))).toMatch(
      /^Hollow the grip from both ends, ⟦24⟧ and ⟦26⟧, down to ⟦1\d\.\d+⟧\.$/,
    );
  });

  it('what only falls downhill, what is level along', () => {
    expect(said({ kind: 'taper', id: 't', name: 'neck', length: dim(20), endDiameter: dim(12) })).toBe(
      'Cut the neck downhill, from ⟦24⟧ to ⟦12⟧.',
    );
    expect(said({ kind: 'cylinder', id: 'c', name: 'band', length: dim(20) })).toBe(
      'Plane the band to ⟦24⟧.',
    );
  });
});
