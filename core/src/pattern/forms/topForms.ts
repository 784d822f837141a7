import { dim } from '../../measure/index.js';
import type { Hole } from '../pattern.js';
import { crestRadius, form, roundingRadius } from './form.js';

/** A bore straight through along the axis. */
const throughBore = (id: string, name: string, diameter: number): Hole => ({
  id,
  name,
  from: 'reference',
  through: true,
  pointAngle: 118,
  steps: [{ diameter: dim(diameter), depth: dim(0) }],
});

/** Forms of tops and of what launches them. */
export const topForms = [
  form(
    'finger-top',
    'Top spun by the fingers',
    'top',
    [
      { key: 'body', label: 'Widest place', usual: 42 },
      { key: 'height', label: 'Total height', usual: 46 },
      { key: 'stem', label: 'Stem, in the fingers', usual: 6 },
    ],
    (size) => {
      const height = size('height').mm;
      const body = size('body').mm;
      const stem = size('stem').mm;
      return {
        start: dim(stem * 0.8),
        elements: [
          { kind: 'taper', id: 'e1', name: 'stem', length: dim(height * 0.5), endDiameter: dim(stem) },
          {
            kind: 'fillet',
            id: 'e2',
            name: 'root',
            length: dim(height * 0.12),
            endDiameter: dim(stem * 2.4),
          },
          {
            kind: 'arc',
            id: 'e3',
            name: 'shoulder',
            length: dim(height * 0.12),
            endDiameter: dim(body),
            radius: dim(roundingRadius((body - stem * 2.4) / 2, height * 0.12)),
            side: 'out',
          },
          { kind: 'cylinder', id: 'e4', name: 'rim', length: dim(3) },
          {
            kind: 'arc',
            id: 'e5',
            name: 'underside',
            length: dim(height * 0.26 - 4.5),
            endDiameter: dim(3),
            radius: dim(body),
            side: 'out',
          },
          {
            kind: 'arc',
            id: 'e6',
            name: 'tip',
            length: dim(1.5),
            endDiameter: dim(0),
            radius: dim(1.5),
            side: 'out',
          },
        ],
      };
    },
  ),
  form(
    'launched-top',
    'Top on a stem, launched by a cord',
    'top',
    [
      { key: 'body', label: 'Widest place', usual: 56 },
      { key: 'thick', label: 'Height of the body', usual: 24 },
      { key: 'stem', label: 'Stem', usual: 10 },
      { key: 'stemLength', label: 'Length of the stem', usual: 72 },
    ],
    (size) => {
      const thick = size('thick').mm;
      const stem = size('stem').mm;
      const reach = size('stemLength').mm;
      const below = 8;
      return {
        parts: [
          {
            name: 'Stem',
            start: dim(stem),
            elements: [
              { kind: 'cylinder', id: 'e1', name: 'cord stub', length: dim(reach - thick - below) },
              { kind: 'cylinder', id: 'e2', name: 'seat of the body', length: dim(thick) },
              { kind: 'taper', id: 'e3', name: 'tip cone', length: dim(below - 2), endDiameter: dim(4) },
              {
                kind: 'arc',
                id: 'e4',
                name: 'tip',
                length: dim(2),
                endDiameter: dim(0),
                radius: dim(2),
                side: 'out',
              },
            ],
          },
          {
            name: 'Body',
            start: dim(size('body').mm * 0.5),
            elements: [
              {
                kind: 'arc',
                id: 'e11',
                name: 'top side',
                length: dim(thick * 0.42),
                endDiameter: size('body'),
                radius: dim(roundingRadius(size('body').mm / 4, thick * 0.42)),
                side: 'out',
              },
              { kind: 'cylinder', id: 'e12', name: 'rim', length: dim(thick * 0.16) },
              {
                kind: 'taper',
                id: 'e13',
                name: 'underside',
                length: dim(thick * 0.42),
                endDiameter: dim(stem * 1.8),
              },
            ],
            holes: [throughBore('stembore', 'stem bore', stem)],
          },
        ],
        joins: [
          {
            id: 'join1',
            kind: 'ring on shaft',
            inner: { partId: 'part1', end: 'far' },
            outer: { partId: 'part2', holeId: 'stembore' },
            depth: dim(thick),
            at: dim(reach - below - thick / 2),
          },
        ],
      };
    },
  ),
  form(
    'launcher',
    'Launcher for a top, with two cross holes',
    'handle',
    [
      { key: 'stem', label: 'Stem of the top', usual: 10 },
      { key: 'grip', label: 'Thickest place of the grip', usual: 32 },
      { key: 'length', label: 'Total length', usual: 128 },
      { key: 'cord', label: 'Hole for the cord', usual: 4 },
    ],
    (size) => {
      const length = size('length').mm;
      const head = size('stem').mm + 14;
      return {
        start: dim(head),
        total: size('length'),
        elements: [
          { kind: 'cylinder', id: 'e1', name: 'head', length: dim(34) },
          { kind: 'cove', id: 'e2', name: 'neck', length: dim(12), bottom: dim(head - 8) },
          {
            kind: 'arc',
            id: 'e3',
            name: 'grip',
            length: dim(length - 60),
            endDiameter: dim(head),
            radius: dim(crestRadius(length - 60, Math.max((size('grip').mm - head) / 2, 0.5))),
            side: 'out',
            takesUp: true,
          },
          {
            kind: 'arc',
            id: 'e4',
            name: 'butt',
            length: dim(14),
            endDiameter: dim(head * 0.4),
            radius: dim(roundingRadius(14, head * 0.3)),
            side: 'out',
          },
        ],
        crossHoles: [
          {
            id: 'stemhole',
            name: 'stem hole',
            from: 'reference',
            at: dim(16),
            angle: 0,
            diameter: dim(size('stem').mm + 1),
            through: true,
          },
          {
            id: 'cordhole',
            name: 'cord hole',
            from: 'reference',
            at: dim(16),
            angle: 90,
            diameter: size('cord'),
            through: true,
          },
        ],
      };
    },
  ),
];
