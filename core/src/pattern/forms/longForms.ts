import { dim } from '../../measure/index.js';
import { crestRadius, form } from './form.js';

export const longForms = [
  form(
    'rolling-pin',
    'Rolling pin, straight or barrel',
    'rolling pin',
    [
      { key: 'end', label: 'Diameter at the ends', usual: 30 },
      { key: 'middle', label: 'Diameter at the middle', usual: 34 },
      { key: 'length', label: 'Total length', usual: 280 },
    ],
    (size) => {
      const rise = (size('middle').mm - size('end').mm) / 2;
      const length = size('length');
      return {
        start: size('end'),
        elements:
          rise > 0
            ? [
                {
                  kind: 'arc',
                  id: 'e1',
                  name: 'barrel',
                  length,
                  endDiameter: size('end'),
                  radius: dim(crestRadius(length.mm, rise)),
                  side: 'out',
                },
              ]
            : [{ kind: 'cylinder', id: 'e1', name: 'barrel', length }],
      };
    },
  ),
  form(
    'tapered-pin',
    'Rolling pin, tapered to its ends',
    'rolling pin',
    [
      { key: 'middle', label: 'Diameter at the middle', usual: 42 },
      { key: 'flat', label: 'Straight middle', usual: 160 },
      { key: 'end', label: 'Diameter at the ends', usual: 22 },
      { key: 'length', label: 'Total length', usual: 480 },
    ],
    (size) => {
      const slope = dim((size('length').mm - size('flat').mm) / 2);
      return {
        start: size('end'),
        elements: [
          { kind: 'taper', id: 'e1', name: 'first slope', length: slope, endDiameter: size('middle') },
          { kind: 'cylinder', id: 'e2', name: 'middle', length: size('flat') },
          { kind: 'taper', id: 'e3', name: 'other slope', length: slope, endDiameter: size('end') },
        ],
      };
    },
  ),
  form(
    'leg',
    'Leg with a square left at the top',
    'leg',
    [
      { key: 'square', label: 'Square at the rail', usual: 42 },
      { key: 'squareLength', label: 'Length of the square', usual: 90 },
      { key: 'thick', label: 'Round below the square', usual: 40 },
      { key: 'foot', label: 'Diameter at the floor', usual: 24 },
      { key: 'length', label: 'Total length', usual: 440 },
    ],
    (size) => {
      const thick = Math.min(size('thick').mm, size('square').mm);
      return {
        start: size('square'),
        startHeld: true,
        total: size('length'),
        elements: [
          {
            kind: 'square',
            id: 'e1',
            name: 'square',
            length: size('squareLength'),
            across: size('square'),
            endDiameter: dim(thick * 0.7),
            shoulder: 'rolled',
            held: ['length', 'across'],
          },
          { kind: 'cove', id: 'e2', name: 'neck', length: dim(14), bottom: dim(thick * 0.6) },
          {
            kind: 'bead',
            id: 'e3',
            name: 'ring',
            length: dim(9),
            crown: dim(thick * 0.7 + 6),
            form: 'ellipse',
          },
          { kind: 'ogee', id: 'e4', name: 'shoulder', length: dim(60), endDiameter: dim(thick), side: 'in' },
          {
            kind: 'taper',
            id: 'e5',
            name: 'shaft',
            length: dim(240),
            endDiameter: size('foot'),
            takesUp: true,
          },
        ],
      };
    },
  ),
];
