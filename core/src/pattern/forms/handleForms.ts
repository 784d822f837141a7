import { dim } from '../../measure/index.js';
import { crestRadius, form, roundingRadius, share } from './form.js';

export const handleForms = [
  form(
    'stopper',
    'Stopper on a base',
    'stopper',
    [
      { key: 'base', label: 'Diameter of the base it sits on', usual: 32 },
      { key: 'height', label: 'Height above the base', usual: 62 },
      { key: 'grip', label: 'Thickest place, in the fingers', usual: 40 },
    ],
    (size) => {
      const height = size('height').mm;
      return {
        start: size('base'),
        elements: [
          { kind: 'cylinder', id: 'e1', name: 'foot', length: share(size('height'), 0.06) },
          {
            kind: 'cove',
            id: 'e2',
            name: 'neck',
            length: dim(height * 0.3),
            bottom: share(size('base'), 0.6),
          },
          {
            kind: 'bead',
            id: 'e3',
            name: 'collar',
            length: dim(height * 0.09),
            crown: dim(size('base').mm + 3),
          },
          { kind: 'taper', id: 'e4', name: 'swell', length: dim(height * 0.25), endDiameter: size('grip') },
          {
            kind: 'arc',
            id: 'e5',
            name: 'crown',
            length: dim(height * 0.3),
            endDiameter: share(size('grip'), 0.3),
            radius: dim(roundingRadius(height * 0.3, size('grip').mm * 0.35)),
            side: 'out',
          },
        ],
      };
    },
  ),
  form(
    'tool-handle',
    'Tool handle with ferrule',
    'handle',
    [
      { key: 'bore', label: 'Inside of the ferrule', usual: 20 },
      { key: 'outside', label: 'Outside of the ferrule', usual: 24 },
      { key: 'ferrule', label: 'Length of the ferrule', usual: 18 },
      { key: 'grip', label: 'Thickest place of the grip', usual: 34 },
      { key: 'length', label: 'Total length', usual: 140 },
    ],
    (size) => {
      const rest = size('length').mm - size('ferrule').mm;
      const neck = size('outside').mm;
      const rise = Math.max((size('grip').mm - neck) / 2, 0.5);
      return {
        start: size('bore'),
        elements: [
          { kind: 'cylinder', id: 'e1', name: 'ferrule tenon', length: size('ferrule') },
          { kind: 'shoulder', id: 'e2', name: 'ferrule shoulder', endDiameter: dim(neck) },
          { kind: 'cylinder', id: 'e3', name: 'collar', length: dim(6) },
          {
            kind: 'arc',
            id: 'e4',
            name: 'grip',
            length: dim(rest * 0.72),
            endDiameter: dim(neck),
            radius: dim(crestRadius(rest * 0.72, rise)),
            side: 'out',
          },
          {
            kind: 'arc',
            id: 'e5',
            name: 'butt',
            length: dim(rest * 0.28 - 6),
            endDiameter: dim(neck * 0.35),
            radius: dim(roundingRadius(rest * 0.28 - 6, neck * 0.325)),
            side: 'out',
          },
        ],
      };
    },
  ),
  form(
    'knife-handle',
    'Knife handle on a tang',
    'handle',
    [
      { key: 'bolster', label: 'Diameter at the bolster', usual: 22 },
      { key: 'grip', label: 'Thickest place of the grip', usual: 30 },
      { key: 'length', label: 'Total length', usual: 112 },
      { key: 'tang', label: 'Thickness of the tang', usual: 6 },
      { key: 'tangLength', label: 'Length of the tang', usual: 70 },
    ],
    (size) => {
      const length = size('length').mm;
      const swell = (size('grip').mm - size('bolster').mm) / 2;
      const waist = size('bolster').mm + swell * 0.6;
      return {
        start: size('bolster'),
        startHeld: true,
        total: size('length'),
        elements: [
          {
            kind: 'fair',
            id: 'e1',
            name: 'grip',
            length: dim(length * 0.84),
            endDiameter: dim(waist),
            points: [
              { at: dim(length * 0.36), diameter: size('grip') },
              { at: dim(length * 0.66), diameter: dim(waist + swell * 0.2) },
            ],
            takesUp: true,
          },
          {
            kind: 'arc',
            id: 'e2',
            name: 'butt',
            length: dim(length * 0.16),
            endDiameter: dim(waist * 0.4),
            radius: dim(roundingRadius(length * 0.16, waist * 0.3)),
            side: 'out',
          },
        ],
        holes: [
          {
            id: 'tang',
            name: 'tang socket',
            from: 'reference',
            through: false,
            pointAngle: 118,
            steps: [
              {
                diameter: dim(size('tang').mm + 1),
                depth: size('tangLength'),
                endDiameter: dim(size('tang').mm * 0.6 + 1),
              },
            ],
          },
        ],
      };
    },
  ),
  form(
    'scoop-handle',
    'Handle for a scoop head',
    'handle',
    [
      { key: 'end', label: 'End of the scoop’s own stem', usual: 15 },
      { key: 'stud', label: 'Hole for its stud', usual: 7 },
      { key: 'grip', label: 'Thickest place of the grip', usual: 27 },
      { key: 'length', label: 'Total length', usual: 96 },
    ],
    (size) => {
      const length = size('length').mm;
      return {
        start: size('end'),
        startHeld: true,
        total: size('length'),
        elements: [
          {
            kind: 'ogee',
            id: 'e1',
            name: 'throat',
            length: dim(length * 0.36),
            endDiameter: size('grip'),
            side: 'in',
          },
          {
            kind: 'ogee',
            id: 'e2',
            name: 'grip',
            length: dim(length * 0.4),
            endDiameter: dim(size('grip').mm * 0.72),
            side: 'out',
            takesUp: true,
          },
          { kind: 'bead', id: 'e3', name: 'ring', length: dim(5), crown: dim(size('grip').mm * 0.72 + 3.4) },
          {
            kind: 'arc',
            id: 'e4',
            name: 'butt',
            length: dim(length * 0.18),
            endDiameter: dim(size('grip').mm * 0.3),
            radius: dim(roundingRadius(length * 0.18, size('grip').mm * 0.21)),
            side: 'out',
          },
        ],
        holes: [
          {
            id: 'stud',
            name: 'stud hole',
            from: 'reference',
            through: false,
            pointAngle: 118,
            steps: [{ diameter: size('stud'), depth: dim(Math.min(28, length * 0.35)) }],
          },
        ],
      };
    },
  ),
] as const;
