import { dim } from '../../src/measure/index.js';
import { HERE, outlineOf, ownSegments, type Part, type PatternBody } from '../../src/pattern/index.js';
import type { Route } from '../../src/route/operation.js';
import { saidOf } from '../../src/route/saidProfile.js';
import { HIGH, LOW, Writer } from '../../src/route/say/writer.js';

/** Half a ball in the bowl's middle, mm. */
const BALL = 23;
const QUARTER = Math.sqrt(BALL * BALL - 64);

const drawn: Part = {
  id: 'scoop',
  name: 'Scoop',
  perItem: 1,
  materialId: 'cherry',
  turnings: [
    {
      id: 't1',
      startDiameter: dim(0),
      elements: [
        {
          kind: 'arc',
          id: 'nose',
          name: 'nose',
          length: dim(BALL),
          endDiameter: dim(2 * BALL),
          radius: dim(BALL),
          side: 'out',
        },
        {
          kind: 'arc',
          id: 'back',
          name: 'back of the bowl',
          length: dim(QUARTER),
          endDiameter: dim(16),
          radius: dim(BALL),
          side: 'out',
        },
        { kind: 'taper', id: 'handle', name: 'handle', length: dim(90), endDiameter: dim(20) },
      ],
    },
  ],
  holes: [],
  hollows: [
    {
      id: 'bowl',
      name: 'bowl',
      opens: 'side',
      axis: { shift: dim(0), direction: 0, tilt: 90, along: dim(BALL) },
      rim: dim(6),
      startDiameter: dim(38),
      elements: [
        {
          kind: 'arc',
          id: 'wall',
          name: 'wall of the bowl',
          length: dim(17),
          endDiameter: dim(0),
          radius: dim(19.2),
          side: 'out',
        },
      ],
    },
  ],
};

export const scoopPattern: PatternBody = {
  schema: 1,
  kind: 'scoop',
  usedBy: 'food',
  parts: [drawn],
  hardware: [],
  lastId: 9,
};

const outline = outlineOf(drawn.turnings[0]);
export const scoopLength = outline.length;
const WASTE = 14;
/** Radius of a nib, and where the nose is as thick, mm. */
const NIB = 3;
const NIB_AT = BALL - Math.sqrt(BALL * BALL - NIB * NIB);

/** How far an arc of a radius stands off the straight between its ends: R − √(R² − c²/4). mm */
const offOf = (x0: number, r0: number, x1: number, r1: number, radius: number): number =>
  radius - Math.sqrt(radius * radius - ((x1 - x0) ** 2 + (r1 - r0) ** 2) / 4);

/** The outside is turned between centres; then the bowl is hollowed across, held in jaws that are cut to its ball. */
export function scoopRoute(): Route {
  const wood = 'blank';
  const length = Math.ceil(outline.length + 2 * WASTE);
  const own = (ids: string[]) =>
    saidOf(
      ids.flatMap((id) => ownSegments(outline, id)),
      LOW,
      { x: WASTE, runs: 1 },
    );
  const far = length - WASTE - outline.length;
  const writer = new Writer(() => outline.length);
  writer
    .saw({
      wood,
      form: { kind: 'square', across: 50, length },
      pieces: [{ partId: drawn.id, n: 1, at: { ...HERE, at: [WASTE, 0, 0] } }],
      title: 'Saw the blank',
      words: ['Mark the end of the bowl, and the face that the bowl opens to.'],
    })
    .hold({
      wood,
      by: 'centres',
      place: 'lathe',
      drive: {
        by: 'spur centre',
        words: 'the spur centre',
        on: { of: 'stock', id: 'stock', x0: length, x1: length },
      },
      tail: { by: 'live centre', words: 'the live centre', on: { of: 'stock', id: 'stock', x0: 0, x1: 0 } },
      keepsTrue: true,
      title: 'Between centres, the bowl at the tail',
    })
    .cut({
      wood,
      kind: 'rough',
      subject: 'all',
      profile: { from: LOW, x: 0, diameter: 48, to: [{ x: length, diameter: 48 }] },
      title: 'Rough to round',
      words: ['Keep the pencil mark of the face on the end.'],
      tool: 'roughing gouge',
    })
    // the tail's side first; what carries it at the drive stays stout until last
    .cut({
      wood,
      kind: 'shape',
      subject: 'nose',
      profile: {
        from: LOW,
        x: WASTE + NIB_AT,
        diameter: 2 * NIB,
        to: [
          {
            x: WASTE + BALL,
            diameter: 2 * BALL,
            off: offOf(NIB_AT, NIB, BALL, BALL, BALL),
            elementId: 'nose',
          },
        ],
      },
      title: 'Nose, down to its nib',
      tool: 'spindle gouge',
    })
    .cut({
      wood,
      kind: 'part to a nib',
      subject: 'near end',
      profile: { from: LOW, x: WASTE - 5, diameter: 2 * NIB, to: [{ x: WASTE + NIB_AT, diameter: 2 * NIB }] },
      title: 'Part before the nose down to the nib',
      tool: 'parting tool',
    })
    .cut({
      wood,
      kind: 'shape',
      subject: 'back',
      profile: own(['back']),
      title: 'Back of the bowl, from the crest down to the handle',
      tool: 'spindle gouge',
    })
    .cut({ wood, kind: 'shape', subject: 'handle', profile: own(['handle']), title: 'Handle', tool: 'skew' })
    .cut({
      wood,
      kind: 'part to a nib',
      subject: 'far end',
      profile: { from: HIGH, x: far - 5, diameter: 8, to: [{ x: far, diameter: 8 }] },
      title: 'Part the end of the handle down to a nib',
      tool: 'parting tool',
    })
    .takeOff(wood, 'Stop the lathe, take it off')
    .part({
      kind: 'saw a nib',
      wood,
      subject: 'far nib',
      from: HIGH,
      mm: far,
      into: [wood, null],
      title: 'Saw the nib of the handle and pare it flush',
      tool: 'fine saw',
    })
    .part({
      kind: 'saw a nib',
      wood,
      subject: 'near nib',
      from: LOW,
      mm: WASTE,
      into: [null, wood],
      title: 'Saw the nib of the nose',
      tool: 'fine saw',
    })
    .cut({
      wood,
      kind: 'carve a tip',
      subject: 'nose',
      pass: 'tip',
      profile: {
        from: LOW,
        x: 0,
        diameter: 0,
        to: [{ x: NIB_AT, diameter: 2 * NIB, off: offOf(0, 0, NIB_AT, NIB, BALL), elementId: 'nose' }],
      },
      title: 'Round the tip of the nose with knife and paper',
      tool: 'knife',
    })
    .hold({
      wood,
      by: 'wooden jaws',
      place: 'lathe',
      axis: {
        at: { mm: BALL, from: { kind: 'finished', partId: drawn.id, n: 1, end: 'reference', side: 'low' } },
        direction: 0,
        lean: 90,
      },
      drive: {
        by: 'wooden jaws',
        words: 'wooden jaws cut to the ball',
        on: { of: 'skin', id: 'shape:back', x0: WASTE + BALL + 1, x1: WASTE + BALL + 12 },
      },
      tail: null,
      keepsTrue: false,
      title: 'In the wooden jaws, the bowl’s face outwards, the handle across',
      words: ['The handle sweeps: turn it by hand once, rest locked, and stand clear.'],
    })
    .flatAcross({
      wood,
      subject: 'rim',
      above: 6,
      title: 'Face the rim flat',
      tool: 'spindle gouge',
    })
    .cut({
      wood,
      kind: 'hollow',
      subject: 'bowl',
      profile: bowlFrom(),
      title: 'Hollow the bowl from its rim in, lightly, the handle is slight',
      tool: 'scraper',
    })
    .takeOff(wood, 'Out of the jaws', 'wooden jaws')
    .treat({
      wood,
      kind: 'coat',
      subject: 'all',
      pass: 'oil 1',
      from: LOW,
      stretches: [
        {
          on: [
            { of: 'skin', id: 'shape:back' },
            { of: 'skin', id: 'shape:handle' },
            { of: 'skin', id: 'shape:nose' },
            { of: 'skin', id: 'hollow:bowl' },
          ],
          x0: 0,
          x1: outline.length,
        },
      ],
      turning: false,
      wait: { what: 'the oil dries', minutes: { coat: 1440, use: 10080 } },
      title: 'First coat of oil, inside and out',
    });
  return writer.route;
}

/** The bowl as it is told: depths from its rim. */
function bowlFrom() {
  const [bowl] = drawn.hollows ?? [];
  const wall = outlineOf({ id: 'h', startDiameter: dim(38), elements: bowl?.elements ?? [] });
  return saidOf(wall.segments, { kind: 'flat' as const, id: 'face:rim' }, { x: 0, runs: 1 });
}
