import { dim } from '../measure/index.js';
import {
  chain,
  compareOutlines,
  designAdvice,
  drilledSolid,
  flowFindings,
  meetingOf,
  outlineOf,
  STARTING_FORMS,
  type Element,
  type MatingOutline,
  type Part,
} from './index.js';
import { itemSolid } from './advice.js';

const part = (start: number, ...elements: Element[]): Part => ({
  id: 'p',
  name: 'Body',
  perItem: 1,
  materialId: 'ash',
  turnings: [{ id: 't', startDiameter: dim(start), elements }],
  holes: [],
});
const adviceOn = (p: Part, kind: 'stopper' | 'top' | 'other') =>
  designAdvice(p, outlineOf(p.turnings[0]), { kind, parts: [p] }).map((f) => f.id.split('.')[1]);

describe('design advice', () => {
  it('warns of a point where a palm pushes, not of a dome', () => {
    const pointed = part(30, { kind: 'taper', id: 'e', length: dim(40), endDiameter: dim(2) });
    const domed = part(30, { kind: 'sphere', id: 'e', diameter: dim(36), endDiameter: dim(0) });
    expect(adviceOn(pointed, 'stopper')).toContain('palm');
    expect(adviceOn(domed, 'stopper')).not.toContain('palm');
    expect(adviceOn(pointed, 'other')).not.toContain('palm');
  });

  it('names a kink too slight to be meant, not a clear break', () => {
    const kink = (end: number) =>
      part(
        30,
        { kind: 'cylinder', id: 'a', length: dim(20) },
        { kind: 'taper', id: 'b', length: dim(20), endDiameter: dim(end) },
      );
    expect(adviceOn(kink(27), 'other')).toEqual(['kink']);
    expect(adviceOn(kink(10), 'other')).toEqual([]);
  });

  it('a top with its body high up is told to bring it down', () => {
    const high = part(
      4,
      { kind: 'taper', id: 'a', length: dim(10), endDiameter: dim(40) },
      { kind: 'cylinder', id: 'b', length: dim(10) },
      { kind: 'taper', id: 'c', length: dim(40), endDiameter: dim(3) },
    );
    expect(adviceOn(high, 'top')).toContain('balance');
    const form = STARTING_FORMS.find((f) => f.id === 'finger-top')!.body({}, 'ash');
    expect(adviceOn(form.parts[0], 'top')).not.toContain('balance');
  });

  it('a top of several joined parts is weighed as one', () => {
    const body = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'ash');
    const whole = itemSolid(body);
    const parts = body.parts.map((p) => drilledSolid(outlineOf(p.turnings[0]), p.holes));
    expect(whole.volume).toBeCloseTo(parts[0]!.volume + parts[1]!.volume, 6);
    expect(whole.axialInertia).toBeGreaterThan(whole.transverseInertia * 0.5);
    const apart = itemSolid({ ...body, joins: [] });
    expect(apart.volume).toBeCloseTo(parts[0]!.volume, 6);
  });
});

describe('against a mating thing', () => {
  const neck = (diameter: number, next: number): MatingOutline => ({
    id: 'm',
    name: 'bottle neck',
    partId: 'p',
    end: 'reference',
    points: [
      { at: dim(0), diameter: dim(diameter) },
      { at: dim(10), diameter: dim(next) },
    ],
  });
  const straight = part(30, { kind: 'cylinder', id: 'e', length: dim(40) });
  const outline = outlineOf(straight.turnings[0]);

  it('a step is measured on the diameter, a kink in degrees', () => {
    expect(meetingOf(outline, neck(30, 30))).toEqual({ step: 0, kink: 0 });
    const meeting = meetingOf(outline, neck(29, 31))!;
    expect(meeting.step).toBeCloseTo(1, 9);
    expect(meeting.kink).toBeCloseTo((Math.atan2(1, 10) * 180) / Math.PI, 9);
  });

  it('flush and flowing has nothing to say', () => {
    expect(flowFindings(straight, outline, [neck(30, 30.4)])).toEqual([]);
    const ids = flowFindings(straight, outline, [neck(29, 33)]).map((f) => f.severity);
    expect(ids).toEqual(['warn', 'note']);
  });
});

describe('comparing outlines', () => {
  const rod = (d: number, length = 60) => chain([{ kind: 'cylinder', id: 'e', length: dim(length) }], d);

  it('says the largest difference and where', () => {
    const bead = chain(
      [
        { kind: 'cylinder', id: 'a', length: dim(20) },
        { kind: 'bead', id: 'b', length: dim(10), crown: dim(33) },
        { kind: 'cylinder', id: 'c', length: dim(30) },
      ],
      30,
    );
    const { largest, longer } = compareOutlines(rod(30), bead);
    expect(largest.difference).toBeCloseTo(3, 2);
    expect(largest.x).toBeCloseTo(25, 0);
    expect(longer).toBe(0);
  });

  it('is the same the other way round with the sign turned, and can be moved along', () => {
    const a = compareOutlines(rod(30), rod(31.5));
    const b = compareOutlines(rod(31.5), rod(30));
    expect(a.largest.difference).toBeCloseTo(1.5, 9);
    expect(b.largest.difference).toBeCloseTo(-1.5, 9);
    expect(compareOutlines(rod(30), rod(30, 50), 10).largest.difference).toBeCloseTo(-30, 9);
  });
});
