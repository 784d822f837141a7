import { dim } from '../../src/measure/index.js';
import { HERE, outlineOf, ownSegments, type Part, type PatternBody } from '../../src/pattern/index.js';
import type { Route } from '../../src/route/operation.js';
import { saidOf } from '../../src/route/saidProfile.js';
import { LOW, Writer } from '../../src/route/say/writer.js';

const drawn: Part = {
  id: 'stopper',
  name: 'Stopper',
  perItem: 1,
  materialId: 'maple',
  turnings: [
    {
      id: 't1',
      startDiameter: dim(32),
      elements: [
        { kind: 'cylinder', id: 'base', name: 'base', length: dim(6) },
        { kind: 'cove', id: 'neck', name: 'neck', length: dim(14), bottom: dim(22) },
        { kind: 'bead', id: 'ring', name: 'ring', length: dim(6), crown: dim(35) },
        { kind: 'taper', id: 'body', name: 'body', length: dim(18), endDiameter: dim(38) },
        {
          kind: 'arc',
          id: 'top',
          name: 'top',
          length: dim(19),
          endDiameter: dim(0),
          radius: dim(19),
          side: 'out',
        },
      ],
    },
  ],
  holes: [
    {
      id: 'insert',
      name: 'hole for the insert',
      from: 'reference',
      through: false,
      pointAngle: 118,
      steps: [{ diameter: dim(11.6), depth: dim(22) }],
    },
  ],
};

export const stopperPattern: PatternBody = {
  schema: 1,
  kind: 'stopper',
  usedBy: 'food',
  parts: [drawn],
  hardware: [],
  lastId: 9,
};

const outline = outlineOf(drawn.turnings[0]);
/** Squared off the sawn end, so that the insert sits in a flat face. */
const FACED = 1;
/** Grits and what each takes off the radius, mm. */
const GRITS: [string, number][] = [
  ['P180', 0.1],
  ['P320', 0.05],
];
const SANDED = 0.15;

/** The insert is glued in overnight; the blank is then held by its thread, and the top is finished with the tailstock away. */
export function stopperRoute(): Route {
  const wood = 'blank';
  const own = (id: string) => saidOf(ownSegments(outline, id), LOW, { x: 0, runs: 1 });
  const shaped = ['neck', 'ring', 'body'].map((id) => ({ of: 'skin' as const, id: `shape:${id}` }));
  const writer = new Writer(() => outline.length);
  const shape = (subject: string, title: string, tool: string, leave: number) =>
    writer.cut({ wood, kind: 'shape', subject, profile: own(subject), leave, title, tool });
  const sand = (subject: string, on: typeof shaped, x0: number, x1: number) =>
    GRITS.forEach(([pass, takes]) =>
      writer.treat({
        wood,
        kind: 'sand',
        subject,
        pass,
        from: LOW,
        stretches: [{ on, x0, x1 }],
        takes,
        title: `Sand the ${subject} ${pass}`,
      }),
    );
  writer
    .saw({
      wood,
      form: { kind: 'square', across: 42, length: 78 },
      pieces: [{ partId: drawn.id, n: 1, at: { ...HERE, at: [FACED, 0, 0] } }],
      title: 'Saw the blank',
      words: ['Mark one sawn end with a cross: it is the first end, where the insert goes.'],
    })
    .hold({
      wood,
      by: 'vise',
      place: 'drill press',
      drive: {
        by: 'vise',
        words: 'the vise of the drill press',
        on: { of: 'stock', id: 'stock', x0: 5, x1: 70 },
      },
      tail: null,
      keepsTrue: true,
      title: 'Upright in the vise, the first end up',
    })
    .face({
      kind: 'face an end',
      wood,
      subject: 'first end',
      from: LOW,
      mm: FACED,
      title: 'Square the first end',
      words: ['Until its whole face is fresh.'],
      tool: 'pilot facer',
    })
    .bore({
      kind: 'drill',
      wood,
      subject: 'insert',
      from: LOW,
      steps: [{ diameter: 11.6, depth: 22 }],
      pointAngle: 118,
      title: 'Drill for the insert',
      words: ['Tape on the bit; draw it out twice.'],
      tool: 'brad point bit 11.6',
    })
    .takeOff(wood, 'Out of the vise', 'vise')
    .fix({
      wood,
      subject: 'insert',
      kitId: 'kit',
      from: LOW,
      cure: { what: 'the epoxy cures', minutes: { handle: 60, turn: 720 } },
      title: 'Glue the insert in',
      words: ['Epoxy on its knurl, a shade below the face; wipe the thread clean.'],
    })
    .hold({
      wood,
      by: 'mandrel',
      place: 'lathe',
      drive: {
        by: 'thread',
        words: 'the M8 mandrel',
        on: { of: 'fixed', id: 'insert', x0: FACED, x1: 21 },
      },
      tail: {
        by: 'live centre',
        words: 'the live centre',
        on: { of: 'stock', id: 'stock', x0: 78, x1: 78 },
      },
      keepsTrue: true,
      title: 'Screw it on the mandrel, live centre up',
    })
    .cut({
      wood,
      kind: 'rough',
      subject: 'all',
      profile: { from: LOW, x: 0, diameter: 40, to: [{ x: 70, diameter: 40 }] },
      title: 'Rough to round',
      words: ['Stop and look: no flats left anywhere.'],
      tool: 'roughing gouge',
    });
  // the top stays stout until all else is done
  shape('body', 'Taper the body down to the ring', 'skew', SANDED);
  shape('ring', 'Roll the ring from its crown', 'skew', SANDED);
  shape('neck', 'Hollow the neck from both rims down', 'spindle gouge', SANDED);
  shape('base', 'Size the base to the hardware', 'parting tool', 0);
  writer.look('try the fit', {
    wood,
    subject: 'base',
    on: [{ of: 'skin', id: 'shape:base', x0: FACED, x1: 6 }],
    title: 'Try the base',
    words: ['Hold it against the base: a fingernail must not catch.'],
  });
  sand('neck to body', shaped, 6, 44);
  writer.tailAway('Tailstock away');
  shape('top', 'Round the top over', 'skew', SANDED);
  writer.part({
    kind: 'part off',
    wood,
    subject: 'waste',
    from: LOW,
    mm: outline.length,
    into: [wood, null],
    title: 'Pare the last of the waste away',
    words: ['A light cut to the middle; what is beyond falls.'],
    tool: 'skew',
  });
  sand('top', [{ of: 'skin', id: 'shape:top' }], 44, 63);
  return writer
    .treat({
      wood,
      kind: 'coat',
      subject: 'all',
      pass: 'polish',
      from: LOW,
      stretches: [{ on: [...shaped, { of: 'skin', id: 'shape:top' }], x0: 6, x1: 63 }],
      wait: { what: 'the polish hardens', minutes: { use: 1440 } },
      title: 'Friction polish, all but the base',
    })
    .takeOff(wood, 'Unscrew it').route;
}
