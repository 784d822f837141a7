import { dim } from '../../measure/index.js';
import type { CaptiveRing, Hollow } from '../pattern.js';
import { tenonDiameter } from '../tenonFit.js';
import { form, roundingRadius } from './form.js';

/** Wall left beside the bowl of a scoop at its rim, mm. */
const WALL = 4;

/** A ring of a finger's width round a shaft, with room to rattle. */
const ringOn = (id: string, at: number, shaft: number): CaptiveRing => ({
  id,
  name: id === 'ring1' ? 'first ring' : 'second ring',
  at: dim(Number(at.toFixed(1))),
  width: dim(10),
  across: dim(Number((shaft + 3 + 9.6).toFixed(1))),
  play: dim(1.5),
});

/** A round bowl across the middle of an oval, its rim a third of the radius above the axis and clear of the handle. */
function scoopBowl(across: number, length: number, handle: number): Hollow {
  const rim = Number(Math.max(across / 6, handle / 2 + 0.5).toFixed(1));
  const r = Number((Math.sqrt((across / 2) ** 2 - rim * rim) - WALL).toFixed(1));
  return {
    id: 'bowl',
    name: 'bowl',
    opens: 'side',
    axis: { shift: dim(0), direction: 0, tilt: 90, along: dim(Number((length * 0.49).toFixed(1))) },
    rim: dim(rim),
    startDiameter: dim(2 * r),
    elements: [
      { kind: 'cylinder', id: 'e4', name: 'wall', length: dim(Number((across / 8).toFixed(1))) },
      {
        kind: 'arc',
        id: 'e5',
        name: 'bottom',
        length: dim(Number((r * 0.8).toFixed(1))),
        endDiameter: dim(0),
        radius: dim(Number((r * 1.05).toFixed(1))),
        side: 'out',
      },
    ],
  };
}

export const ornamentForms = [
  form(
    'finial',
    'Finial on a peg',
    'finial',
    [
      { key: 'peg', label: 'Peg fits a hole of', usual: 10 },
      { key: 'pegLength', label: 'Length of the peg', usual: 12 },
      { key: 'height', label: 'Height above the peg', usual: 70 },
      { key: 'ball', label: 'Ball at the top', usual: 18 },
    ],
    (size) => {
      const height = size('height').mm;
      const foot = size('peg').mm * 2.2;
      const ballRadius = size('ball').mm / 2;
      const neck = ballRadius * 0.6;
      const reach = ballRadius + Math.sqrt(ballRadius ** 2 - (neck / 2) ** 2);
      const stem = height - height * 0.35 - reach;
      return {
        start: dim(tenonDiameter(size('peg').mm, 'glue')),
        elements: [
          { kind: 'tenon', id: 'e1', name: 'peg', length: size('pegLength'), hole: size('peg'), fit: 'glue' },
          { kind: 'shoulder', id: 'e2', name: 'seat', endDiameter: dim(foot) },
          { kind: 'cylinder', id: 'e3', name: 'foot', length: dim(height * 0.05) },
          {
            kind: 'bead',
            id: 'e4',
            name: 'base bead',
            length: dim(height * 0.1),
            crown: dim(foot + height * 0.08),
          },
          { kind: 'cove', id: 'e5', name: 'cove', length: dim(height * 0.2), bottom: dim(foot * 0.55) },
          { kind: 'taper', id: 'e6', name: 'stem', length: dim(stem), endDiameter: dim(neck) },
          { kind: 'sphere', id: 'e7', name: 'ball', diameter: size('ball'), endDiameter: dim(0) },
        ],
      };
    },
  ),
  form(
    'light-pull',
    'Light pull or ornament',
    'ornament',
    [
      { key: 'top', label: 'Diameter at the cord', usual: 10 },
      { key: 'belly', label: 'Thickest place', usual: 26 },
      { key: 'height', label: 'Total length', usual: 60 },
    ],
    (size) => {
      const height = size('height').mm;
      return {
        start: size('top'),
        elements: [
          { kind: 'cylinder', id: 'e1', name: 'cord stub', length: dim(height * 0.08) },
          { kind: 'v-groove', id: 'e2', name: 'ring', length: dim(2), depth: dim(0.8) },
          { kind: 'taper', id: 'e3', name: 'slope', length: dim(height * 0.5), endDiameter: size('belly') },
          {
            kind: 'arc',
            id: 'e4',
            name: 'belly',
            length: dim(height * 0.42 - 2),
            endDiameter: dim(4),
            radius: dim(roundingRadius(height * 0.42 - 2, size('belly').mm / 2 - 2)),
            side: 'out',
          },
        ],
      };
    },
  ),
  form(
    'dowel-ornament',
    'Ornament turned on a dowel',
    'ornament',
    [
      { key: 'dowel', label: 'Dowel through the middle', usual: 6 },
      { key: 'belly', label: 'Ball', usual: 34 },
      { key: 'height', label: 'Total length', usual: 86 },
    ],
    (size) => {
      const height = size('height').mm;
      const foot = size('dowel').mm + 6;
      return {
        start: dim(foot),
        total: size('height'),
        elements: [
          { kind: 'cylinder', id: 'e1', name: 'top ring', length: dim(3) },
          {
            kind: 'balloon',
            id: 'e2',
            name: 'balloon',
            length: dim(height * 0.8),
            diameter: size('belly'),
            endDiameter: dim(foot),
            ball: 'first',
            takesUp: true,
          },
          { kind: 'bead', id: 'e3', name: 'basket rim', length: dim(4), crown: dim(foot + 3) },
          { kind: 'cylinder', id: 'e4', name: 'basket', length: dim(height * 0.12) },
        ],
        holes: [
          {
            id: 'dowel',
            name: 'dowel hole',
            from: 'reference',
            through: true,
            pointAngle: 118,
            steps: [{ diameter: size('dowel'), depth: size('height') }],
          },
        ],
      };
    },
  ),
  form('ball', 'Ball', 'ball', [{ key: 'ball', label: 'Diameter', usual: 50 }], (size) => ({
    start: dim(0),
    elements: [{ kind: 'sphere', id: 'e1', name: 'ball', diameter: size('ball'), endDiameter: dim(0) }],
  })),
  form(
    'rattle',
    'Shaft with loose rings',
    'rattle',
    [
      { key: 'shaft', label: 'Shaft between the ends', usual: 16 },
      { key: 'head', label: 'Ends that keep the rings on', usual: 34 },
      { key: 'length', label: 'Total length', usual: 130 },
    ],
    (size) => {
      const head = size('head');
      return {
        start: dim(head.mm * 0.5),
        total: size('length'),
        rings: [-10, 10].map((off, i) =>
          ringOn(`ring${i + 1}`, size('length').mm / 2 + off, size('shaft').mm * 0.88),
        ),
        elements: [
          {
            kind: 'oval',
            id: 'e1',
            name: 'first knob',
            longAxis: dim(head.mm * 0.9),
            diameter: head,
            endDiameter: size('shaft'),
          },
          {
            kind: 'fillet',
            id: 'e2',
            name: 'run-out',
            length: dim(6),
            endDiameter: dim(size('shaft').mm * 0.88),
          },
          { kind: 'cylinder', id: 'e3', name: 'shaft', length: dim(size('length').mm * 0.4), takesUp: true },
          { kind: 'fillet', id: 'e4', name: 'run-in', length: dim(6), endDiameter: size('shaft') },
          {
            kind: 'oval',
            id: 'e5',
            name: 'other knob',
            longAxis: dim(head.mm * 0.9),
            diameter: head,
            endDiameter: dim(head.mm * 0.5),
          },
        ],
      };
    },
  ),
  form(
    'scoop',
    'Scoop or spoon with its bowl',
    'scoop',
    [
      { key: 'bowl', label: 'Across the bowl', usual: 46 },
      { key: 'bowlLength', label: 'Length of the bowl', usual: 58 },
      { key: 'handle', label: 'Handle', usual: 18 },
      { key: 'length', label: 'Total length', usual: 168 },
    ],
    (size) => ({
      start: dim(size('bowl').mm * 0.2),
      total: size('length'),
      hollows: [scoopBowl(size('bowl').mm, size('bowlLength').mm, size('handle').mm)],
      elements: [
        {
          kind: 'oval',
          id: 'e1',
          name: 'back of the bowl',
          longAxis: size('bowlLength'),
          diameter: size('bowl'),
          endDiameter: dim(size('handle').mm * 0.75),
        },
        {
          kind: 'taper',
          id: 'e2',
          name: 'handle',
          length: dim(80),
          endDiameter: size('handle'),
          takesUp: true,
        },
        {
          kind: 'arc',
          id: 'e3',
          name: 'butt',
          length: dim(size('handle').mm * 0.6),
          endDiameter: dim(size('handle').mm * 0.3),
          radius: dim(roundingRadius(size('handle').mm * 0.6, size('handle').mm * 0.35)),
          side: 'out',
        },
      ],
    }),
  ),
];
