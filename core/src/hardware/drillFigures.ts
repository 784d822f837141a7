import { len, type Figure } from '../measure/index.js';
import type { DrillOperation } from './bitWork.js';
import type { Drift } from './drillWay.js';
import type { NeededHole } from './neededHole.js';
import { bitWords } from './pickBit.js';

/** Figures of one bore: bit, tape, thread, drift, speed. */
export function depthFigures(o: DrillOperation, wishes: readonly NeededHole[]): Figure[] {
  const wish = wishes.find((w) => w.hole.id === o.id);
  const diameter = o.bit?.diameter.mm ?? wish?.range.best ?? 0;
  return [
    {
      id: `bit.${o.id}`,
      label: `Bit for the ${o.name}`,
      value: diameter,
      unit: 'mm',
      ...(o.bit ? { told: bitWords(o.bit) } : {}),
      working: {
        rule: `The owned bit nearest to the best diameter that lies between ${len(wish?.range.least ?? 0)} and ${len(wish?.range.most ?? 0)} (${wish?.range.fit}).`,
        source: 'fit classes of the bench, typical',
        inputs: [
          { label: `${o.name} best`, value: wish?.range.best ?? 0, unit: 'mm' },
          { label: 'what enters', value: wish?.entersDiameter ?? 0, unit: 'mm' },
        ],
      },
    },
    {
      id: `tape.${o.id}`,
      label: `Tape on the bit for the ${o.name}`,
      value: o.tapeAt,
      unit: 'mm',
      working: {
        rule: `Depth to the shoulder plus the length of the point, d/2 ÷ tan(half the point angle).${wish?.seats ? ` To the shoulder so deep that the ball comes to rest with ${len(wish.seats.diameter - wish.seats.sinks)} of it standing out: s − R + R ÷ sin α − b ÷ (2 tan α), α half the point angle.` : ''}`,
        source: 'geometry of the bit',
        inputs: [
          { label: 'longest thing that enters', value: wish?.entersLength ?? 0, unit: 'mm' },
          { label: 'depth to shoulder', value: o.toShoulder, unit: 'mm' },
          { label: 'point', value: o.toPoint - o.toShoulder, unit: 'mm' },
        ],
      },
    },
    ...(o.engagement === undefined ? [] : [engagementFigure(o, o.engagement, wish)]),
    ...(o.drift ? [driftFigure(o, o.drift, diameter)] : []),
    {
      id: `drillspeed.${o.id}`,
      label: `Speed for the ${o.name}`,
      value: o.rpm,
      unit: 'rpm',
      working: {
        rule: 'rpm = 1000 × surface speed ÷ (π × diameter), rounded down to 50, at most 2500.',
        source: 'cutting speed relation; speeds typical, unchecked',
        inputs: [
          { label: 'surface speed', value: o.surfaceSpeed, unit: 'm/min' },
          { label: 'diameter', value: diameter, unit: 'mm' },
        ],
      },
    },
  ];
}

function engagementFigure(o: DrillOperation, engaged: number, wish: NeededHole | undefined): Figure {
  return {
    id: `engaged.${o.id}`,
    label: `Thread in the wood, ${o.name}`,
    value: wish?.entersLength ?? 0,
    unit: 'mm',
    working: {
      rule: 'Length of the thread in the wood; it holds from 1 to 1.5 diameters on.',
      source: 'bench practice, typical',
      inputs: [
        { label: 'outside of the thread', value: wish?.entersDiameter ?? 0, unit: 'mm' },
        { label: 'diameters engaged', value: Math.round(engaged * 100) / 100 },
      ],
    },
  };
}

function driftFigure(o: DrillOperation, drift: Drift, diameter: number): Figure {
  return {
    id: `drift.${o.id}`,
    label: `Drift at the bottom of the ${o.name}`,
    value: drift.bottom,
    unit: 'mm',
    working: {
      rule: 'Off at the mouth + lean × depth, the lean grown by depth ÷ (8 diameters) for a slender bit.',
      source: 'errors of the set-up, typical, unchecked',
      inputs: [
        { label: 'set-up', value: o.setup ?? 'drill press' },
        { label: 'off at the mouth', value: drift.mouth, unit: 'mm' },
        { label: 'depth to the shoulder', value: o.toShoulder, unit: 'mm' },
        { label: 'bit', value: diameter, unit: 'mm' },
        { label: 'of it from the wall', value: drift.fromWall, unit: 'mm' },
      ],
    },
  };
}
