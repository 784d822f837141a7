import { dim, type Dimension } from '../measure/index.js';
import type { Element, ItemKind, PatternBody } from './pattern.js';

/** A size a person knows and that a starting form asks for. */
export interface FormQuestion {
  key: string;
  label: string;
  usual: number;
}

/** A starting form: a kind of item that becomes an editable pattern from a few known sizes. */
export interface StartingForm {
  id: string;
  name: string;
  kind: ItemKind;
  questions: FormQuestion[];
  body: (sizes: Record<string, Dimension>, materialId: string) => PatternBody;
}

type Shape = { start: Dimension; elements: Element[] };

function form(
  id: string,
  name: string,
  kind: ItemKind,
  questions: FormQuestion[],
  shape: (size: (key: string) => Dimension) => Shape,
): StartingForm {
  const body = (sizes: Record<string, Dimension>, materialId: string): PatternBody => {
    const size = (key: string) => sizes[key] ?? dim(questions.find((q) => q.key === key)?.usual ?? 0);
    const { start, elements } = shape(size);
    return {
      schema: 1,
      kind,
      usedBy: kind === 'stopper' || kind === 'rolling pin' ? 'food' : 'anybody',
      parts: [
        {
          id: 'part1',
          name: 'Body',
          perItem: 1,
          materialId,
          turnings: [{ id: 'turning1', startDiameter: start, elements }],
          holes: [],
        },
      ],
      hardware: [],
      lastId: elements.length,
    };
  };
  return { id, name, kind, questions, body };
}

const share = (dimension: Dimension, part: number): Dimension => dim(dimension.mm * part);

/** Radius of the arc over `length` that rises by `rise` from chord to crest (r = (l²/4 + h²)/2h). */
const crestRadius = (length: number, rise: number): number => (length * length) / (8 * rise) + rise / 2;

/**
 * Radius of an arc that leaves a diameter along the axis and falls by `drop` over `length`, so that it
 * never rises above where it began (l² + (ρ − h)² = ρ²).
 */
const roundingRadius = (length: number, drop: number): number => (length * length + drop * drop) / (2 * drop);

/** The forms a new pattern can start from. */
export const STARTING_FORMS: readonly [StartingForm, ...StartingForm[]] = [
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
      { key: 'ferrule', label: 'Length of the ferrule', usual: 18 },
      { key: 'grip', label: 'Thickest place of the grip', usual: 34 },
      { key: 'length', label: 'Total length', usual: 140 },
    ],
    (size) => {
      const rest = size('length').mm - size('ferrule').mm;
      const neck = size('bore').mm * 1.2;
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
        start: size('peg'),
        elements: [
          { kind: 'cylinder', id: 'e1', name: 'peg', length: size('pegLength') },
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
          { kind: 'cylinder', id: 'e1', name: 'cord end', length: dim(height * 0.08) },
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
];
