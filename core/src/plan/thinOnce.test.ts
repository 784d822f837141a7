import { dim } from '../measure/index.js';
import type { PatternBody } from '../pattern/index.js';
import { base, planned, said, way } from '../../test/exampleWays.js';

/** A thick body on a thin stem; the stem is at the drive. */
const TOP: PatternBody = {
  ...base.pattern,
  kind: 'other',
  hardware: [],
  parts: [
    {
      ...base.pattern.parts[0],
      holes: [],
      turnings: [
        {
          id: 't',
          startDiameter: dim(6),
          elements: [
            { kind: 'cylinder', id: 'stem', length: dim(30) },
            { kind: 'shoulder', id: 'step', endDiameter: dim(36) },
            { kind: 'cylinder', id: 'rim', length: dim(8) },
            { kind: 'taper', id: 'under', length: dim(12), endDiameter: dim(20) },
            { kind: 'cylinder', id: 'foot', length: dim(6) },
          ],
        },
      ],
    },
  ],
};

describe('a thin stem that is turned first', () => {
  it('is one Stop for all that it does not carry, and names them', () => {
    const others = ['step', 'rim', 'under', 'foot'];
    const stops = said(
      planned({ order: [way({ kind: 'before', first: ['stem'], then: others })] }, TOP).findings,
      'route.',
    ).filter((f) => f.what.endsWith('What carries this is too thin for it.'));
    expect(stops.map((f) => f.what)).toEqual(['Size: taper: What carries this is too thin for it.']);
    // a parting cut pushes with 60 N, a light one with 20: three figures, one neck
    expect(stops[0]!.why).toContain('⟦6.2⟧ across; a force of 60 N here wants ⟦10.4178⟧');
    expect(stops[0]!.why).toContain('So it is at: Cylinder, Taper.');
  });
});
